import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { EvidenceId, SeenEnough } from '@brave-comb/core/inspection';
import { Named, SaidPipe } from '../ui/words';

/** What was asked, what was seen of it, and what the rest would cost. */
@Component({
  selector: 'bc-seen-enough',
  imports: [SaidPipe, Named, MatIcon],
  template: `
    <h2>Seen enough?</h2>
    <ul>
      @for (each of seen().evidence; track each.id) {
        <li [class.missing]="each.state === 'missing'">
          <button
            type="button"
            class="tick"
            role="checkbox"
            [attr.aria-checked]="each.state === 'seen' ? 'true' : each.state === 'not-needed' ? 'mixed' : 'false'"
            [attr.aria-label]="
              (each.id | named: 'evidence') + ', ' + (each.state | named: 'evidenceState') + ', ' + (each.where | said)
            "
            (click)="ticked.emit({ evidence: each.id, seen: each.state !== 'seen' })"
          >
            <span class="box" [class.on]="each.state === 'seen'" [class.off]="each.state === 'not-needed'">
              @if (each.state === 'seen') {
                <mat-icon svgIcon="check" aria-hidden="true" />
              } @else if (each.state === 'not-needed') {
                –
              }
            </span>
            <span
              ><b>{{ each.id | named: 'evidence' }}</b> {{ each.where | said }}</span
            >
          </button>
        </li>
      }
    </ul>
    <p class="price" role="status">
      @if (seen().enough) {
        <b>Yes.</b> What was asked is answered. The rest can stay where it is.
      } @else if (seen().framesToGo > 0) {
        <b>Not yet.</b> {{ seen().framesToGo }} more {{ seen().framesToGo === 1 ? 'frame' : 'frames' }}, about
        {{ seen().minutesToGo }} {{ seen().minutesToGo === 1 ? 'minute' : 'minutes' }}, would answer it.
      } @else {
        <b>Not yet.</b> Nothing more to lift: tick what you saw.
      }
    </p>
    <button type="button" class="big" [class.sel]="seen().enough" (click)="stopped.emit()">
      {{ seen().enough ? 'Start closing' : 'Stop here, say why' }}
    </button>
  `,
  styleUrl: './seen-enough.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SeenEnoughPanel {
  readonly seen = input.required<SeenEnough>();
  readonly ticked = output<{ readonly evidence: EvidenceId; readonly seen: boolean }>();
  readonly stopped = output();
}
