import type { TrialHive } from '@brave-comb/core/care';
import type { ColonyState } from './colony-state';

/** Hives that may take part in a trial: their bees were counted. */
export const mayTakePart = (states: readonly ColonyState[]): readonly TrialHive[] =>
  states.flatMap(({ hive, reads }) => {
    const read = reads.findLast(({ nest }) => nest.framesOfBees !== null);
    const bees = read?.nest.framesOfBees;
    return read && bees ? [{ hive: hive.id, number: hive.number, bees: bees.value, brood: read.nest.brood.value }] : [];
  });
