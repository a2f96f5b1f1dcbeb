import { type ColonyFacts, type YardColony, yardColony } from '@brave-comb/core/care';
import { frameOf, nestBoxes } from '@brave-comb/core/equipment';
import type { LineKnown } from '../../facts/care';

/** A colony as its neighbours matter to it; `null` where nobody has read it. */
export const asNeighbour = ({ state }: LineKnown, facts: ColonyFacts | null): YardColony | null =>
  facts && yardColony(facts, frameOf(nestBoxes(state.hive.stack)[0]!));
