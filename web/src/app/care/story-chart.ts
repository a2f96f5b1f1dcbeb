import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ColonyStory } from '@brave-comb/contract';
import type { Band } from '@brave-comb/core/biology';
import { addDays } from '@brave-comb/core/units';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { BoxMap } from '../inspection/box-map';
import { unit, weighed } from '../language/units';
import { named } from '../language/words';
import { dayText, decimal } from '../ui/format';
import type { Foreseen } from './foreseen';
import { PHASE_FILL } from '../season/phase-colours';
import { STORY, monthsOn, storyScale } from './story-scale';

interface Point {
  readonly date: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Heights of the rows, from the top. */
const ROWS = {
  visits: [20, 92],
  queen: [100, 122],
  bees: [136, 226],
  stores: [246, 322],
  mites: [342, 410],
  weight: [430, 480],
  given: [500, 540],
  decided: [560, 612],
} as const;
const THUMB = 46;

/** The story of a colony on one axis of time: what visits saw, what was done, and what is foreseen. */
@Component({
  selector: 'bc-story-chart',
  imports: [BoxMap],
  templateUrl: './story-chart.html',
  styleUrl: './story-chart.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StoryChart {
  readonly story = input.required<ColonyStory>();
  readonly foreseen = input<Foreseen | null>(null);
  readonly window = input.required<readonly [string, string]>();
  /** Shows what visits of a year before saw, drawn on the same days. */
  readonly lastYear = input(false);
  protected readonly at = STORY;
  protected readonly rows = ROWS;
  protected readonly height = ROWS.decided[1];

  private readonly scale = computed(() => storyScale(this.window()));
  protected readonly months = computed(() => monthsOn(this.scale()));
  private readonly x = (date: string): number => this.scale()(new Date(date));
  private readonly within = (date: string): boolean => {
    const [from, to] = this.window();
    return date >= from && date <= to;
  };
  private readonly clamp = (x: number): number => Math.min(STORY.right, Math.max(STORY.left, x));
  protected readonly now = computed(() => this.clamp(this.x(this.story().today)));

  protected readonly phases = computed(() =>
    this.story().phases.flatMap(({ phase, from, to }) => {
      const [left, right] = [this.clamp(this.x(from)), this.clamp(this.x(addDays(to, 1)))];
      return right > left
        ? [{ phase, left, width: right - left, fill: PHASE_FILL[phase], name: named('phase', phase) }]
        : [];
    }),
  );

  /** Full looks show the box from above; where two lie close, the earlier one gives way. */
  protected readonly visits = computed(() => {
    const seen = this.story().visits.filter(({ date }) => this.within(date));
    let last = Infinity;
    const marks = [...seen].reverse().map((visit) => {
      const x = this.x(visit.date);
      const room = last - x >= THUMB + 4;
      const shown = visit.look !== 'outside' && room;
      if (shown) last = x;
      return { ...visit, x, shown, day: dayText(visit.date, this.story().today) };
    });
    return marks.reverse();
  });
  protected readonly planned = computed(() =>
    this.story().planned.flatMap(({ date, group }, index) => {
      const x = this.x(date);
      return this.within(date) && index < 3
        ? [{ x, text: `${dayText(date, this.story().today)} ${group}`, index }]
        : [];
    }),
  );

  /** Stretches in which her presence was known, and those in which nobody saw her or eggs. */
  protected readonly queen = computed(() => {
    const looked = this.story().visits.filter(({ queen }) => queen !== 'not-looked');
    return looked.flatMap((visit, index) => {
      const next = looked[index + 1];
      const [from, to] = [this.clamp(this.x(visit.date)), this.clamp(this.x(next?.date ?? this.story().today))];
      const known = visit.queen !== 'not-seen';
      return to > from ? [{ from, to, known, seen: visit.queen === 'seen' && this.within(visit.date) }] : [];
    });
  });

  private readonly points = (of: (visit: ColonyStory['visits'][number]) => Omit<Point, 'date'> | null) =>
    this.story().visits.flatMap((visit) => {
      const figure = of(visit);
      return figure ? [{ ...figure, date: visit.date }] : [];
    });

  protected readonly bees = computed(() =>
    this.course(
      'bees',
      this.points(({ bees }) => bees),
      ROWS.bees,
      this.framesTop(),
    ),
  );
  protected readonly brood = computed(() =>
    this.course(
      'brood',
      this.points(({ brood }) => brood),
      ROWS.bees,
      this.framesTop(),
    ),
  );
  private readonly framesTop = computed(() => {
    const seen = max(this.story().visits, ({ bees }) => bees?.high ?? 0) ?? 0;
    const ahead = max(this.foreseen()?.bands.bees ?? [], ({ p95 }) => p95) ?? 0;
    return Math.max(12, seen, Math.min(ahead, this.story().limits.roomFrames * 1.4));
  });
  protected readonly full = computed(() => this.yOf(ROWS.bees, this.framesTop(), this.story().limits.roomFrames));

  protected readonly stores = computed(() => {
    const kg = this.points(({ storesKg, superKg }) => {
      if (!storesKg) return null;
      const above = superKg ?? 0;
      return weighed({ value: storesKg.value + above, low: storesKg.low + above, high: storesKg.high + above });
    });
    return this.course('storesKg', kg, ROWS.stores, this.storesTop());
  });
  private readonly storesTop = computed(() => {
    const kg = [
      12,
      max(this.story().visits, ({ storesKg, superKg }) => (storesKg?.high ?? 0) + (superKg ?? 0)) ?? 0,
      max(this.foreseen()?.bands.storesKg ?? [], ({ p95 }) => p95) ?? 0,
    ];
    const most = max(kg) ?? 0;
    return weighed({ value: most, low: most, high: most }).value;
  });
  protected readonly least = computed(() => {
    const kg = this.story().limits.leastKg;
    return this.yOf(ROWS.stores, this.storesTop(), weighed({ value: kg, low: kg, high: kg }).value);
  });

  protected readonly mites = computed(() =>
    this.course(
      'mites',
      this.story().samples.map(({ date, inHundred }) => ({ date, ...inHundred })),
      ROWS.mites,
      this.mitesTop(),
    ),
  );
  private readonly mitesTop = computed(() => {
    const seen = max(this.story().samples, ({ inHundred }) => inHundred.high) ?? 0;
    const ahead = max(this.foreseen()?.bands.mites ?? [], ({ p75 }) => p75) ?? 0;
    return Math.max(this.story().limits.mites * 2, seen, Math.min(ahead, 20));
  });
  protected readonly miteLimit = computed(() => this.yOf(ROWS.mites, this.mitesTop(), this.story().limits.mites));

  protected readonly weight = computed(() => {
    const days = this.story().weights.filter(({ date }) => this.within(date));
    const most = max(days, ({ kg }) => kg) ?? 0;
    const y = scaleLinear([0, Math.max(20, most)], [ROWS.weight[1], ROWS.weight[0]]);
    const at = ({ date }: (typeof days)[number]) => this.x(date);
    const path = line<(typeof days)[number]>(at, ({ kg }) => y(kg));
    return {
      scale: path(days.filter(({ by }) => by === 'scale')),
      hefts: days.filter(({ by }) => by === 'heft').map((each) => ({ x: at(each), y: y(each.kg) })),
      last: days.at(-1)?.kg ?? null,
    };
  });

  protected readonly given = computed(() => {
    const medicines = this.story().courses.map((course) => {
      const [from, end] = [this.clamp(this.x(course.from)), this.clamp(this.x(addDays(course.end, 1)))];
      const free = course.freeFrom ? this.clamp(this.x(course.freeFrom)) : null;
      return { from, end: Math.max(end, from + 3), free, name: course.medicine, shown: end > STORY.left };
    });
    return medicines.filter(({ shown }) => shown);
  });
  protected readonly fed = computed(() =>
    this.story()
      .events.filter(({ kind, date }) => (kind === 'feed' || kind === 'patty') && this.within(date))
      .map(({ date, words }) => ({ x: this.x(date), words })),
  );

  protected readonly decided = computed(() => {
    const flags = this.story().decisions.filter(({ date }) => this.within(date));
    return flags.map(({ date, decision }, index) => ({
      x: this.x(date),
      y: ROWS.decided[0] + 10 + (index % 3) * 15,
      verdict: decision.verdict,
      text: decision.action,
      end: this.x(date) > STORY.right - 160,
    }));
  });

  private readonly yOf = ([top, bottom]: readonly [number, number], most: number, value: number): number =>
    scaleLinear([0, most], [bottom, top]).clamp(true)(value);

  /** A figure through the visits with its ranges, the same a year before, and what is foreseen of it. */
  private course(of: keyof Foreseen['bands'], all: readonly Point[], row: readonly [number, number], most: number) {
    const y = (value: number) => this.yOf(row, most, value);
    const points = all.filter(({ date }) => this.within(date));
    const x = ({ date }: Pick<Point, 'date'>) => this.x(date);
    const past = this.lastYear() ? all.map((each) => ({ ...each, date: addDays(each.date, 365) })) : [];
    const bands = this.ahead(of);
    const bandArea = (low: keyof Band, high: keyof Band) =>
      area<(typeof bands)[number]>(
        x,
        (each) => y(each[low]),
        (each) => y(each[high]),
      ).curve(curveMonotoneX)(bands);
    const middle = line<(typeof bands)[number]>(x, ({ p50 }) => y(p50)).curve(curveMonotoneX);
    const last = bands.at(-1);
    return {
      line: line<Point>(x, ({ value }) => y(value))(points),
      ground: area<Point>(x, y(0), ({ value }) => y(value))(points),
      dots: points.map((each) => ({ x: x(each), y: y(each.value), low: y(each.low), high: y(each.high) })),
      lastYear: line<Point>(x, ({ value }) => y(value))(past.filter(({ date }) => this.within(date))),
      nine: bandArea('p5', 'p95'),
      five: bandArea('p25', 'p75'),
      middle: middle(bands),
      now: points.at(-1) ?? null,
      end: last ? { y: y(last.p50), text: this.endOf(of, last) } : null,
      base: y(0),
      ticks: scaleLinear()
        .domain([0, most])
        .ticks(3)
        .map((value) => ({ value, y: y(value) })),
    };
  }

  private ahead(of: keyof Foreseen['bands']): readonly (Band & { readonly date: string })[] {
    const story = this.story();
    const foreseen = this.foreseen();
    const bands = foreseen?.bands[of];
    if (!foreseen || !bands || !story.forecast) return [];
    const first = addDays(story.forecast.first, foreseen.from);
    const told = bands.map((band, day) => ({
      ...(of === 'storesKg' ? inUnit(band) : band),
      date: addDays(first, day),
    }));
    return told.filter(({ date }) => this.within(date));
  }

  /** What nine in ten come to; combs that all of them fill hold no more. */
  private endOf(of: keyof Foreseen['bands'], { p5, p95 }: Band): string {
    if (of === 'storesKg' && p95 > 0 && p95 - p5 < p95 / 50) return $localize`combs full`;
    return $localize`${this.told(p5)} to ${this.told(p95)}`;
  }

  protected readonly told = (value: number): string => decimal(value, value < 10 ? 1 : 0);
  protected readonly kg = unit('weight');

  protected readonly label = computed(() => {
    const { number, visits, samples, courses } = this.story();
    return $localize`Hive ${number}\: ${visits.length} visits, ${samples.length} mite counts, ${courses.length} medicines on one axis of time. The figures stand in the table below.`;
  });
}

const inUnit = ({ p5, p25, p50, p75, p95 }: Band): Band => {
  const outer = weighed({ value: p50, low: p5, high: p95 });
  const inner = weighed({ value: p50, low: p25, high: p75 });
  return { p5: outer.low, p25: inner.low, p50: outer.value, p75: inner.high, p95: outer.high };
};
