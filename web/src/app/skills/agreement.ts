import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { CONTENTS } from '@brave-comb/core/inspection';
import { topicForLetters, topicOf } from '@brave-comb/core/practice';
import { kappaWord } from '@brave-comb/core/skills';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';
import { dateText } from '../shell/format';
import { ReadingsChart } from './readings-chart';
import { TrendLine } from './trend-line';

/** Eighths that a line over time reaches. */
const REACH = 2;
/** Eighths off at which the bar is full. */
const FULL = 3;
/** Sides, or shared judgements, from which agreement beyond chance is said. */
const ENOUGH = 4;
/** Levels by which an assessor must lie apart from the others to be said so. */
const APART = 0.25;

const signed = (figure: number): string => `${figure > 0 ? '+' : figure < 0 ? '−' : ''}${Math.abs(figure).toFixed(1)}`;

/** How trainees read comb against their supervisors, and how assessors judge against each other. */
@Component({
  selector: 'bc-agreement',
  imports: [ReadingsChart, RouterLink, TrendLine, ViewState],
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
      .sort((a, b) => b.off - a.off)
      .map((person) => ({
        ...person,
        share: Math.min(100, (100 * person.off) / FULL),
        says: `${person.off.toFixed(1)} eighths off on ${person.readings.pairs} ${person.readings.pairs === 1 ? 'side' : 'sides'}`,
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
  protected readonly table = computed(() =>
    (this.chosen()?.readings.letters ?? []).map(({ letter, count, bias, limits, kappa, trend }) => ({
      trend: trend.map(({ at, bias: value }) => ({ at, value })),
      letter,
      name: CONTENTS[letter],
      count,
      bias: signed(bias),
      limits: limits ? `${signed(limits[0])} to ${signed(limits[1])}` : 'one side only',
      kappa:
        count < ENOUGH ? 'too few sides' : kappa === null ? 'always alike' : `${kappa.toFixed(2)}, ${kappaWord(kappa)}`,
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
    const [most] = this.chosen()?.readings.confusions ?? [];
    return most
      ? `Most goes from ${CONTENTS[most.from]} to ${CONTENTS[most.to]}: ${most.eighths.toFixed(1)} eighths.`
      : null;
  });
  protected readonly assessors = computed(() => {
    const among = this.watched.data()?.assessors;
    return (
      among && {
        habits: among.habits.map((habit) => ({
          ...habit,
          against: habit.leniency === null ? 'nothing shared' : lenient(habit.leniency),
          drift: habit.drift === null ? 'too little to tell' : `${signed(habit.drift)} levels`,
        })),
        together:
          among.together &&
          `All together, whoever two of them were: the same level in ${among.together.alike} of ${among.together.count}${beyondChance(among.together, 'Fleiss’ kappa', among.together.word)}.`,
        pairs: among.pairs.map(({ one, other, kappa, word }) => ({
          says: `${one} and ${other}: the same level in ${kappa.alike} of ${kappa.count}${beyondChance(kappa, 'weighted kappa', word)}.`,
        })),
      }
    );
  });

  protected day(at: string): string {
    return dateText(at.slice(0, 10));
  }
}

function lenient(by: number): string {
  if (Math.abs(by) < APART) return 'as the others';
  return `${Math.abs(by).toFixed(1)} levels ${by > 0 ? 'more lenient' : 'more severe'}`;
}

function beyondChance({ kappa, count }: { kappa: number | null; count: number }, name: string, word: string): string {
  if (count < ENOUGH) return ', too few to tell more';
  return kappa === null ? ', as chance alone would have it' : `, ${name} ${kappa.toFixed(2)}, ${word}`;
}
