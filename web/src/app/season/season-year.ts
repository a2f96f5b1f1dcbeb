import { UnitName, measured } from '../language/units';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  afterNextRender,
  computed,
  effect,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { Year } from '@brave-comb/contract';
import { swarmingOn } from '@brave-comb/core/season';
import { addDays, daysBetween, upperFirst } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { dateText, dayText, monthOf, sureText } from '../ui/format';
import { lanes } from '../ui/lanes';
import { PHASE_FILL } from './phase-colours';
import { ViewDesk } from '../api/view-desk';
import { peopleFeature } from '../people/people.feature';
import { CourseLoad } from './course-load';
import { seasonFeature } from './season.feature';
import { ViewState } from '../api/view-state';
import { YearScale } from './year-scale';
import { Named, named } from '../language/words';

const LABELS = 118;
const NOTES = 232;
const NARROW = 900;
/** Below this a year has no room: it opens on the weeks around today. */
const SMALL = 560;
const LEAST = 300;
/** Room that a tick's words take, px. */
const [WEEK_ROOM, DATE_ROOM, MONTH_ROOM] = [24, 50, 30];
const QUARTERS = ['01', '04', '07', '10'];
const LANE = 17;
const HIVE = 12;
const WEEK = 7;

/** The year of growth: phases, weather, bloom, flow, sessions, deadlines and each hive's openings and dues. */
@Component({
  selector: 'bc-season-year',
  imports: [CourseLoad, MatButton, UnitName, Named, RouterLink, ViewState],
  templateUrl: './season-year.html',
  styleUrl: './season-year.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SeasonYear {
  private readonly desk = inject(ViewDesk);
  private readonly store = inject(Store);
  private readonly site = this.store.selectSignal(seasonFeature.selectSite);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  /** What the course asks of hives and weeks is for those who plan it. */
  protected readonly staff = computed(() => this.person() !== null && this.person()?.role !== 'trainee');
  private readonly router = inject(Router);
  private readonly date = signal<string | null>(null);
  protected readonly watched = this.desk.watch('seasonYear', () => {
    const site = this.site();
    return site ? { query: { site, date: this.date() ?? undefined } } : null;
  });
  protected readonly year = this.watched.data;
  protected readonly axis = signal<'dates' | 'weeks'>('dates');

  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  private readonly svg = viewChild<ElementRef<SVGSVGElement>>('chart');
  protected readonly width = signal(1200);
  private readonly narrow = computed(() => this.width() < NARROW);
  private readonly plot = computed(() => ({
    left: LABELS,
    right: this.width() - (this.narrow() ? 8 : NOTES),
    days: this.year() ? this.length() : 365,
  }));
  protected readonly scale = new YearScale(this.plot, this.svg);
  protected readonly plotLeft = LABELS;
  protected readonly plotRight = computed(() => this.plot().right);

  constructor() {
    effect(() => {
      if (this.width() < SMALL && this.year()) untracked(() => this.aroundToday());
    });
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const element = this.frame()?.nativeElement;
      if (!element) return;
      const watch = new ResizeObserver(([entry]) =>
        this.width.set(Math.max(LEAST, Math.floor(entry!.contentRect.width))),
      );
      watch.observe(element);
      destroyed.onDestroy(() => watch.disconnect());
    });
  }

  private readonly length = computed(() => {
    const year = this.year();
    return year ? daysBetween(year.from, year.to) + 1 : 365;
  });

  private day(date: string): number {
    return daysBetween(this.year()!.from, date);
  }

  protected readonly rows = computed(() => {
    const bloomLanes = Math.max(1, this.bloom().count);
    const phases = 30;
    const weather = phases + 32;
    const bloom = weather + 74;
    const flow = bloom + bloomLanes * LANE + 14;
    const sessions = flow + 92;
    const deadlines = sessions + 26;
    const hives = deadlines + this.deadlines().count * 14 + 12;
    const count = this.year()?.colonies.length ?? 0;
    return { phases, weather, bloom, flow, sessions, deadlines, hives, height: hives + Math.max(1, count) * HIVE + 10 };
  });

  /** First pollen of the year: seen by somebody, or the first plant that gives much. */
  private readonly firstPollen = computed(() => {
    const year = this.year();
    if (!year) return 0;
    const seen = year.events.find((event) => event.kind === 'natural-pollen')?.date;
    const plant = year.bloom.find((bloom) => bloom.pollen >= 2)?.from;
    return this.day(seen ?? plant ?? year.from);
  });

  protected readonly ticks = computed(() => {
    const year = this.year();
    if (!year) return [];
    const x = this.scale.x();
    const [from, to] = x.domain() as [number, number];
    const visible = (day: number) => day >= from && day <= to;
    if (this.axis() === 'weeks') {
      const zero = this.firstPollen();
      const every = [1, 2, 4, 8].find((weeks) => x(weeks * WEEK) - x(0) >= WEEK_ROOM) ?? 16;
      const first = Math.ceil((from - zero) / WEEK / every) * every;
      return Array.from({ length: 60 }, (_, index) => first + index * every)
        .map((week) => ({ day: zero + week * WEEK, text: `${week}`, strong: week === 0 }))
        .filter(({ day }) => visible(day))
        .map((tick) => ({ ...tick, x: x(tick.day) }));
    }
    const month = x(30) - x(0);
    const fine = month >= 2 * DATE_ROOM;
    const days = ['01', ...(fine ? ['15'] : []), ...(month >= 4 * DATE_ROOM ? ['08', '22'] : [])];
    const named = (date: string) => month >= MONTH_ROOM || QUARTERS.includes(date.slice(5, 7));
    return Array.from({ length: this.length() }, (_, day) => addDays(year.from, day))
      .filter((date) => days.includes(date.slice(8)) && named(date))
      .map((date) => ({
        day: this.day(date),
        text: date.endsWith('-01') && !fine ? monthOf(date) : dayText(date),
        strong: date.endsWith('-01'),
      }))
      .filter(({ day }) => visible(day))
      .map((tick) => ({ ...tick, x: x(tick.day) }));
  });

  protected readonly todayX = computed(() => {
    const year = this.year();
    if (!year || year.today < year.from || year.today > year.to) return null;
    return this.scale.x()(this.day(year.today) + 0.5);
  });

  protected readonly phases = computed(() => {
    const x = this.scale.x();
    return (this.year()?.phases ?? []).map((span) => {
      const from = x(this.day(span.from));
      const to = x(this.day(span.to) + 1);
      const left = Math.max(from, LABELS);
      const right = Math.min(to, this.plotRight());
      const room = right - left;
      const swarms = span.swarming && {
        left: Math.max(x(this.day(span.swarming.from)), LABELS),
        right: Math.min(x(this.day(span.swarming.to) + 1), this.plotRight()),
      };
      return {
        ...span,
        left,
        room: Math.max(0, room),
        fill: PHASE_FILL[span.phase],
        swarms: swarms && { left: swarms.left, room: Math.max(0, swarms.right - swarms.left) },
        text: room > span.phase.length * 6.1 ? named('phase', span.phase) : '',
        title: $localize`${named('phase', span.phase)}, ${dayText(span.from)} to ${dayText(span.to)}\: ${span.reasons.join('; ')}${span.swarming ? $localize`; swarms may leave ${dayText(span.swarming.from)} to ${dayText(span.swarming.to)}` : ''}`,
      };
    });
  });

  protected readonly weather = computed(() => {
    const year = this.year();
    if (!year) return null;
    const x = this.scale.x();
    const top = this.rows().weather;
    const all = year.days.flatMap((day) => [day.low, day.high]);
    const y = scaleLinear([Math.min(-5, ...all), Math.max(25, ...all)], [top + 62, top + 4]);
    const days = year.days.map((day, index) => ({ ...day, x: x(index + 0.5) }));
    const band = (of: typeof days) =>
      area<(typeof days)[number]>(
        (day) => day.x,
        (day) => y(day.low),
        (day) => y(day.high),
      )(of) ?? '';
    const rain = scaleLinear([0, 30], [0, 20]).clamp(true);
    return {
      observed: band(days.filter((day) => day.known === 'observed')),
      forecast: band(days.filter((day) => day.known === 'forecast')),
      usual:
        line<(typeof days)[number]>(
          (day) => day.x,
          (day) => y((day.low + day.high) / 2),
        ).curve(curveMonotoneX)(days.filter((day) => day.known === 'usual')) ?? '',
      rain: days
        .filter((day) => day.known !== 'usual' && day.rain >= 1)
        .map((day) => ({ x: day.x - 0.6, height: rain(day.rain), date: day.date })),
      bottom: top + 66,
      lines: [0, 10, 20].map((degree) => ({ degree, y: y(degree) })),
    };
  });

  protected readonly bloom = computed(() => {
    const year = this.year();
    if (!year) return { count: 0, bars: [] };
    const x = this.scale.x();
    const days = this.length();
    const texts = 6.2 / Math.max(0.4, x(1) - x(0));
    const { placed, count } = lanes(
      year.bloom
        .filter((bloom) => this.day(bloom.from) < days)
        .map((bloom) => {
          const from = this.day(bloom.from) - bloom.giveOrTake;
          return { bloom, from, to: Math.max(this.day(bloom.to), from + bloom.plant.length * texts) + 3 };
        }),
      30,
    );
    const today = this.day(year.today) + 1;
    return {
      count,
      bars: placed.map(({ bloom, lane }) => {
        const from = this.day(bloom.from);
        const to = this.day(bloom.to) + 1;
        const known = Math.min(to, Math.max(from, bloom.state === 'expected' ? from : today));
        const y = this.rowTop('bloom') + lane * LANE;
        return {
          id: bloom.id,
          plant: bloom.plant,
          y,
          x: x(from),
          known: x(known) - x(from),
          rest: x(to) - x(known),
          knownX: x(known),
          early: x(from - bloom.giveOrTake),
          late: x(from + bloom.giveOrTake),
          sure: bloom.giveOrTake === 0,
          usual: [x(this.day(bloom.usual.from)), x(this.day(bloom.usual.to) + 1)] as const,
          now: bloom.from <= year.today && bloom.to >= year.today,
          fill:
            bloom.nectar > 0 && bloom.pollen > 0
              ? 'url(#hatch-both)'
              : bloom.nectar > 0
                ? 'url(#waves-nectar)'
                : 'var(--pollen)',
          title: $localize`${bloom.plant}\: ${dayText(bloom.from)}${bloom.giveOrTake ? $localize`, ${bloom.giveOrTake} days either way` : $localize`, seen`} to ${dayText(bloom.to)}; usual ${dayText(bloom.usual.from)}${bloom.sum ? $localize`; ${bloom.sum.now} of ${bloom.sum.needed} degree days over ${measured('temperature', bloom.sum.base, 1)}` : ''}`,
        };
      }),
    };
  });

  /** Rows above the bloom do not depend on it, so its own top can be told before its height is known. */
  private rowTop(row: 'bloom'): number {
    return { bloom: 30 + 32 + 74 }[row];
  }

  protected readonly flow = computed(() => {
    const year = this.year();
    if (!year) return null;
    const x = this.scale.x();
    const { flow: top } = this.rows();
    const middle = top + 50;
    const spans = year.spans.map((span) => ({
      ...span,
      x: x(this.day(span.from)),
      width: x(this.day(span.to) + 1) - x(this.day(span.from)),
      title: $localize`${span.kind === 'flow' ? $localize`Flow` : $localize`Gap`} ${dayText(span.from)} to ${dayText(span.to)}\: ${span.plants.join(', ')}`,
    }));
    const [scale] = year.scales;
    if (!scale || scale.days.length < 2) return { spans, top, middle, scale: null };
    const kilos = scaleLinear([-6, 10], [40, -34]).clamp(true);
    const y = (kg: number) => middle + kilos(kg);
    const weeks = Array.from({ length: Math.ceil(scale.days.length / WEEK) }, (_, week) =>
      scale.days.slice(week * WEEK, week * WEEK + WEEK + 1),
    ).flatMap((days) => {
      const [first, last] = [days[0], days.at(-1)];
      if (!first || !last || days.length < 2) return [];
      const from = this.day(first.date);
      const own = scale.events
        .filter((event) => event.kind !== 'flow' && event.kind !== 'robbing')
        .filter((event) => event.from > first.date && event.from <= last.date)
        .reduce((sum, event) => sum + event.kg, 0);
      const gain = last.kg - first.kg - own;
      return [
        {
          x: x(from),
          width: Math.max(0.5, x(from + WEEK) - x(from) - 1),
          gain,
          y: Math.min(y(gain), y(0)),
          height: Math.abs(y(gain) - y(0)),
          date: first.date,
        },
      ];
    });
    const weights = scale.days.map(({ date, kg }) => ({ x: x(this.day(date)), kg }));
    const range = scale.days.map((day) => day.kg);
    const w = scaleLinear([Math.min(...range), Math.max(...range) + 1], [top + 20, top + 2]);
    const last = scale.days.at(-1)!;
    return {
      spans,
      top,
      middle,
      scale: {
        hive: scale.hive,
        weeks,
        line:
          line<(typeof weights)[number]>(
            (each) => each.x,
            (each) => w(each.kg),
          )(weights) ?? '',
        last: { x: x(this.day(last.date)), y: w(last.kg), kg: measured('weight', last.kg, 1) },
        marks: scale.events
          .filter((event) => event.kind === 'swarm' || event.kind === 'robbing')
          .map((event) => ({
            x: x(this.day(event.from)),
            y: top + 84,
            text: named('scaleEvent', event.kind),
            title: $localize`${dayText(event.from)}\: ${event.says} (${measured('weight', event.kg, 1)})`,
          })),
        zero: y(0),
        five: y(5),
      },
    };
  });

  protected readonly sessions = computed(() => {
    const x = this.scale.x();
    const y = this.rows().sessions;
    return (this.year()?.sessions ?? []).map((session) => ({
      ...session,
      x: x(this.day(session.date) + 0.5),
      y,
      title: $localize`${dateText(session.date)}\: ${named('sessionStatus', session.status)}, ${session.groups} hives`,
    }));
  });

  protected readonly deadlines = computed(() => {
    const year = this.year();
    if (!year) return { count: 0, lines: [] };
    const x = this.scale.x();
    const texts = 6.4 / Math.max(0.4, x(1) - x(0));
    const inYear = year.deadlines.filter((each) => each.by <= year.to && each.by >= year.from);
    const { placed, count } = lanes(
      inYear.map((each) => {
        const [from, by] = [this.day(each.from), this.day(each.by) + 1];
        const text = each.job.length * texts + 6;
        // A name that finds no room after its line stands before it.
        const flips = x(by) + each.job.length * 6.2 > this.plotRight();
        return { each, flips, from: flips ? from - text : from, to: flips ? by + 3 : by + text };
      }),
      6,
    );
    return {
      count,
      lines: placed.map(({ each, lane, flips }) => ({
        ...each,
        lane,
        x: x(Math.max(0, this.day(each.from))),
        end: x(this.day(each.by) + 1),
        past: each.by < year.today,
        textX: flips ? x(Math.max(0, this.day(each.from))) - 4 : x(this.day(each.by) + 1) + 4,
        anchor: flips ? 'end' : 'start',
        title: $localize`${each.job}\: from ${dayText(each.from)}, by ${dayText(each.by)}. ${each.why}`,
      })),
    };
  });

  protected readonly hives = computed(() => {
    const year = this.year();
    if (!year) return [];
    const x = this.scale.x();
    const top = this.rows().hives;
    const inYear = (date: string) => date >= year.from && date <= year.to;
    return year.colonies.map((colony, index) => ({
      number: colony.hive,
      y: top + index * HIVE,
      openings: colony.openings.filter(inYear).map((date) => x(this.day(date) + 0.5)),
      dues: colony.dues
        .filter((due) => inYear(due.due))
        .map((due) => ({
          id: due.id,
          x: x(this.day(due.from)),
          end: x(this.day(due.due) + 1),
          late: due.due < year.today,
          must: due.strict === 'must',
          title: $localize`Hive ${colony.hive}\: ${due.title}, ${dayText(due.from)} to ${dayText(due.due)}`,
        })),
      rests: colony.rests.map((rest) => ({
        x: x(this.day(rest.from)),
        width: Math.max(1, x(this.day(rest.to) + 1) - x(this.day(rest.from))),
        title: $localize`Hive ${colony.hive} left alone ${dayText(rest.from)} to ${dayText(rest.to)}\: ${rest.why}`,
      })),
    }));
  });

  protected readonly notes = computed(() => {
    const year = this.year();
    if (!year) return null;
    const inBloom = year.bloom.filter((bloom) => bloom.from <= year.today && bloom.to >= year.today);
    const next = year.bloom.find((bloom) => bloom.from > year.today);
    const behind = next ? daysBetween(next.usual.from, next.from) : 0;
    const gap = year.spans.find((span) => span.kind === 'gap' && span.from > year.today);
    const held = year.sessions.filter((session) => session.status === 'held').length;
    const off = year.sessions.filter((session) => session.status === 'called-off').length;
    const planned = year.sessions.filter((session) => session.status === 'planned').length;
    const soon = year.deadlines.find((each) => each.by >= year.today);
    return {
      phase: upperFirst(year.now?.phase.reasons[0] ?? ''),
      bloom:
        inBloom.length > 0
          ? $localize`${listed(inBloom.map((bloom) => bloom.plant))} now`
          : $localize`Nothing in bloom now`,
      next: next
        ? $localize`${next.plant} ${inDays(daysBetween(year.today, next.from))}, ${next.giveOrTake} either way. ${behind === 0 ? $localize`It runs as usual.` : $localize`It runs ${Math.abs(behind)} days ${behind > 0 ? $localize`behind` : $localize`ahead of`} usual years.`}`
        : '',
      gap: gap
        ? $localize`A gap is likely from ${dayText(gap.from)}, for ${daysBetween(gap.from, gap.to) + 1} days.`
        : '',
      flow:
        year.flow.state === 'uncertain'
          ? $localize`Flow or dearth: uncertain`
          : `${upperFirst(named('flowState', year.flow.state))}, ${sureText(year.flow.state === 'dearth' ? 1 - year.flow.chance : year.flow.chance)}`,
      why: year.flow.reasons
        .slice(0, 2)
        .map((reason) => reason.text)
        .join('; '),
      advice: year.flow.advice,
      sessions: $localize`${held} held, ${off} off, ${planned} planned`,
      deadline: soon ? $localize`Next: ${soon.job.toLowerCase()} by ${dayText(soon.by)}` : '',
      late: year.colonies
        .filter((colony) => colony.dues.some((due) => due.due < year.today))
        .map((colony) => colony.hive),
    };
  });

  protected openDay(event: MouseEvent): void {
    const year = this.year();
    const svg = this.svg()?.nativeElement;
    if (!year || !svg || event.defaultPrevented) return;
    const at = event.clientX - svg.getBoundingClientRect().left;
    if (at < LABELS || at > this.plotRight()) return;
    const day = Math.floor(this.scale.x().invert(at));
    void this.router.navigate(['/ahead/day', addDays(year.from, Math.max(0, Math.min(this.length() - 1, day)))]);
  }

  protected aroundToday(): void {
    const year = this.year();
    if (year) this.scale.around(this.day(year.today), 60);
  }

  protected otherYear(years: number): void {
    const year = this.year();
    if (year) this.date.set(addDays(year.from, years * 365 + 20));
  }

  protected said(span: Year['phases'][number]): string {
    return $localize`${dayText(span.from)} to ${dayText(span.to)}`;
  }
  protected readonly title = computed(() => {
    const now = this.year()?.now;
    return now ? upperFirst(named('phase', now.phase.phase)) : $localize`The year`;
  });
  /** How often hives are opened in the phase that it is. */
  protected readonly looks = computed(() => {
    const days = this.year()?.now?.interval;
    if (!days) return $localize`Hives stay shut`;
    const [least, most] = days;
    return least === most ? $localize`Every ${least} days` : $localize`${least} to ${most} days between looks`;
  });
  protected readonly swarming = computed(() => {
    const year = this.year();
    return year?.now ? swarmingOn(year.now.phase, year.today) : false;
  });
  protected readonly coming = computed(() => {
    const year = this.year();
    return year?.deadlines.filter((each) => each.by >= year.today) ?? [];
  });
  protected readonly dayText = dayText;
  protected readonly upperFirst = upperFirst;
}

const listed = (names: readonly string[]): string =>
  names.length > 2 ? $localize`${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join($localize` and `);
const inDays = (days: number): string => (days === 1 ? $localize`tomorrow` : $localize`in ${days} days`);
