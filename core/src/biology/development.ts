export type Caste = 'worker' | 'drone' | 'queen';
export type Stage = 'egg' | 'larva' | 'sealed' | 'emerged';

/** Days spent as egg, as open larva and under the lid. Textbook consensus (Winston 1987), from memory, ± 1 day. */
export const DEVELOPMENT: Readonly<Record<Caste, Readonly<Record<Exclude<Stage, 'emerged'>, number>>>> = {
  worker: { egg: 3, larva: 6, sealed: 12 },
  drone: { egg: 3, larva: 6.5, sealed: 14.5 },
  queen: { egg: 3, larva: 5.5, sealed: 7.5 },
};

/**
 * Days from the laid egg to the adult.
 *
 * @param caste worker, drone or queen
 * @returns days
 * @example daysToEmergence('worker') // 21
 */
export function daysToEmergence(caste: Caste): number {
  const { egg, larva, sealed } = DEVELOPMENT[caste];
  return egg + larva + sealed;
}
