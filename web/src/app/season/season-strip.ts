import { UnitName, figure } from '../language/units';
import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterNextRender,
  computed,
  inject,
  input,
  output,
} from '@angular/core';
import type { Strip, StripDay } from '@brave-comb/contract';
import { gives } from '@brave-comb/core/season';
import { daysBetween } from '@brave-comb/core/units';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { civilTime, decimal, shortDate, timeOf, weekday } from '../ui/format';
import { lanes } from '../ui/lanes';
import { PHASE_FILL } from './phase-colours';
import { named } from '../language/words';
import { MatTooltip } from '@angular/material/tooltip';

const WIDTH = 1232;
const LEFT = 96;
const HEAD = 18;
const LANE = 11;
const MOST_LANES = 3;
const PHASE = 13;
const DUE_LANES = 3;
const BARS = { lid: 40, 'one-frame': 28, full: 16 } as const;

/** Three weeks around today: hours fit for opening, weather, bloom, sessions and what is due. Arrows move a day, [ and ] a week. */
@Component({
  selector: 'bc-season-strip',
  imports: [MatTooltip, UnitName],
  templateUrl: './season-strip.html',
  styleUrl: './season-strip.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SeasonStrip {
  readonly strip = input.required<Strip>();
  readonly compact = input(false);
  readonly chosen = input<string | null>(null);
  /** Now, ms since 1970. */
  readonly now = input.required<number>();
  readonly dayChosen = output<string>();
  readonly siteChosen = output<string>();
  readonly weekMoved = output<number>();

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  constructor() {
    // Where the strip is wider than the screen, it opens on today.
    afterNextRender(() => {
      const element = this.host.nativeElement;
      const today = element.querySelector<HTMLElement>('.day[aria-pressed="true"]');
      const frame = element.querySelector<HTMLElement>('.scroll');
      if (today && frame) frame.scrollLeft = today.offsetLeft + element.clientWidth * -0.2;
    });
  }

  protected readonly width = WIDTH;
  protected readonly left = LEFT;
  protected readonly column = (WIDTH - LEFT) / 21;
  protected readonly head = HEAD;

  protected readonly rows = computed(() => {
    const fitHeight = this.compact() ? 34 : 52;
    const fit = HEAD + fitHeight;
    const weather = fit + 3;
    const weatherEnd = weather + 37;
    const phase = weatherEnd + 2;
    const bloom = phase + PHASE + 3;
    const sessions = this.compact() ? fit + 2 : bloom + MOST_LANES * LANE + 3;
    const due = sessions + 18;
    return {
      fit,
      fitHeight,
      weather,
      weatherEnd,
      phase,
      bloom,
      sessions,
      due,
      height: this.compact() ? fit + 18 : due + 10 + DUE_LANES * 9,
    };
  });

  protected readonly days = computed(() => {
    const { days, today } = this.strip();
    const { fit, fitHeight } = this.rows();
    const hours = scaleLinear([0, 15], [0, fitHeight - (this.compact() ? 2 : 13)]).clamp(true);
    return days.map((day, index) => {
      const x = LEFT + index * this.column;
      const middle = x + this.column / 2;
      const past = day.date < today;
      const bar = (depth: keyof typeof BARS, from: number, to: number) => ({
        x: middle - BARS[depth] / 2,
        y: fit - hours(to),
        width: BARS[depth],
        height: Math.max(0, hours(to) - hours(from)),
      });
      const fits = day.hours;
      return {
        date: day.date,
        name: shortDate(day.date),
        x,
        middle,
        past,
        today: day.date === today,
        weekend: weekday(day.date) > 5,
        monday: weekday(day.date) === 1,
        chosen: day.date === (this.chosen() ?? today),
        known: fits !== null,
        lid: fits && bar('lid', 0, fits.lid[1]),
        oneFrame: fits && bar('one-frame', 0, fits['one-frame'][1]),
        sure: fits && bar('full', 0, fits.full[0]),
        maybe: fits && fits.full[2] > fits.full[0] ? bar('full', fits.full[0], fits.full[2]) : null,
        hoursText: fits ? hoursText(day) : '?',
        label: this.inWords(day),
      };
    });
  });

  protected readonly weather = computed(() => {
    const { days } = this.strip();
    const { weather, weatherEnd } = this.rows();
    const all = days.flatMap((day) => day.warmest ?? []);
    const warmth = scaleLinear([Math.min(8, ...all), Math.max(20, ...all)], [weatherEnd - 3, weather + 4]);
    const rain = scaleLinear([0, 15], [0, 24]).clamp(true);
    const x = (index: number) => LEFT + (index + 0.4) * this.column;
    const points = days.flatMap((day, index) => (day.warmest ? [{ x: x(index), warmest: day.warmest }] : []));
    return {
      middle:
        line<(typeof points)[number]>(
          (p) => p.x,
          (p) => warmth(p.warmest[1]),
        ).curve(curveMonotoneX)(points) ?? '',
      spread:
        area<(typeof points)[number]>(
          (p) => p.x,
          (p) => warmth(p.warmest[0]),
          (p) => warmth(p.warmest[2]),
        ).curve(curveMonotoneX)(points) ?? '',
      days: days.map((day, index) => ({
        date: day.date,
        x: LEFT + index * this.column + 4,
        warmest: day.warmest ? `${figure('temperature', day.warmest[1], 0)}°` : '',
        rainX: LEFT + (index + 1) * this.column - 14,
        sure: rain(day.rain?.[0] ?? 0),
        maybe: rain(day.rain?.[1] ?? 0),
      })),
    };
  });

  /** The colony year over these weeks. */
  protected readonly phases = computed(() =>
    this.strip().phases.map((span) => {
      const from = LEFT + Math.max(0, this.indexOf(span.from)) * this.column;
      const to = LEFT + Math.min(21, this.indexOf(span.to) + 1) * this.column;
      return {
        from: span.from,
        x: from,
        width: Math.max(0, to - from),
        fill: PHASE_FILL[span.phase],
        text:
          to - from > span.phase.length * 7
            ? named('phase', span.phase) +
              (span.swarming && span.swarming.to >= this.strip().today ? $localize`, swarms may leave` : '')
            : '',
        cut: this.indexOf(span.from) > 0,
      };
    }),
  );

  /** Sunrise and sunset of each day, as ticks on the fit bars' side. */
  protected readonly sunText = computed(() => {
    const { days, today, site } = this.strip();
    const day = days.find((each) => each.date === (this.chosen() ?? today)) ?? days[0];
    return day?.sun.rise && day.sun.set
      ? $localize`sun ${timeOf(day.sun.rise, site.zone)}–${timeOf(day.sun.set, site.zone)}`
      : day && day.sun.hours > 12
        ? $localize`sun all day`
        : $localize`no sun`;
  });

  protected readonly bloom = computed(() => {
    const { bloom, today } = this.strip();
    // What is over gives way where there are not lanes enough.
    const all = lanes(
      bloom.map((each) => ({ from: this.indexOf(each.from), to: this.indexOf(each.to) + 1 })),
      MOST_LANES,
    );
    const shown = all.leftOut > 0 ? bloom.filter((each) => each.to >= today) : bloom;
    const { placed, leftOut } = lanes(
      shown.map((each) => {
        const from = Math.max(0, this.indexOf(each.from));
        const to = Math.min(21, this.indexOf(each.to) + 1);
        const seen =
          each.giveOrTake === 0 || each.from <= today ? Math.min(to, Math.max(from, this.indexOf(today) + 0.3)) : from;
        const opening = each.from > today;
        const room = (to - from) * this.column;
        const text = opening
          ? room > 190
            ? $localize`${each.plant} opens, ± ${each.giveOrTake} days`
            : each.plant
          : this.indexOf(each.to) < 21 && each.to <= today
            ? $localize`${each.plant} ended, ${named('gives', gives(each))}`
            : `${each.plant}, ${named('gives', gives(each))}`;
        return { from, to, seen, text, gives: gives(each) };
      }),
      MOST_LANES,
    );
    return {
      leftOut,
      bars: placed.map((bar) => {
        const x = LEFT + bar.from * this.column;
        const end = LEFT + bar.to * this.column;
        const seen = LEFT + bar.seen * this.column;
        return {
          ...bar,
          x,
          seen,
          seenWidth: Math.max(0, seen - x),
          restWidth: Math.max(0, end - seen),
          y: this.rows().bloom + bar.lane * LANE,
          fill:
            bar.gives === 'nectar'
              ? 'var(--nectar)'
              : bar.gives === 'pollen'
                ? 'var(--pollen-bar)'
                : 'url(#hatch-both)',
        };
      }),
    };
  });

  protected readonly sessions = computed(() =>
    this.strip().sessions.flatMap((session) => {
      const index = this.indexOf(session.date);
      if (index < 0 || index > 20) return [];
      const state =
        session.status === 'called-off'
          ? 'off'
          : session.status === 'held'
            ? 'held'
            : session.date === this.strip().today
              ? 'now'
              : 'planned';
      return [{ ...session, x: LEFT + (index + 0.5) * this.column - 10, y: this.rows().sessions, state }];
    }),
  );

  protected readonly due = computed(() => {
    const { due, today } = this.strip();
    const open = due.filter((each) => !each.done);
    const soonest = open.filter(
      (each) =>
        !open.some(
          (other) =>
            other.hive === each.hive && (other.due < each.due || (other.due === each.due && other.id < each.id)),
        ),
    );
    const { placed, leftOut } = lanes(
      soonest.map((each) => ({
        ...each,
        from: Math.max(0, this.indexOf(each.from)),
        to: Math.min(21, this.indexOf(each.due) + 1),
        last: each.due,
      })),
      DUE_LANES,
    );
    return {
      leftOut,
      lines: placed.map((each) => {
        const x = LEFT + each.from * this.column + 4;
        return {
          ...each,
          x,
          start: x + (each.hive.length > 1 ? 16 : 10),
          end: LEFT + each.to * this.column - 5,
          y: this.rows().due + 5 + each.lane * 9,
          late: each.last <= today,
        };
      }),
    };
  });

  /** In the compact strip what is due stands on its last day: hive numbers after a tick. */
  protected readonly dueMarks = computed(() => {
    const { due, today } = this.strip();
    const days = new Map<string, Set<string>>();
    for (const each of due) {
      const index = this.indexOf(each.due);
      if (each.done || index < 0 || index > 20) continue;
      days.set(each.due, (days.get(each.due) ?? new Set()).add(each.hive));
    }
    const busy = new Set(this.strip().sessions.map((session) => session.date));
    return [...days].map(([date, hives]) => ({
      date,
      // A session's mark stands in the middle of the day: many hives are counted, few are named.
      hives: hives.size > (busy.has(date) ? 1 : 3) ? `${hives.size}×` : [...hives].join(','),
      x: LEFT + this.indexOf(date) * this.column + 3,
      late: date <= today,
    }));
  });

  protected readonly nowX = computed(() => {
    const { site, today } = this.strip();
    const [hours, minutes] = civilTime(this.now(), site.zone).split(':').map(Number);
    return LEFT + (this.indexOf(today) + ((hours ?? 0) + (minutes ?? 0) / 60) / 24) * this.column;
  });

  private indexOf(date: string): number {
    return daysBetween(this.strip().days[0]!.date, date);
  }

  private inWords(day: StripDay): string {
    const strip = this.strip();
    const session = strip.sessions.find((each) => each.date === day.date);
    const due = strip.due.filter((each) => !each.done && each.from <= day.date && each.due >= day.date);
    return [
      shortDate(day.date) + (day.date === strip.today ? $localize`, today` : ''),
      day.hours ? $localize`full inspection ${hoursText(day)}` : $localize`no forecast`,
      day.warmest ? $localize`warmest ${figure('temperature', day.warmest[1], 0)} degrees` : '',
      day.sun.rise && day.sun.set
        ? $localize`sun ${timeOf(day.sun.rise, strip.site.zone)} to ${timeOf(day.sun.set, strip.site.zone)}`
        : '',
      session ? $localize`session ${named('sessionStatus', session.status)}, ${session.groups} hives` : '',
      due.length > 0 ? $localize`due: ${due.map((each) => $localize`hive ${each.hive}`).join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; ');
  }

  protected move(event: KeyboardEvent, index: number): void {
    const step = { ArrowLeft: -1, ArrowRight: 1, Home: -index, End: 20 - index }[event.key];
    if (event.key === '[' || event.key === ']') {
      this.weekMoved.emit(event.key === '[' ? -7 : 7);
      event.preventDefault();
    } else if (step !== undefined) {
      const buttons = this.host.nativeElement.querySelectorAll<HTMLButtonElement>('.day');
      buttons[Math.min(20, Math.max(0, index + step))]?.focus();
      event.preventDefault();
    }
  }
}

/** Hours fit for a full inspection: "3 h", "2–5 h", or a dash. */
function hoursText({ hours, observed }: StripDay): string {
  if (!hours) return '?';
  const [low, middle, high] = hours.full;
  if (observed) return middle > 0 ? `${decimal(middle)} h` : '–';
  if (high < 1) return '–';
  return high - low > 1 ? `${Math.round(low)}–${Math.round(high)} h` : `${decimal(middle)} h`;
}
