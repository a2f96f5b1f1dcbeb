import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { EvidenceId, SeenEnough } from '@brave-comb/core/inspection';
import { Named } from '../language/words';
import { SaidPipe } from '../language/said';
import { MatButton } from '@angular/material/button';

/** What was asked, what was seen of it, and what the rest would cost. */
@Component({
  selector: 'bc-seen-enough',
  imports: [MatButton, SaidPipe, Named, MatIcon],
  template: `
    <h2 i18n>Seen enough?</h2>
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
        <ng-container i18n><b>Yes.</b> Your questions are answered. The rest can stay closed. </ng-container>
      } @else if (seen().framesToGo > 0) {
        <ng-container i18n
          ><b>Not yet.</b> {{ seen().framesToGo }} more {seen().framesToGo, plural, =1 {frame} other {frames}}, about
          {{ seen().minutesToGo }} {seen().minutesToGo, plural, =1 {minute} other {minutes}}, would answer it.
        </ng-container>
      } @else {
        <ng-container i18n><b>Not yet.</b> Nothing more to lift: tick what you saw. </ng-container>
      }
    </p>
    <button type="button" matButton="outlined" [class.sel]="seen().enough" (click)="stopped.emit()" i18n>
      {!!seen().enough, select, true {Start closing} other {Close early and say why}}
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
