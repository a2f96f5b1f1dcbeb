import { Injectable, inject } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';

/** How long an act can be taken back from the bar, ms: as long as somebody with gloves needs to find it. */
const STAYS = 10_000;

/** Says below what was just done, and takes it back. Only for what also stands elsewhere and can be undone there. */
@Injectable({ providedIn: 'root' })
export class UndoBar {
  private readonly bar = inject(MatSnackBar);

  /**
   * Shows one bar; the one before it goes.
   *
   * @param done what was done, as a sentence
   * @param undo takes it back
   */
  show(done: string, undo: () => void): void {
    this.bar
      .open(done, $localize`Undo`, { duration: STAYS, horizontalPosition: 'start' })
      .onAction()
      .subscribe(undo);
  }
}
