import type { Said } from '../language';
import { QUANTITIES } from '../units';
import { FIGURES, type FigureId, type FigureValue, figureIds, figureOf } from './figures';
import type { HousePractice } from './practice';
import { say } from './said';

/** What is wrong with a figure: it cannot be kept, or it can and is told to be unusual. */
export interface Trouble {
  readonly figure: FigureId;
  readonly says: Said;
  readonly refused: boolean;
}

/** The lower first: the second may not be below it. */
const NOT_BELOW: readonly (readonly [lower: FigureId, higher: FigureId])[] = [
  ['frame-warmth', 'full-warmth'],
  ['lid-warmth', 'frame-warmth'],
  ['full-warmth', 'full-heat'],
  ['full-gust', 'frame-gust'],
  ['frame-gust', 'lid-gust'],
  ['lift-one', 'lift-two'],
  ['least-food', 'feed-to'],
  ['least-food', 'winter-food'],
  ['shortest-session', 'longest-session'],
];
const SHORTEST_DAY = 4;

/** Special warnings, where being beyond the usual can hurt. */
const CAUTIONS: readonly (readonly [figure: FigureId, when: (practice: HousePractice) => boolean, says: Said])[] = [
  ['lift-one', ({ lift }) => lift.one > 25, say('lift-heavy')],
  ['swarm-days', ({ calendar }) => calendar.catchCells && calendar.swarmIntervalDays > 7, say('swarm-days-long')],
  ['open-minutes', ({ openMinutes }) => openMinutes > 40, say('open-long')],
];

const isQuantity = (measure: string): boolean => (QUANTITIES as readonly string[]).includes(measure);

function ofItself(id: FigureId, value: FigureValue): Trouble | null {
  const figure = FIGURES[id];
  const refused = (says: Said): Trouble => ({ figure: id, says, refused: true });
  if (figure.holds === 'yes-no') return typeof value === 'boolean' ? null : refused(say('figure-other-kind'));
  if (figure.holds === 'choice')
    return (figure.of as readonly FigureValue[]).includes(value) ? null : refused(say('figure-other-kind'));
  if (typeof value !== 'number' || !Number.isFinite(value)) return refused(say('figure-other-kind'));
  const { least, most, usual, measure, step } = figure;
  if (value < least || value > most) return refused(say('figure-bounds', { measure, least, most }));
  if (step >= 1 && !isQuantity(measure) && !Number.isInteger(value)) return refused(say('figure-whole'));
  if (value >= usual[0] && value <= usual[1]) return null;
  return { figure: id, says: say('unusual-figure', { measure, low: usual[0], high: usual[1] }), refused: false };
}

/**
 * What is wrong or unusual with a house practice.
 *
 * @param practice of a house, with changes
 * @param values of figures as they were typed, where they differ from the practice's: they are judged by themselves first
 * @returns troubles in the order of the figures; those that are refused, and those that are told only
 */
export function practiceTroubles(
  practice: HousePractice,
  values: Readonly<Partial<Record<FigureId, FigureValue>>> = {},
): readonly Trouble[] {
  const single = figureIds.flatMap((id) => ofItself(id, values[id] ?? figureOf(practice, id)) ?? []);
  const bad = new Set(single.filter(({ refused }) => refused).map(({ figure }) => figure));
  const pairs = NOT_BELOW.flatMap(([lower, higher]): Trouble[] => {
    if (bad.has(lower) || bad.has(higher) || Number(figureOf(practice, higher)) >= Number(figureOf(practice, lower)))
      return [];
    return [{ figure: higher, says: say('figure-below', { figure: higher, other: lower }), refused: true }];
  });
  const [from, to] = practice.workingHours;
  const day: Trouble[] =
    bad.has('work-from') || bad.has('work-to') || to - from >= SHORTEST_DAY
      ? []
      : [{ figure: 'work-to', says: say('working-day-short'), refused: true }];
  const cautions = CAUTIONS.flatMap(([figure, when, says]): Trouble[] =>
    !bad.has(figure) && when(practice) ? [{ figure, says, refused: false }] : [],
  );
  // What hurts is said instead of what is only unusual.
  const said = new Set(cautions.map(({ figure }) => figure));
  const all = [...single.filter(({ figure, refused }) => refused || !said.has(figure)), ...pairs, ...day, ...cautions];
  return all.toSorted((a, b) => figureIds.indexOf(a.figure) - figureIds.indexOf(b.figure));
}
