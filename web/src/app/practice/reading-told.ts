import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { LETTERS, type Letter } from '@brave-comb/core/inspection';
import { meanOf } from '@brave-comb/core/statistics';
import { SHORT_CONTENTS } from '../inspection/short-contents';
import type { PracticeResult } from '@brave-comb/core/practice';

/** Combs whose difference is shown as dots. */
const LATE = 20;
const MIDDLE = 58;
const EIGHTH = 36;
/** Bias from which a habit is named, eighths. */
const HABIT = 0.4;

/** What was said beside what was there, and how the last combs went. */
@Component({
  selector: 'bc-reading-told',
  template: `
    <div class="scroll">
      <table>
        <caption i18n>
          Your answer and what was there
        </caption>
        <thead>
          <tr>
            <th scope="col" colspan="2"><span class="unseen" i18n>Content</span></th>
            <th scope="col" i18n>your eighths, <b>truth</b></th>
            <th scope="col"><span class="unseen" i18n>truth in figures</span></th>
            <th scope="col" i18n>your last {{ late().length }}</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.letter) {
            <tr>
              <td class="letter" aria-hidden="true">{{ row.letter }}</td>
              <th scope="row">{{ row.name }}</th>
              <td>
                <svg viewBox="0 0 112 28" role="img" ariaLabel="You said {{ row.said }}" i18n-ariaLabel>
                  @for (place of eighths; track place) {
                    <rect
                      [attr.x]="place * 14 + 1"
                      y="6"
                      width="12"
                      height="16"
                      rx="1.5"
                      [attr.fill]="place < row.read ? 'url(#comb-m-' + row.letter + ')' : 'var(--sheet)'"
                      [attr.stroke]="place < row.read ? 'var(--comb-ink)' : 'var(--line)'"
                    />
                  }
                  @if (row.few) {
                    <text x="7" y="19" text-anchor="middle" font-weight="700">+</text>
                  }
                  <path [attr.d]="'M' + row.truth * 14 + ' 1V27'" stroke="var(--sheet)" stroke-width="5" />
                  <path [attr.d]="'M' + row.truth * 14 + ' 1V27'" stroke="var(--heather)" stroke-width="2.8" />
                </svg>
              </td>
              <td class="truth">{{ row.truth.toFixed(1) }}</td>
              <td>
                <svg viewBox="0 0 116 28" role="img" [attr.aria-label]="row.habit">
                  <path d="M4 14H112" stroke="var(--line)" />
                  <path d="M22 3V25M94 3V25" stroke="var(--ink-3)" stroke-dasharray="2 3" />
                  @for (dot of row.dots; track $index) {
                    <circle [attr.cx]="dot.x" [attr.cy]="dot.y" r="2.2" fill="var(--heather-500)" opacity=".45" />
                  }
                  @if (row.mean !== null) {
                    <circle [attr.cx]="row.mean" cy="14" r="4.6" fill="var(--heather)" />
                  }
                  <path d="M58 0V28" stroke="var(--ink)" stroke-width="1.2" />
                </svg>
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="axis" aria-hidden="true"><span i18n>too few</span><span i18n>1 eighth</span><span i18n>too many</span></p>
    <p>{{ habits() }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    .scroll {
      position: relative;
      overflow-x: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    caption {
      padding-bottom: 4px;
      font: 650 19px var(--display);
      text-align: left;
    }
    thead th {
      color: var(--ink-2);
      font-size: 12.5px;
      font-weight: 400;
      text-align: left;
    }
    thead b {
      color: var(--heather);
    }
    tbody tr {
      height: 38px;
      border-bottom: 1px solid var(--line-2);
    }
    tbody th {
      font-weight: 400;
      text-align: left;
    }
    .letter {
      width: 20px;
      font: 750 17px var(--display);
    }
    .truth {
      padding-right: 6px;
      color: var(--heather);
      font-weight: 700;
      text-align: right;
    }
    svg {
      display: block;
      width: 112px;
      height: 28px;
    }
    .axis {
      display: flex;
      gap: 12px;
      justify-content: flex-end;
      margin-bottom: 8px;
      color: var(--ink-2);
      font-size: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ReadingTold {
  readonly read = input.required<Readonly<Partial<Record<Letter, number>>>>();
  readonly truth = input.required<Readonly<Partial<Record<Letter, number>>>>();
  /** All results of the person; combs among them are shown. */
  readonly results = input.required<readonly PracticeResult[]>();
  protected readonly eighths = [0, 1, 2, 3, 4, 5, 6, 7];
  protected readonly late = computed(() =>
    this.results()
      .filter(({ read, truth }) => read !== null && truth !== null)
      .toSorted((a, b) => a.at.localeCompare(b.at))
      .slice(-LATE),
  );

  /** Differences of the last combs on which a content was read or there. */
  private off(letter: Letter): readonly number[] {
    return this.late().flatMap(({ read, truth }) => {
      const [own, there] = [read?.[letter] ?? 0, truth?.[letter] ?? 0];
      return own > 0 || there > 0 ? [own - there] : [];
    });
  }

  protected readonly rows = computed(() =>
    LETTERS.filter((letter) => (this.read()[letter] ?? 0) > 0 || (this.truth()[letter] ?? 0) > 0).map((letter) => {
      const [read, truth] = [this.read()[letter] ?? 0, this.truth()[letter] ?? 0];
      const off = this.off(letter);
      const at = (value: number) => MIDDLE + Math.max(-1.5, Math.min(1.5, value)) * EIGHTH;
      const bias = off.length === 0 ? null : meanOf(off);
      return {
        letter,
        name: SHORT_CONTENTS[letter],
        read: Math.floor(read),
        few: read > 0 && read < 1,
        truth,
        said: read > 0 && read < 1 ? $localize`only a few` : $localize`${read} eighths`,
        dots: off.map((value, index) => ({ x: at(value), y: 5 + ((index * 7) % 19) })),
        mean: bias === null ? null : at(bias),
        habit:
          bias === null
            ? $localize`Nothing to compare yet`
            : $localize`On ${off.length} combs ${Math.abs(bias).toFixed(1)} eighths too ${bias < 0 ? $localize`few` : $localize`many`} on the mean`,
      };
    }),
  );

  protected readonly habits = computed(() => {
    if (this.late().length < 5) return $localize`After five combs your habits appear here.`;
    const habits = LETTERS.flatMap((letter) => {
      const off = this.off(letter);
      const bias = off.length < 3 ? 0 : meanOf(off);
      const same = off.filter((each) => each !== 0 && Math.sign(each) === Math.sign(bias)).length;
      return Math.abs(bias) >= HABIT
        ? [
            $localize`too ${bias < 0 ? $localize`little` : $localize`much`} ${named('content', letter)} in ${same} of ${off.length} combs, by ${Math.abs(bias).toFixed(1)} eighths`,
          ]
        : [];
    });
    return habits.length === 0
      ? $localize`No consistent habit in your last combs: errors go both ways, as chance would.`
      : $localize`You read ${habits.join('; ')}.`;
  });
}
