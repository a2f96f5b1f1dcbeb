import { type Phase } from '../season';
import { type Text } from '../language';
import { readCells } from '../inspection';
import { addDays } from '../units';
import { type Advised, con, pro, weigh } from './advice';
import { beesDue } from '../biology';
import type { ColonyFacts } from './facts';
import { healthOf } from './health';
import { queenTrouble } from './queen';
import { halfRead } from './reading';
import { say } from './said';
import { NO_FLYING, SUPER_NEARLY_FULL } from './space';

/** One part of how likely they are to leave, in points; less than none speaks against it. */
export interface SwarmPart {
  readonly text: Text;
  readonly points: number;
}

/** How much of it counts in each phase; nothing in any other. Common practice. */
const SEASON: Readonly<Partial<Record<Phase, number>>> = { 'swarm-season': 1, 'build-up': 0.5, flow: 0.5 };
/** Part of the nest that bees cover from which they lack room, and at which they have none. */
const CROWDED = [0.6, 1] as const;
/** Frames of comb without anything in it that a laying queen needs ahead of her. Common practice. */
const FREE_COMB = 1.5;
/** Bees on a frame, for bees about to emerge. */
const ON_A_FRAME = 2_000;
/** Days in which what is under its lid emerges. */
const EMERGE = 12;
/** Days for which thin syrup drives brood. Common practice. */
const DRIVES = 21;
/** Seasons of a queen from which her colony leaves more readily, and much more. Common practice. */
const OLDER = 2;
const OLD = 3;
/** Points from which something is done before there are cells. Common practice. */
const LIKELY = 55;
/** Points from which a colony kept for more colonies is divided. Common practice. */
const DIVIDED_AT = 35;
/** Days between looks that a clipped queen wins. Common practice: 10 to 12 instead of 7. */
const CLIPPED_WINS = 4;
/** Frames of brood that a colony needs to give some away or be divided. Common practice. */
const SPARES = 5;

const POINTS = { crowded: 30, eggs: 20, nectar: 15, due: 15, cups: 15, fed: 8, shutIn: 5 } as const;

/**
 * How likely a colony is to swarm, part by part, before there are fed cells.
 *
 * @param facts the colony
 * @returns 0 to 100 points with their parts, or `null` when bees were not counted or it is not their season
 * Source: common practice; the causes by Winston (1987), from memory, their weights by trial on the cases.
 */
export function swarmLikely(
  facts: ColonyFacts,
): { readonly points: number; readonly parts: readonly SwarmPart[] } | null {
  const { nest, phase } = facts;
  const bees = nest.framesOfBees;
  const season = phase === null ? undefined : SEASON[phase];
  if (bees === null || season === undefined) return null;
  const covered = bees.value / facts.nestFrames;
  const free = nest.emptyComb.value + nest.foundation.value;
  const due = beesDue(nest.sealedWorkerCells.value, EMERGE) / ON_A_FRAME / facts.nestFrames;
  const cups = facts.cells.filter(({ content }) => content === 'egg').length;
  const share = (value: number, [from, to]: readonly [number, number]) =>
    Math.min(1, Math.max(0, (value - from) / (to - from)));
  const all: readonly (SwarmPart | false)[] = [
    { text: say('swarm-crowded', { covered }), points: POINTS.crowded * share(covered, CROWDED) },
    { text: say('swarm-free-comb', { free }), points: POINTS.eggs * (1 - share(free, [0, FREE_COMB])) },
    {
      text: say('nectar-among-brood', { squeezed: facts.nectarAmongBrood.length }),
      points: covered < CROWDED[0] ? 0 : Math.min(POINTS.nectar, facts.nectarAmongBrood.length * 4),
    },
    { text: say('swarm-bees-due', { frames: due * facts.nestFrames }), points: POINTS.due * share(due, [0, 0.4]) },
    cups > 0 && { text: say('swarm-cups', { cups }), points: POINTS.cups },
    facts.fedThinDays !== null &&
      facts.fedThinDays <= DRIVES && { text: say('swarm-fed', { days: facts.fedThinDays }), points: POINTS.fed },
    (facts.poorDays ?? 0) >= 3 && { text: say('days-shut-in', { poor: facts.poorDays! }), points: POINTS.shutIn },
    ofQueen(facts.queenSeasons),
    facts.supers > 0 && { text: say('swarm-room-above'), points: -roomAbove(facts) },
  ];
  const parts = all
    .filter((part) => part !== false)
    .map(({ text, points }) => ({ text, points: Math.round(points * season) }))
    .filter(({ points }) => points !== 0);
  return {
    points: Math.min(
      100,
      Math.max(
        0,
        parts.reduce((sum, { points }) => sum + points, 0),
      ),
    ),
    parts,
  };
}

function ofQueen(seasons: number | null): SwarmPart | false {
  if (seasons === null) return false;
  const text = say('swarm-queen-seasons', { seasons });
  if (seasons >= OLD) return { text, points: 15 };
  return { text, points: seasons >= OLDER ? 8 : -30 };
}

/** Points that room above takes away: most for an empty super, none for full ones. */
const roomAbove = ({ supersFill }: ColonyFacts): number =>
  30 * Math.max(0, 1 - (supersFill ?? SUPER_NEARLY_FULL) / SUPER_NEARLY_FULL);

/**
 * Before they swarm: what is done while there are no fed cells yet.
 *
 * @param facts the colony
 * @returns the advice with the points it rests on, or `null` when it is not likely, or cells, the queen or health come first
 * Source: common practice.
 */
export function adviseSwarming(facts: ColonyFacts): Advised | null {
  const { today, practice } = facts;
  if (queenTrouble(facts) !== null || facts.youngQueen !== null || healthOf(facts).verdict !== 'sound') return null;
  // Cells that nobody looked into are looked into first.
  if (facts.queenCells > facts.cells.length) return null;
  if (!['routine', 'charged-cups'].includes(readCells(facts.cells, facts.eggsSeen).means)) return null;
  // In rain nobody leaves, and nobody opens a hive.
  if ((facts.poorDays ?? 0) >= NO_FLYING) return null;
  // Combs that nobody read are not combs without room.
  if (!halfRead(facts)) return null;
  const likely = swarmLikely(facts);
  const divides = facts.nest.brood.value >= SPARES;
  const from = facts.aim === 'growth' && divides ? DIVIDED_AT : LIKELY;
  if (likely === null || likely.points < from) return null;
  const { points, parts } = likely;
  const by = addDays(today, 5);
  const interval = practice.swarmIntervalDays + (facts.queenClipped ? CLIPPED_WINS : 0);
  return {
    kind: 'swarming',
    title:
      facts.aim === 'growth' && divides ? say('divide-it', { points }) : say('before-they-swarm', { points, divides }),
    by,
    pressing: weigh(0.5 + (points - from) / 90),
    reasons: [
      ...parts.map(({ text, points: part }) => (part > 0 ? pro(text, weigh(part / 30)) : con(text, weigh(-part / 30)))),
    ],
    turns: [say('room-taken-next-look'), ...(facts.queenClipped ? [say('swarm-clipped')] : [])],
    otherSchool: say('room-only-or-cuts-cells'),
    whereFrom: {
      figure: say('points-of-100', { points }),
      rule: say('swarm-points-rule', { likely: from }),
      steps: parts.map(({ text, points: part }) => [text, say('points', { points: part })] as const),
      source: say('common-practice'),
    },
    cautions: [say('brood-to-sound-colonies-only')],
    ifItFails: say('fed-cells-then-divide'),
    followUps: [
      {
        question: say('cells-look-every-side'),
        from: addDays(today, interval - 2),
        due: addDays(today, interval),
      },
      { question: say('room-left-after'), from: addDays(by, 7), due: addDays(by, 12) },
    ],
  };
}
