import { Directive, inject, input, output } from '@angular/core';
import { type KeyWish, pressKey } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { HiveCards } from './cards/hive-cards';

/** Keys of the open hive: they write on the side in hand wherever the focus is, but in a field or on a card. */
@Directive({ selector: '[bcHiveKeys]', host: { '(document:keydown)': 'key($event)' } })
export class HiveKeys {
  private readonly cards = inject(HiveCards);
  private readonly desk = inject(VisitDesk);
  private readonly shown = inject(Store).selectSignal(inspectionFeature.selectShown);
  /** Whether a side is being entered. */
  readonly atFrames = input.required<boolean>({ alias: 'bcHiveKeys' });
  /** A key that asks for more than a change of the side. */
  readonly wished = output<KeyWish>();

  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || this.cards.open();
    if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === '?') return void this.cards.keys();
    if (!this.atFrames() || (event.key === 'Enter' && target.tagName === 'BUTTON')) return;
    const pressed = pressKey(this.shown(), event.key, event.shiftKey);
    if (!pressed) return;
    event.preventDefault();
    // A button that was tapped before must not take the next Enter for itself.
    target.blur();
    if (pressed.wish) this.wished.emit(pressed.wish);
    else this.desk.change(pressed.entry.side, pressed.entry.pending);
  }
}
