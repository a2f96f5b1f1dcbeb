import { DEVELOPMENT, daysToEmergence } from '../../biology';
import { type CivilDate, addDays } from '../../units';
import { type FrameSide, hasMark, shows } from '../side/frame-side';
import type { FindingId } from '../visit/findings';
import { type CellsVerdict, readCells } from '../side/queen-cells';
import type { VisitRecord } from '../entries/record';
import { say } from '../said';
import type { Text } from '../../language';

export const QUEEN_EVIDENCE = [
  'queen-seen',
  'eggs',
  'young-larvae',
  'larvae',
  'sealed-only',
  'pollen-only',
  'none',
] as const;
export type QueenEvidence = (typeof QUEEN_EVIDENCE)[number];

export const QUEEN_VERDICTS = [
  'queenright',
  'probably-queenright',
  'young-queen-likely',
  'drone-layer-likely',
  'queenless-likely',
  'not-known',
] as const;

export interface QueenStatus {
  readonly verdict: (typeof QUEEN_VERDICTS)[number];
  readonly evidence: QueenEvidence;
  /** First and last day on which the youngest brood seen can have been laid. */
  readonly laid: { readonly from: CivilDate; readonly to: CivilDate } | null;
  readonly says: Text;
  readonly cells: CellsVerdict;
}

export interface QueenFacts {
  /** Day of the visit. */
  readonly date: CivilDate;
  readonly sides: readonly FrameSide[];
  /** Whether every side of the nest was looked at in light by which eggs show: only then "no eggs" means that there are none. */
  readonly eggsLookedFor: boolean;
  readonly virginSeen: boolean;
  /** Somebody noted domed cappings in worker cells as a finding. */
  readonly droneLayerSeen: boolean;
}

/** From so many sides read on, drone brood without any flat worker cappings is no matter of the sides that were left out. Common practice. */
const ENOUGH_SIDES = 4;
/** A comb that holds so many eighths of sealed drone and no young brood is a drone comb, not a worker comb laid wrong. */
const DRONE_COMB = 4;

/** Larvae of this age still pass for young, days since hatching. Common practice. */
const YOUNG = 2;

/**
 * Whether the colony has a laying queen, told from what was seen, with the days on which she laid. Eggs make a search for her needless.
 *
 * @param facts sides read, day, light
 * @returns verdict with its evidence, the span of days of the last laying, and one sentence
 * @example queenStatus({ date: '2026-05-14', sides: [parseSide('3E')], eggsLookedFor: true, virginSeen: false, droneLayerSeen: false }).laid // { from: '2026-05-11', to: '2026-05-14' }
 * Source: development days by Winston (1987), from memory.
 */
export function queenStatus({ date, sides, eggsLookedFor, virginSeen, droneLayerSeen }: QueenFacts): QueenStatus {
  const any = (test: (side: FrameSide) => boolean) => sides.some(test);
  const eggs = any((side) => shows(side, 'E'));
  const larvae = any((side) => shows(side, 'L'));
  const young = any((side) => hasMark(side, 'young-larvae'));
  const old = any((side) => hasMark(side, 'old-larvae'));
  const sealed = any((side) => shows(side, 'S'));
  const drone = any((side) => shows(side, 'D'));
  const queen = any((side) => side.queen);
  const cells = readCells(
    sides.flatMap((side) => side.queenCells ?? []),
    eggs,
  );
  const { egg, larva } = DEVELOPMENT.worker;
  const span = (from: number, to: number) => ({ from: addDays(date, -to), to: addDays(date, -from) });
  const status = (
    verdict: QueenStatus['verdict'],
    evidence: QueenEvidence,
    laid: QueenStatus['laid'],
    says: Text,
  ): QueenStatus => ({ verdict, evidence, laid, says, cells });
  const unseen = eggsLookedFor ? '' : say('eggs-were-looked-everywhere-good');

  if (virginSeen) return status('young-queen-likely', 'queen-seen', null, say('young-queen-yet-laying-close'));
  const laidWrong = droneLayerSeen || any((side) => hasMark(side, 'domed-lids'));
  const inWorkerComb = sides.some(
    (side) => shows(side, 'D') && ((side.eighths.D ?? 0) < DRONE_COMB || shows(side, 'E') || shows(side, 'L')),
  );
  const droneOnly = !sealed && (laidWrong || (drone && inWorkerComb && sides.length >= ENOUGH_SIDES));
  if (droneOnly)
    return status(
      'drone-layer-likely',
      eggs ? 'eggs' : larvae ? 'larvae' : 'sealed-only',
      null,
      say('only-domed-cappings-flat-ones', { eggs, larvae, unseen }),
    );
  if (laidWrong && sealed)
    return status(
      eggs ? 'probably-queenright' : 'not-known',
      eggs ? 'eggs' : 'sealed-only',
      eggs ? span(0, egg) : null,
      say('domed-cappings-among-flat-ones', { unseen }),
    );
  if (eggs)
    return status('queenright', queen ? 'queen-seen' : 'eggs', span(0, egg), say('eggs-she-laid-within-days', { egg }));
  if (queen) return status('probably-queenright', 'queen-seen', null, say('she-seen-her-eggs-were', { unseen }));
  const raising =
    cells.means === 'queen-out' ||
    cells.means === 'swarming' ||
    cells.means === 'replacing-her' ||
    cells.means === 'emergency';
  if (raising && !(larvae && young)) {
    const youngest = larvae
      ? span(old ? egg + YOUNG : egg, egg + larva)
      : sealed
        ? span(egg + larva, daysToEmergence('worker'))
        : null;
    return status(
      'young-queen-likely',
      larvae ? 'larvae' : sealed ? 'sealed-only' : 'none',
      youngest,
      say('queen-cells-eggs-young-queen', { larvae, sealed, unseen }),
    );
  }
  if (larvae && (young || !old)) {
    const laid = young ? span(egg, egg + YOUNG) : span(egg, egg + larva);
    const days = young ? egg + YOUNG : egg + larva;
    const says = say('she-laid-days-ago-latest', { young, days, unseen });
    return status('probably-queenright', young ? 'young-larvae' : 'larvae', laid, says);
  }
  if (larvae)
    return status(
      eggsLookedFor ? 'queenless-likely' : 'not-known',
      'larvae',
      span(egg + YOUNG, egg + larva),
      say('only-older-larvae-nothing-laid', { egg: egg + YOUNG, unseen }),
    );
  if (sealed) {
    const laid = span(egg + larva, daysToEmergence('worker'));
    return status(
      eggsLookedFor ? 'queenless-likely' : 'not-known',
      'sealed-only',
      laid,
      say('only-sealed-brood-nothing-laid', { egg: egg + larva, unseen }),
    );
  }
  if (any((side) => shows(side, 'P')))
    return status('not-known', 'pollen-only', null, say('brood-seen-pollen-stored', { unseen }));
  return status('not-known', 'none', null, sides.length === 0 ? say('side-read') : say('brood-seen', { unseen }));
}

/** What a visit says of the queen beyond its sides, from what was looked for and found. */
export const queenSigns = ({
  findings,
}: Pick<VisitRecord, 'findings'>): Pick<QueenFacts, 'virginSeen' | 'droneLayerSeen'> => {
  const noted = (id: FindingId) => findings.findLast(({ finding }) => finding === id)?.found === true;
  return { virginSeen: noted('virgin-queen'), droneLayerSeen: noted('drone-layer') };
};
