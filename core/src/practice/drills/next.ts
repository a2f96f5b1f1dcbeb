import {
  type Advice,
  type AdviceKind,
  type ColonyFacts,
  type MiteSample,
  DEFAULT_CARE,
  NOTHING_BESIDES,
  NO_WOODWORK,
  adviseColony,
  cellsInWords,
} from '../../care';
import {
  EMPTY_LOOK,
  type FrameSide,
  type MarkId,
  type QueenCell,
  STRAY_PLACES,
  estimateColony,
  likelyCause,
  queenStatus,
  shows,
} from '../../inspection';
import { type Text, inOne, named } from '../../language';
import { type Forage, nectarOn } from '../../season';
import { type CivilDate, type Random, scattered, addDays } from '../../units';
import type { Mark } from '../mark';
import { MADE_FRAMES, MADE_KIND, type NestTraits, madeNest } from './made-hive';
import { say } from '../said';

/** A colony on a day: what is known of it, and what the judges say. */
export interface NextDrill {
  readonly lines: readonly Text[];
  /** The most pressing first. */
  readonly advice: readonly Advice[];
  /** What the lead decided, where that was recorded. */
  readonly decision: Text | null;
}

/**
 * What is known of a colony, in the order in which one reads it, without what follows from it.
 *
 * @param facts the colony
 * @returns short lines
 */
export function colonyLines(facts: ColonyFacts): readonly Text[] {
  const { nest } = facts;
  return [
    ...(facts.phase === null ? [] : [named('phase', facts.phase)]),
    say('frames-read', { framesRead: facts.framesRead, frames: facts.frames }),
    nest.framesOfBees ? say('bees-on', { frames: nest.framesOfBees.value }) : say('bees-counted'),
    say('brood-on', { frames: nest.brood.value }),
    say('pollen-on', { frames: nest.pollen.value }),
    ...(facts.queenSeasons === null ? [] : [say('queen-in-season', { season: facts.queenSeasons })]),
    ...(facts.fedThinDays === null ? [] : [say('fed-thin', { days: facts.fedThinDays })]),
    say('seen', { eggs: facts.eggsSeen, larvae: facts.larvaeSeen, queen: facts.queenSeen }),
    facts.queenCells === 0
      ? say('queen-cells')
      : say('cells-on-frames', { cells: cellsInWords(facts), frames: facts.framesWithCells }),
    say('kg-food-nest', { value: nest.storesKg.value, superKg: facts.superKg }),
    say('empty-bare', { frames: nest.emptyComb.value + nest.foundation.value }),
    ...(facts.nectarAmongBrood.length > 0 ? [say('nectar-among-brood-frame', { frames: facts.nectarAmongBrood })] : []),
    ...(facts.doubtfulFrames.length > 0 ? [say('doubtful-frame', { frames: facts.doubtfulFrames })] : []),
    ...facts.marks.map(({ mark, frames }) => say('mark-seen-on', { mark, frames })),
    ...facts.woodwork.strays.map(({ place, content }) => say('stray-comb-seen', { place, content })),
    ...(facts.outside?.robbing === true ? [say('robbers-at-entrance')] : []),
    ...(facts.wasps ? [say('wasps-at-entrance', { aMinute: facts.wasps.aMinute, past: facts.wasps.pastGuards })] : []),
    ...facts.samples.map(({ mites, bees }) => say('mites-washed', { mites, bees })),
    ...(facts.character.tempers.length === 0 ? [] : [say('tempers-were', { tempers: facts.character.tempers })]),
    facts.supers === 0 ? say('no-super-on') : say('supers-on', { supers: facts.supers }),
    facts.inBloom.length > 0
      ? say('in-bloom', { plants: facts.inBloom.map(({ plant }) => plant) })
      : say('nothing-bloom'),
    ...(facts.ahead.length === 0
      ? []
      : [say('nights-down-to', { low: Math.min(...facts.ahead.map(({ low }) => low)) })]),
    ...(facts.expected === null
      ? []
      : [
          say('expected-now', {
            bees: facts.expected.bees.value,
            brood: facts.expected.brood.value,
            days: facts.expected.days,
          }),
        ]),
    ...(facts.poorDays === null ? [] : [say('next-days-poor-flying', { poorDays: facts.poorDays })]),
  ];
}

/** The day on which the made-up visits of the drill take place. */
const DAY: CivilDate = '2030-05-10';

/** Cells that a made-up colony may have. */
const CELLS: readonly QueenCell[] = [
  { content: 'cup', place: 'edge' },
  { content: 'egg', place: 'edge' },
  { content: 'larva', place: 'edge' },
  { content: 'sealed', place: 'edge' },
  { content: 'sealed', place: 'face' },
];

const SUSPECT = ['sunken-lids', 'pierced-lids', 'dark-lids'] as const satisfies readonly MarkId[];

/** A side whose pollen was eaten. */
function withoutPollen(side: FrameSide): FrameSide {
  const { P = 0, C = 0, ...rest } = side.eighths;
  return { ...side, eighths: P + C > 0 ? { ...rest, C: P + C } : rest };
}

/** A made-up wash of 300 bees, some days ago. */
const washed = (mites: number, daysAgo: number): MiteSample => ({
  date: addDays(DAY, -daysAgo),
  method: 'alcohol-wash',
  bees: 300,
  mites: 4 + mites,
});

/** Comb where none should be, or where frames stand too far apart. */
function strayComb(random: Random): Pick<ColonyFacts, 'marks' | 'woodwork'> {
  const frame = 2 + random.below(6);
  const braced = [frame, frame + 1];
  if (random.unit() < 0.5)
    return { marks: [{ mark: 'brace-comb', frames: braced }], woodwork: { ...NO_WOODWORK, braced } };
  const place = STRAY_PLACES[random.below(4)]!;
  const stray = { place, cause: likelyCause(place), content: 'nectar-or-honey', removed: false } as const;
  return { marks: [], woodwork: { ...NO_WOODWORK, strays: [stray] } };
}

/** Nights near frost. */
const coldNights = (random: Random): ColonyFacts['ahead'] =>
  Array.from({ length: 6 }, (_, day) => ({
    date: addDays(DAY, day),
    low: random.below(4),
    high: 12 + random.below(4),
    rain: 0,
  }));

/** What a look three weeks ago led to expect: far more than is there. */
function ledToExpect(random: Random): ColonyFacts['expected'] {
  const around = (value: number) => ({ value, low: value - 1.2, high: value + 1.2 });
  return { days: 21, bees: around(8.5 + random.unit()), brood: around(6 + random.unit()) };
}

/** The nest of each lot: what decides, the clearer the lower the level. */
function traitsOf(lot: number, level: number, random: Random): NestTraits {
  const blur = level / 8;
  return {
    broodFrames: lot === 11 ? 2 : lot === 1 || lot === 13 ? 8 : lot === 14 ? 7 : lot === 15 ? 4 : 5 + random.below(3),
    eggs: lot !== 9 && (lot !== 2 || random.unit() < 0.4),
    larvae: lot !== 9 && (lot !== 2 || random.unit() < 0.7),
    food: lot === 0 ? 0.06 + 0.2 * blur * random.unit() : 0.5 + random.unit() * 0.4,
    bees:
      lot === 11 || lot === 14
        ? 1.6
        : lot === 15
          ? 3
          : lot === 1
            ? 7.4 - 0.8 * blur * random.unit()
            : lot === 13
              ? 6.1
              : 4 + random.unit() * 1.6,
    cellFrames: lot === 2 ? 1 + random.below(2) : 0,
    ...(lot === 2 ? { cell: CELLS[random.below(CELLS.length)]! } : {}),
  };
}

/** A made-up colony in one of the states that decide what comes next. */
export function someColony(level: number, seed: number): NextDrill {
  const random = scattered(seed);
  const lot = random.below(17);
  const traits = traitsOf(lot, level, random);
  const made = madeNest(traits, random);
  const nest = lot === 10 ? made.map(([low, high]) => [withoutPollen(low), withoutPollen(high)] as const) : made;
  const read = lot === 6 ? nest.slice(0, 1 + random.below(2)) : nest;
  const sides = read.flat();
  const any = (letter: Parameters<typeof shows>[1]) => sides.some((side) => shows(side, letter));
  const bloom: Forage = {
    plant: 'Hawthorn',
    nectar: 3,
    pollen: 2,
    from: DAY,
    to: addDays(DAY, 14),
    giveOrTake: 4,
  };
  const numbers = (of: (side: FrameSide) => boolean) =>
    read.flatMap((faces, index) => (faces.some(of) ? [index + 1] : []));
  const inBloom = random.unit() < 0.5 ? [bloom] : [];
  const facts: ColonyFacts = {
    hive: 'made up',
    today: DAY,
    phase: lot === 11 ? 'making-winter-bees' : 'swarm-season',
    reopens: null,
    strain: 'cuts-down',
    frames: MADE_FRAMES,
    framesRead: read.length,
    nestFrames: MADE_FRAMES,
    foodWeighed: false,
    nest: estimateColony(sides.map((side) => ({ frame: MADE_KIND, side }))),
    last: null,
    daysSinceLast: null,
    eggsSeen: any('E'),
    larvaeSeen: any('L'),
    sealedSeen: any('S'),
    queenSeen: false,
    queen: queenStatus({ date: DAY, sides, eggsLookedFor: true, virginSeen: false, droneLayerSeen: false }),
    youngQueen: null,
    queenSeasons: lot === 13 ? 3 : null,
    queenClipped: false,
    cells: sides.flatMap(({ queenCells }) => queenCells ?? []),
    queenCells: sides.reduce((sum, { cells }) => sum + cells, 0),
    framesWithCells: numbers(({ cells }) => cells > 0),
    doubtfulFrames: lot === 7 ? [4 + random.below(4)] : [],
    nectarAmongBrood: numbers((side) => shows(side, 'N') && shows(side, 'S')),
    supers: 0,
    superFill: null,
    supersFill: null,
    superGain: null,
    broodBoxes: 1,
    superKg: null,
    supersAreTheirs: false,
    superOnFrom: null,
    fedUntil: null,
    fedThinDays: lot === 13 ? 4 + random.below(9) : null,
    flowFrom: null,
    inBloom,
    nectar: nectarOn(inBloom, DAY),
    highs: [],
    poorDays: lot === 10 ? 6 : random.below(5),
    ...NOTHING_BESIDES,
    ...(lot === 11 ? { coldFrom: addDays(DAY, 50 + random.below(30)), coldDays: 120 } : {}),
    ...(lot === 4 ? { marks: [{ mark: SUSPECT[random.below(SUSPECT.length)]!, frames: [3 + random.below(5)] }] } : {}),
    ...(lot === 8
      ? random.unit() < 0.5
        ? { outside: { ...EMPTY_LOOK, robbing: true } }
        : { wasps: { aMinute: 3 + random.below(8), pastGuards: true } }
      : {}),
    ...(lot === 12 ? strayComb(random) : {}),
    ...(lot === 14 ? { ahead: coldNights(random) } : {}),
    ...(lot === 15 ? { expected: ledToExpect(random) } : {}),
    ...(lot === 16 ? { character: { traits: [], tempers: [4 + random.below(2), 4, 4 + random.below(2)] } } : {}),
    ...(lot === 5 ? { samples: [washed(random.below(14), random.below(6))] } : {}),
    practice: DEFAULT_CARE,
  };
  return { lines: colonyLines(facts), advice: adviseColony(facts), decision: null };
}

/** From this urgency on, another answer was due as well. */
const ALSO_DUE = 0.4;

/**
 * Marks what somebody would do next.
 *
 * @param given the answer
 * @param advice what the judges say, the most pressing first; at least one
 * @returns the mark, with the judges' reasons and what another school would do
 */
export function markNext(given: AdviceKind, advice: readonly Advice[]): Mark {
  const [first] = advice;
  if (!first) return { score: 0, right: false, says: [say('nobody-judged-colony')] };
  const reasons = first.reasons.filter(({ sense }) => sense === 'for').map(({ text }) => inOne([text, '.'], ''));
  const told = [inOne([first.title, '.'], ''), ...reasons, inOne([say('another-school'), first.otherSchool])];
  if (given === first.kind) return { score: 1, right: true, says: told };
  const also = advice.some(({ kind, pressing }) => kind === given && pressing >= ALSO_DUE);
  return {
    score: also ? 0.6 : 0,
    right: false,
    says: [also ? say('due-well-but-something-presses') : say('record-says-otherwise'), ...told],
  };
}
