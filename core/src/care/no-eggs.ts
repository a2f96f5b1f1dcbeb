import type { Phase } from '../season';
import type { ColonyFacts } from './facts';
import { say } from './said';
import type { Text } from '../language';

/** Phases in which a colony without eggs is as it should be. */
const BROODLESS: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood', 'closing-down']);

/** Whether missing eggs are no finding: the season, the strain's habit in a dearth, or a queen that cannot lay yet. */
export function noEggsNormal({ phase, strain, youngQueen, today }: ColonyFacts): Text | null {
  if (youngQueen && today <= youngQueen.layingTo)
    return say('young-queen-expected-lay-before', { layingTo: youngQueen.layingTo });
  if (phase === null) return null;
  if (BROODLESS.has(phase)) return say('brood-normal', { phase });
  return phase === 'dearth' && strain === 'stops' ? say('strain-stops-laying-dearth') : null;
}
