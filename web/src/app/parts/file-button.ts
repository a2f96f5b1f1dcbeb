import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** A button that opens the device's choice of a file: `<bc-file accept=".csv" (chosen)="read($event)">Import a file</bc-file>`. */
@Component({
  selector: 'bc-file',
  imports: [MatButton],
  template: `
    <input #field type="file" hidden [accept]="accept()" [attr.capture]="capture()" (change)="take(field)" />
    <button type="button" matButton="outlined" (click)="field.click()"><ng-content /></button>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FileButton {
  readonly accept = input.required<string>();
  /** Which camera a phone opens at once, none for a choice among files. */
  readonly capture = input<'environment' | null>(null);
  readonly chosen = output<File>();

  protected take(field: HTMLInputElement): void {
    const file = field.files?.[0];
    field.value = '';
    if (file) this.chosen.emit(file);
  }
}
