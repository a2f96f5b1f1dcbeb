/** Food used in a day without income, kg, by a full frame of bees and a full frame of brood; a winter cluster's bees use less. Common practice, from memory. */
const PER_FRAME = { bees: 0.012, brood: 0.03, clustered: 0.006 } as const;

/**
 * Food that a colony eats in a day.
 *
 * @param bees frames of bees, 0 or more
 * @param brood frames of brood, 0 or more
 * @param clustered whether they sit in the winter cluster
 * @returns kg a day
 */
export const eatenDaily = (bees: number, brood: number, clustered = false): number =>
  bees * (clustered ? PER_FRAME.clustered : PER_FRAME.bees) + brood * PER_FRAME.brood;
