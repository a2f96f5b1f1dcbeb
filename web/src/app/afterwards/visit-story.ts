import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Review } from '@brave-comb/contract';
import { type EntryBody, type Letter, type SideAddress } from '@brave-comb/core/inspection';
import { AttachmentView } from '../inspection/attachment-view';
import { dateText, dayOf, timeOf } from '../ui/format';
import { YoungBees } from './young-bees';
import { Named } from '../language/words';

/** What a photo is mostly looked at again for. */
const LOOK_FOR: readonly { readonly letter: Letter; readonly name: string }[] = [
  { letter: 'E', name: $localize`Eggs` },
  { letter: 'L', name: $localize`Larvae` },
  { letter: 'S', name: $localize`Sealed brood` },
];

/** What a visit adds up to, how it went, and what its photos show when somebody looks again. */
@Component({
  selector: 'bc-visit-story',
  imports: [MatButton, Named, AttachmentView, YoungBees],
  template: `
    <section class="sheet" aria-labelledby="adds-up">
      <h2 id="adds-up" i18n>What it adds up to</h2>
      <div class="two">
        <ul>
          <li>
            <b class="verdict">{{ review().queen.verdict | named: 'queenVerdict' }}</b>. {{ review().queen.says }}
            @if (review().queen.laid; as laid) {
              <ng-container i18n>Laid between {{ date(laid.from) }} and {{ date(laid.to) }}. </ng-container>
            }
          </li>
          @for (line of review().sums; track line.says) {
            <li [class.watch]="line.level === 'watch'" [class.act]="line.level === 'act'">
              {{ line.says }}.
              @if (line.asks) {
                <b>{{ line.asks }}</b>
              }
            </li>
          }
          <li>{{ review().temper }}</li>
        </ul>
        @if (anyDue()) {
          <bc-young-bees [days]="review().youngBees" />
        }
      </div>
    </section>
    <section class="sheet" aria-labelledby="went">
      <h2 id="went" i18n>How it went</h2>
      <div class="parts">
        @for (part of review().told; track part.title) {
          <div>
            <h3>{{ part.title }}</h3>
            <ul>
              @for (line of part.lines; track $index) {
                <li [class.watch]="line.warns">{{ line.text }}</li>
              }
            </ul>
          </div>
        } @empty {
          <p i18n>Only the frames were recorded.</p>
        }
      </div>
    </section>
    @if (review().attachments.length > 0) {
      <section class="sheet" aria-labelledby="photos">
        <h2 id="photos" i18n>Photos and voice notes</h2>
        <p class="quiet" i18n>
          What a photo shows later changes the reading of its side, marked "confirmed afterwards". It can be changed
          back.
        </p>
        <ul class="photos">
          @for (each of review().attachments; track each.id) {
            <li>
              <h3>{{ each.of }}: {{ each.where }}</h3>
              <p class="quiet">
                {{ each.by }}, {{ day(each.at) }}, {{ time(each.at)
                }}{{ each.seconds === null ? '' : ', ' + each.seconds + ' s' }}
              </p>
              <bc-attachment-view [attachment]="each.id" [name]="each.of + ', ' + each.where" />
              @if (each.kind === 'photo' && review().mayDecide) {
                @if (sideOf(each.spot); as address) {
                  @for (content of lookFor; track content.letter) {
                    <div
                      class="ask"
                      role="group"
                      ariaLabel="{{ content.name }} on the photo of {{ each.where }}"
                      i18n-ariaLabel
                    >
                      <span>{{ content.name }}</span>
                      <button type="button" matButton="outlined" (click)="confirm(address, content.letter, true)" i18n>
                        there
                      </button>
                      <button type="button" matButton="outlined" (click)="confirm(address, content.letter, false)" i18n>
                        not there
                      </button>
                    </div>
                  }
                }
              }
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    .verdict {
      display: inline-block;
    }
    .verdict::first-letter {
      text-transform: uppercase;
    }
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 16px;
    }
    section {
      padding: 10px 14px 12px;
    }
    h2 {
      font-size: 16.5px;
    }
    h3 {
      margin-top: 6px;
      font: 650 13.5px var(--font);
    }
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 260px;
      gap: 18px;
      margin-top: 6px;
    }
    .parts {
      columns: 2;
      column-gap: 26px;
    }
    .parts > div {
      break-inside: avoid;
      margin-bottom: 8px;
    }
    li {
      padding: 2px 0 2px 8px;
      border-left: 3px solid var(--line-2);
    }
    li + li {
      margin-top: 2px;
    }
    li.watch {
      border-color: var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
    }
    li.act {
      border-color: var(--madder);
      background: var(--madder-100);
    }
    .photos {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
      gap: 14px;
    }
    .photos li {
      display: grid;
      gap: 6px;
      align-content: start;
      padding: 0;
      border: 0;
    }
    .ask {
      display: flex;
      gap: 8px;
      align-items: center;
    }
    .ask span {
      margin-right: auto;
    }
    .quiet {
      color: var(--ink-2);
      font-size: var(--t-dense);
    }
    @media (width < 900px) {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
      .parts {
        columns: 1;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitStory {
  readonly review = input.required<Review>();
  readonly added = output<EntryBody>();
  protected readonly lookFor = LOOK_FOR;
  protected readonly date = dateText;
  protected readonly anyDue = computed(() => this.review().youngBees.some((bees) => bees > 0));

  protected day(at: string): string {
    return dayOf(at, this.review().zone);
  }

  protected time(at: string): string {
    return timeOf(at, this.review().zone);
  }

  protected sideOf(spot: Review['attachments'][number]['spot']): SideAddress | null {
    return spot?.frame && spot.face ? { box: spot.part, frame: spot.frame, face: spot.face } : null;
  }

  protected confirm(address: SideAddress, letter: Letter, there: boolean): void {
    this.added.emit({ kind: 'confirmed-afterwards', address, letter, there });
  }
}
