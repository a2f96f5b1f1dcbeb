import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterRenderEffect,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  resource,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import type { Passing } from '@brave-comb/core/biology';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { HiveStack } from '../equipment/hive-stack';
import { measured } from '../language/units';
import { Named } from '../language/words';
import { dateText, dayText, decimal, sureText } from '../ui/format';
import { Forecaster } from './forecaster';
import type { Foreseen } from './foreseen';
import { SpanLine } from './span-line';
import { StockCard } from './stock-card';
import { StoryBrush } from './story-brush';
import { StoryChart } from './story-chart';
import { STORY, daysTold, storyScale } from './story-scale';
import { titled } from '../ui/titled';

/** Chance from which it is worth saying when. */
const TOLD_FROM = 0.1;
/** Days of the past that are shown at first. */
const LATELY = 75;

/** One colony: its story on one axis of time, what is foreseen, what is due and to be minded, its woodwork. */
@Component({
  selector: 'bc-colony',
  imports: [
    HiveStack,
    Named,
    MatButton,
    MatCheckbox,
    RouterLink,
    SpanLine,
    StockCard,
    StoryBrush,
    StoryChart,
    ViewState,
  ],
  templateUrl: './colony.html',
  styleUrls: ['./colony-pages.scss', './colony.scss'],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Colony {
  readonly hive = input.required<string>();
  private readonly forecaster = inject(Forecaster);
  protected readonly watched = inject(ViewDesk).watch('colonyStory', () => ({ params: { hive: this.hive() } }));
  protected readonly story = this.watched.data;
  protected readonly lastYear = signal(false);

  protected readonly all = computed(() => {
    const story = this.story();
    return story ? daysTold(story) : (['2000-01-01', '2000-12-31'] as const);
  });
  protected readonly window = linkedSignal<readonly [string, string]>(() => {
    const [first, last] = this.all();
    const from = addDays(last, -LATELY - 42);
    return [from < first ? first : from, last];
  });
  protected readonly visitDays = computed(() => (this.story()?.visits ?? []).map(({ date }) => date));
  protected readonly aYearBack = computed(() => {
    const story = this.story();
    return story !== null && story.visits.some(({ date }) => daysBetween(date, story.today) > 300);
  });

  private readonly asked = computed(
    () => {
      const story = this.story();
      if (!story?.forecast) return null;
      const { first, facts } = story.forecast;
      const last = facts.seen.at(-1)!.day;
      return { facts, since: Math.max(0, daysBetween(first, story.today) - last), limits: story.limits };
    },
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );
  private readonly reckoned = resource({
    params: () => this.asked() ?? undefined,
    loader: ({ params }) => this.forecaster.reckon(params),
  });
  protected readonly foreseen = computed((): Foreseen | null =>
    this.asked() !== null && this.reckoned.hasValue() ? this.reckoned.value() : null,
  );
  protected readonly reckoning = this.reckoned.isLoading;
  protected readonly reckoningFault = this.reckoned.error;

  /** What is likely to come, in sentences. */
  protected readonly likely = computed(() => {
    const story = this.story();
    const foreseen = this.foreseen();
    if (!story?.forecast || !foreseen) return [];
    const first = addDays(story.forecast.first, foreseen.from);
    const when = ({ chance, days }: Passing) =>
      days && chance >= TOLD_FROM
        ? $localize`, about ${dayText(addDays(first, Math.round(days.p25)), story.today)} to ${dayText(addDays(first, Math.round(days.p75)), story.today)}`
        : '';
    const { full, hungry, mites } = foreseen;
    return [
      {
        text: $localize`All room covered within six weeks\: ${sureText(full.chance)}${when(full)}.`,
        much: full.chance >= 0.5,
      },
      {
        text: $localize`Less than ${measured('weight', story.limits.leastKg)} of food\: ${sureText(hungry.chance)}${when(hungry)}.`,
        much: hungry.chance >= 0.3,
      },
      mites
        ? {
            text: $localize`Mites at ${decimal(story.limits.mites)} per 100 bees\: ${sureText(mites.chance)}${when(mites)}.`,
            much: mites.chance >= 0.3,
          }
        : { text: $localize`Mites\: not counted lately, so no forecast.`, much: false },
    ];
  });

  /** How often what was foreseen held, and in which way this colony differs from others. */
  protected readonly trust = computed(() => {
    const foreseen = this.foreseen();
    if (!foreseen || foreseen.hindsight.length === 0) return null;
    const held = foreseen.hindsight.filter((each) => each.held).length;
    return $localize`Nine in ten should fall inside the range; at the visits shown here ${held} of ${foreseen.hindsight.length} did.`;
  });

  /** Each visit in figures, the latest first, with what was foreseen for it. */
  protected readonly figures = computed(() => {
    const story = this.story();
    const foreseen = this.foreseen();
    return [...(story?.visits ?? [])].reverse().map((visit) => {
      const day = story?.forecast ? daysBetween(story.forecast.first, visit.date) : null;
      const then = foreseen?.hindsight.filter((each) => each.day === day) ?? [];
      const of = (what: string) => then.find((each) => each.of === what) ?? null;
      return { ...visit, then: { bees: of('bees'), brood: of('brood'), stores: of('storesKg') } };
    });
  });

  private readonly scroller = viewChild<ElementRef<HTMLElement>>('scroller');

  constructor() {
    titled(() => {
      const story = this.story();
      return story ? $localize`Hive ${story.number}` : null;
    });
    effect(() => {
      this.hive();
      this.lastYear.set(false);
    });
    // Where the picture is wider than the screen, what is now stands in its middle.
    afterRenderEffect(() => {
      const element = this.scroller()?.nativeElement;
      const story = this.story();
      if (!element || !story) return;
      const today = storyScale(untracked(this.window))(new Date(story.today)) / STORY.end;
      element.scrollLeft = today * element.scrollWidth - element.clientWidth / 2;
    });
  }

  protected readonly print = (): void => globalThis.print();
  /** Combs of which something is known or to be done; the others are only counted. */
  protected readonly combs = computed(() => {
    const all = this.story()?.combs ?? [];
    const known = all.filter(({ year, toRenew }) => year !== null || toRenew);
    return { known, others: all.length - known.length };
  });
  protected readonly parts = computed(() => [...(this.story()?.stack ?? [])].map((layer) => ({ layer })));
  protected readonly measured = measured;
  protected readonly decimal = decimal;
  protected readonly dateText = dateText;
  protected readonly dayText = dayText;
}
