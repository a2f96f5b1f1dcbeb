import { DEVELOPMENT } from './development';

/** Mites on bees, and under the cappings by the day on which their cell was capped, the latest first. Changed in place. */
export interface Mites {
  onBees: number;
  readonly inWorkers: Float64Array;
  readonly inDrones: Float64Array;
}

/** A day for mites. */
export interface MiteDay {
  /** Cells of each kind that are capped that day. */
  readonly workersCapped: number;
  readonly dronesCapped: number;
  readonly bees: number;
  /** Part of those on bees that a medicine kills. */
  readonly killed: number;
}

const WORKER_DAYS = DEVELOPMENT.worker.sealed;
const DRONE_DAYS = Math.ceil(DEVELOPMENT.drone.sealed);
/** Cells of each kind that a mite enters, for each cell capped a day and gram of bees. Boot et al. 1995; Calis, Fries & Ryrie 1999, from memory. */
const ENTERS = { workers: 0.56, drones: 6.49 } as const;
const GRAMS_A_BEE = 0.125;
/** Mites that leave a cell with the young bee for each that went in. Martin 1994, 1995: 1.45 and 2.2, from memory; those that bees tear out taken off. */
const LEAVE = { workers: 1.35, drones: 2 } as const;
/** Part of the mites on bees that dies each day of its own. Fries, Camazine & Sneyd 1994: 0.6 % while there is brood, less in winter; from memory. */
const DIES = { brood: 0.006, broodless: 0.003 } as const;

/** No mites. */
export const noMites = (): Mites => ({
  onBees: 0,
  inWorkers: new Float64Array(WORKER_DAYS),
  inDrones: new Float64Array(DRONE_DAYS),
});

const goIn = ({ workersCapped, dronesCapped, bees }: Omit<MiteDay, 'killed'>) => {
  const grams = Math.max(1, bees) * GRAMS_A_BEE;
  const workers = (ENTERS.workers * workersCapped) / grams;
  const drones = (ENTERS.drones * dronesCapped) / grams;
  const rate = workers + drones;
  return { share: 1 - Math.exp(-rate), toWorkers: rate > 0 ? workers / rate : 0 };
};

/**
 * So many mites on the bees of a colony, with as many under the cappings as follow from cells that were capped at the same rate for long.
 *
 * @param onBees mites on bees, 0 or more
 * @param day cells capped a day, and bees
 * @returns the mites
 */
export function mitesOf(onBees: number, day: Omit<MiteDay, 'killed'>): Mites {
  const mites = noMites();
  mites.onBees = onBees;
  const { share, toWorkers } = goIn(day);
  mites.inWorkers.fill(onBees * share * toWorkers);
  mites.inDrones.fill(onBees * share * (1 - toWorkers));
  return mites;
}

/**
 * Takes mites a day on, in place: those whose bee emerges come out with their young, others go into cells that are capped.
 *
 * @param mites where they are
 * @param day cells capped, bees, medicine
 * @param breeding how well they breed here, 1 where as usual
 */
export function mitesNextDay(mites: Mites, day: MiteDay, breeding = 1): void {
  const { share, toWorkers } = goIn(day);
  const out =
    breeding * (mites.inWorkers[WORKER_DAYS - 1]! * LEAVE.workers + mites.inDrones[DRONE_DAYS - 1]! * LEAVE.drones);
  const brood = day.workersCapped + day.dronesCapped > 0;
  const stay = mites.onBees * (1 - share);
  const enter = mites.onBees - stay;
  mites.inWorkers.copyWithin(1, 0);
  mites.inDrones.copyWithin(1, 0);
  mites.inWorkers[0] = enter * toWorkers;
  mites.inDrones[0] = enter * (1 - toWorkers);
  mites.onBees = (stay * (1 - (brood ? DIES.brood : DIES.broodless)) + out) * (1 - day.killed);
}

/** All mites, on bees and in cells. */
export function mitesInAll({ onBees, inWorkers, inDrones }: Mites): number {
  let all = onBees;
  for (const each of inWorkers) all += each;
  for (const each of inDrones) all += each;
  return all;
}
