import { DEVELOPMENT, beesDue, daysToEmergence } from '../biology';
import type { PhaseSpan } from '../season';
import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import type { ColonyRecord } from './expected';
import { say } from './said';
import type { Text } from '../language';

/** What decides whether a colony gets too big too soon. */
export interface SwarmRiskFacts {
  readonly last: ColonyRecord;
  readonly today: CivilDate;
  readonly phases: readonly PhaseSpan[];
  /** First day of the main flow, `null` when none is known. */
  readonly flowFrom: CivilDate | null;
  /** Frames on the hive, nest and supers, that bees can stand on. */
  readonly roomFrames: number;
  readonly cellsPerFrame: number;
  readonly beesPerFrame: number;
  /** Age of the queen in seasons, `null` when unknown: a second-year queen swarms more. */
  readonly queenSeasons: number | null;
  /** Queen cells that hold an egg, larva or lid. */
  readonly cells: number;
}

export interface SwarmRisk {
  readonly level: 'low' | 'watch' | 'high' | 'leaving';
  /** When they would try to leave, `null` when no window is seen. */
  readonly window: { readonly from: CivilDate; readonly to: CivilDate } | null;
  /** Day on which bees outgrow their room. */
  readonly fullOn: CivilDate | null;
  readonly beesDue: number;
  readonly reasons: readonly Text[];
  readonly otherSchool: Text;
}

/** Days within which all brood of a day has emerged. */
const ROUND = daysToEmergence('worker');
/** Whole days from the egg to the sealed queen cell, when a prime swarm leaves. */
const TO_SEALED_CELL = Math.floor(DEVELOPMENT.queen.egg + DEVELOPMENT.queen.larva);
/** Mean life of a worker in the season, days. From memory: four to six weeks. */
const LIFE = 36;
/** Part of eggs and larvae that lives to emerge. Common practice. */
const EMERGES = 0.9;
/** Part of the frames covered from which a hive is full. Common practice. */
export const FULL = 0.92;
/** Days over which their growth is followed. Common practice. */
const FOLLOWED = 35;
/** Days after which a record is called old. Common practice. */
const OLD_RECORD = 14;
/** Seasons of a queen from which her colony swarms more. Common practice. */
const OLDER_QUEEN = 2;
/** Days that a window lasts without cells to date it by. Common practice. */
const WINDOW = 21;
/** Days before a window from which it is near. Common practice. */
const NEAR = 7;
/** Brood frames called big for a colony before the flow. Common practice. */
const BIG_BROOD = 3;
/** Days before the flow in which big brood will try to leave: two to seven weeks. Common practice. */
const EARLY = [14, 49] as const;

/**
 * When a colony is likely to swarm: bees due from its brood against its room, and the beginning of the flow. Common practice.
 *
 * @param facts the last record, phases, flow and room
 * @returns level, window and reasons
 * @throws RangeError for malformed dates
 */
export function swarmRisk(facts: SwarmRiskFacts): SwarmRisk {
  const { last, today, phases, flowFrom, roomFrames, cellsPerFrame, beesPerFrame } = facts;
  const since = daysBetween(last.date, today);
  const brood = last.eggs + last.larvae + last.sealed;
  const due = Math.round(
    beesDue(last.sealed * cellsPerFrame, DEVELOPMENT.worker.sealed) +
      (last.eggs + last.larvae) * cellsPerFrame * EMERGES,
  );
  const beesOn = (day: number) => {
    const emerged = (due * Math.min(ROUND, day)) / ROUND;
    // Half of the days: those who emerge meanwhile have only some of them behind them.
    const living = (last.bees * beesPerFrame + emerged) * (1 - 1 / LIFE) ** (day / 2);
    return living / beesPerFrame;
  };
  const full = Array.from({ length: FOLLOWED + 1 }, (_, day) => day).find((day) => beesOn(day) > roomFrames * FULL);
  const fullOn = full === undefined ? null : addDays(last.date, full);
  const season = phases.flatMap(({ swarming }) => swarming ?? []);
  const opens = season[0]?.from ?? null;
  const closes = season.at(-1)?.to ?? null;
  const toFlow = flowFrom === null ? null : daysBetween(last.date, flowFrom);
  const early = toFlow !== null && toFlow >= EARLY[0] && toFlow <= EARLY[1] && brood >= BIG_BROOD;
  const reasons = [
    say('frames-brood-about-bees-within', { brood, date: last.date, bees: due, days: ROUND }),
    fullOn === null ? say('room-frames-five-weeks', { roomFrames }) : say('cover-frames', { roomFrames, fullOn }),
    ...(early ? [say('much-brood-weeks-before-main', { toFlow: Math.round(toFlow / 7), flowFrom: flowFrom! })] : []),
    ...((facts.queenSeasons ?? 0) >= OLDER_QUEEN ? [say('queen-her-second-season-older')] : []),
    ...(facts.cells > 0 ? [say('queen-cells-brood', { cells: facts.cells })] : []),
    ...(since > OLD_RECORD ? [say('record-days-old', { since })] : []),
  ];
  const otherSchool = say('adds-room-but-takes-brood');
  if (opens === null || closes === null || daysBetween(today, closes) < 0)
    return {
      level: 'low',
      window: null,
      fullOn,
      beesDue: due,
      reasons: [say('swarm-season-now'), ...reasons],
      otherSchool,
    };
  const from = facts.cells > 0 ? today : fullOn === null ? null : laterOf(laterOf(fullOn, opens), today);
  if (from === null || daysBetween(from, closes) < 0)
    return { level: early ? 'watch' : 'low', window: null, fullOn, beesDue: due, reasons, otherSchool };
  const end = addDays(from, facts.cells > 0 ? TO_SEALED_CELL : WINDOW);
  const window = { from, to: daysBetween(end, closes) < 0 ? closes : end };
  const near = daysBetween(today, from) <= NEAR;
  const level = facts.cells > 0 ? 'leaving' : near ? 'high' : 'watch';
  return { level, window, fullOn, beesDue: due, reasons, otherSchool };
}
