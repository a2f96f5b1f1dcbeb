import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import type { OnHand } from '@brave-comb/contract';
import { named } from '@brave-comb/core/language';
import { said } from '../language/said';

/** Hours of the day that the band shows. */
const [FIRST, LAST] = [7, 21];
const STEP = 15;
const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
const across = (minutes: number): number => (100 * (minutes - FIRST * 60)) / ((LAST - FIRST) * 60);

/** What the weather allows through a day, with the session lying over it; buttons move it by a quarter of an hour. */
@Component({
  selector: 'bc-hand-hours',
  imports: [MatIcon, MatIconButton],
  template: `
    <div class="band" role="img" [attr.aria-label]="words()">
      @for (span of spans(); track span.from) {
        <span class="span" [class]="span.depth ?? 'shut'" [style.left.%]="span.left" [style.width.%]="span.width">
          <i>{{ span.width > 9 ? span.name : '' }}</i>
        </span>
      }
      <span class="session" [style.left.%]="left()" [style.width.%]="width()"></span>
    </div>
    <div class="scale" aria-hidden="true">
      @for (hour of scale; track hour) {
        <span [style.left.%]="at(hour)">{{ hour }}</span>
      }
    </div>
    <p class="ways">
      <button
        type="button"
        matIconButton
        aria-label="A quarter of an hour earlier"
        i18n-aria-label
        (click)="move(-step)"
      >
        <mat-icon svgIcon="back" aria-hidden="true" />
      </button>
      <button type="button" matIconButton aria-label="A quarter of an hour later" i18n-aria-label (click)="move(step)">
        <mat-icon svgIcon="forward" aria-hidden="true" />
      </button>
      <span class="quiet">{{ turns() }}</span>
    </p>
  `,
  styles: `
    .band {
      position: relative;
      height: 34px;
      background: var(--line-2);
    }
    .span {
      position: absolute;
      inset-block: 4px;
      display: grid;
      place-items: center;
      overflow: hidden;
      font-size: var(--t-note);
      white-space: nowrap;
    }
    .span i {
      font-style: normal;
    }
    .outside {
      background: var(--line);
    }
    .lid {
      background: var(--spruce-100);
    }
    .one-frame {
      background: var(--spruce-300);
    }
    .full {
      background: var(--spruce);
      color: var(--sheet);
    }
    .session {
      position: absolute;
      inset-block: -3px;
      border: 2px solid var(--heather);
      border-top-width: 6px;
      border-radius: 3px;
    }
    .scale {
      position: relative;
      height: 18px;
      font-size: var(--t-note);
      color: var(--ink-2);
    }
    .scale span {
      position: absolute;
      translate: -50%;
    }
    .ways {
      display: flex;
      gap: 4px;
      align-items: center;
      margin: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HandHours {
  readonly day = input.required<Pick<OnHand, 'spans' | 'from' | 'to' | 'turns'>>();
  readonly moved = output<{ readonly from: string; readonly to: string }>();
  protected readonly step = STEP;
  protected readonly scale = Array.from({ length: (LAST - FIRST) / 2 + 1 }, (_, at) => FIRST + 2 * at);
  protected readonly turns = computed(() => this.day().turns ?? '');
  protected readonly left = computed(() => Math.max(0, across(minutesOf(this.day().from))));
  protected readonly width = computed(() => Math.min(100, across(minutesOf(this.day().to))) - this.left());
  protected readonly spans = computed(() =>
    this.day().spans.flatMap(({ depth, from, to }) => {
      const end = to === '00:00' ? 24 * 60 : minutesOf(to);
      const [left, right] = [Math.max(0, across(minutesOf(from))), Math.min(100, across(end))];
      const name = depth === null ? $localize`stay shut` : said(named('depth', depth));
      return right <= left ? [] : [{ depth, from, to, name, left, width: right - left }];
    }),
  );
  protected readonly words = computed(() =>
    this.spans().length === 0
      ? $localize`No forecast reaches this day.`
      : this.spans()
          .map(({ from, to, name }) => $localize`${from} to ${to}\: ${name}`)
          .join('; '),
  );

  protected at(hour: number): number {
    return across(hour * 60);
  }

  protected move(by: number): void {
    const [from, to] = [minutesOf(this.day().from) + by, minutesOf(this.day().to) + by];
    if (from >= 0 && to < 24 * 60) this.moved.emit({ from: clockOf(from), to: clockOf(to) });
  }
}
