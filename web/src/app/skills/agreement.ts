import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { topicForLetters, topicOf } from '@brave-comb/core/practice';
import { TOLD_FROM, kappaWord, type KappaBand } from '@brave-comb/core/skills';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText } from '../ui/format';
import { ReadingsChart } from './readings-chart';
import { TrendLine } from './trend-line';
import { named } from '../language/words';
import { SaidPipe } from '../language/said';

/** Eighths that a line over time reaches. */
const REACH = 2;
/** Eighths off at which the bar is full. */
const FULL = 3;
/** Eighths off up to which a reading is good. Common practice. */
const GOOD = 1;
/** Levels by which an assessor must lie apart from the others to be said so. */
const APART = 0.25;

/** What is read of fewer sides is no finding yet. */
const few = (count: number): boolean => count < TOLD_FROM;
const span = ([low, high]: readonly [number, number], of: (figure: number) => string): string =>
  $localize`${of(low)} to ${of(high)}`;
const signed = (figure: number): string => `${figure > 0 ? '+' : figure < 0 ? '−' : ''}${Math.abs(figure).toFixed(1)}`;

/** How trainees read comb against their supervisors, and how assessors judge against each other. */
@Component({
  selector: 'bc-agreement',
  imports: [SaidPipe, ReadingsChart, RouterLink, TrendLine, ViewState],
  templateUrl: './agreement.html',
  styleUrl: './agreement.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AgreementScreen {
  protected readonly watched = inject(ViewDesk).watch('agreement', () => ({}));
  protected readonly reach = REACH;
  protected readonly picked = signal<string | null>(null);
  private readonly all = computed(() => this.watched.data()?.people ?? []);
  protected readonly people = computed(() =>
    this.all()
      .flatMap((person) => (person.readings.off === null ? [] : [{ ...person, off: person.readings.off }]))
      .sort((a, b) => Number(few(a.readings.pairs)) - Number(few(b.readings.pairs)) || b.off - a.off)
      .map((person) => ({
        ...person,
        share: few(person.readings.pairs) ? null : Math.min(100, (100 * person.off) / FULL),
        says: ofSides(person.readings.pairs, person.off),
      })),
  );
  protected readonly without = computed(() =>
    this.all()
      .filter(({ readings }) => readings.pairs === 0)
      .map(({ name }) => name),
  );
  protected readonly chosen = computed(
    () => this.people().find(({ id }) => id === this.picked()) ?? this.people()[0] ?? null,
  );
  protected readonly few = few;
  protected readonly least = TOLD_FROM;
  protected readonly table = computed(() =>
    (this.chosen()?.readings.letters ?? []).map((of) => ({
      trend: of.trend.map(({ at, bias: value }) => ({ at, value })),
      letter: of.letter,
      name: named('content', of.letter),
      count: of.count,
      within: $localize`${of.within} of ${of.count}`,
      told: few(of.count)
        ? null
        : {
            bias: `${signed(of.bias)} (${of.biasRange ? span(of.biasRange, signed) : $localize`no range`})`,
            limits: of.limits ? span(of.limits, signed) : '',
            kappa:
              of.kappa === null
                ? $localize`always alike`
                : beyond(of.kappa, of.kappaRange, bandOf(kappaWord(of.kappa))),
          },
    })),
  );
  /** What the chosen one reads wrong again and again, with the drill that follows. */
  protected readonly habits = computed(() =>
    (this.chosen()?.readings.habits ?? []).map(({ says, letters }) => ({
      says,
      topic: topicOf(topicForLetters(letters)),
    })),
  );
  protected readonly trend = computed(() =>
    (this.chosen()?.readings.trend ?? []).map(({ at, off }) => ({ at, value: off })),
  );
  protected readonly confused = computed(() => {
    const { confusions, pairs } = this.chosen()?.readings ?? { confusions: [], pairs: 0 };
    const [most] = confusions;
    return most && !few(pairs)
      ? $localize`Most goes from ${named('content', most.from)} to ${named('content', most.to)}\: ${most.eighths.toFixed(1)} eighths.`
      : null;
  });
  protected readonly assessors = computed(() => {
    const among = this.watched.data()?.assessors;
    return (
      among && {
        habits: among.habits.map((habit) => ({
          ...habit,
          against: habit.leniency === null ? $localize`too few in common to say` : lenient(habit.leniency),
          drift: habit.drift === null ? $localize`too few in common to say` : $localize`${signed(habit.drift)} levels`,
        })),
        together:
          among.together &&
          $localize`All assessors together: the same level in ${among.together.alike} of ${among.together.count}${beyondChance(among.together, $localize`Fleiss’ kappa`, bandOf(among.together.word))}.`,
        pairs: among.pairs.map(({ one, other, kappa, word }) => ({
          says: $localize`${one} and ${other}\: the same level in ${kappa.alike} of ${kappa.count}${beyondChance(kappa, $localize`weighted kappa`, bandOf(word))}.`,
        })),
      }
    );
  });

  protected day(at: string): string {
    return dateText(at.slice(0, 10));
  }
}

interface Told {
  readonly kappa: number | null;
  readonly range: readonly [number, number] | null;
  readonly count: number;
}

function lenient(by: number): string {
  if (Math.abs(by) < APART) return $localize`same same as the others`;
  return $localize`${Math.abs(by).toFixed(1)} levels ${by > 0 ? $localize`more lenient` : $localize`more severe`}`;
}

function ofSides(pairs: number, off: number): string {
  const sides = pairs === 1 ? $localize`1 side` : $localize`${pairs} sides`;
  return few(pairs)
    ? $localize`${sides}, too few to say`
    : $localize`${off.toFixed(1)} eighths off on ${sides}${off <= GOOD ? $localize`\: good` : ''}`;
}

const bandOf = (band: KappaBand | null): string =>
  band === null ? $localize`too few to say` : named('kappaBand', band);
const beyond = (kappa: number, range: readonly [number, number] | null, word: string): string =>
  `${kappa.toFixed(2)}${range ? ` (${span(range, (figure) => figure.toFixed(2))})` : ''}, ${word}`;

function beyondChance({ kappa, range, count }: Told, name: string, word: string): string {
  if (few(count)) return $localize`, too few to say more`;
  return kappa === null ? $localize`, no more than chance` : `, ${name} ${beyond(kappa, range, word)}`;
}
