import type { QueenStart } from '../../../biology';
import type { AdviceKind, ColonyEvent, Strain, FindingWord, NewColony, Strict, ColonyClass } from '../../../care';

/** What things are called, by their ids. */
export const careNames = {
  strictness: { must: 'must', should: 'should', may: 'may' } satisfies Record<Strict, string>,
  feed: {
    'thin-syrup': 'thin syrup',
    'thick-syrup': 'thick syrup',
    fondant: 'fondant',
    'dry-sugar': 'dry sugar',
  } satisfies Record<Extract<ColonyEvent, { kind: 'feed' }>['what'], string>,
  strain: {
    'keeps-laying': 'keeps laying',
    'cuts-down': 'cuts down',
    stops: 'stops',
  } satisfies Record<Strain, string>,
  findingWord: {
    normal: 'normal',
    'more-than-expected': 'more than expected',
    'less-than-expected': 'less than expected',
  } satisfies Record<FindingWord, string>,
  newColony: {
    swarm: 'swarm',
    package: 'package',
    'late-swarm': 'late swarm',
    nucleus: 'nucleus',
    'split-with-the-queen': 'split with the queen',
    'split-without-a-queen': 'split without a queen',
  } satisfies Record<NewColony, string>,
  queenStart: {
    'cell-sealed': 'cell sealed',
    'cell-with-larva': 'cell with larva',
    'queen-lost': 'queen lost',
    'virgin-emerged': 'virgin emerged',
    'cell-put-in': 'cell put in',
    'queen-put-in': 'queen put in',
  } satisfies Record<QueenStart, string>,
  colonyEvent: {
    'eggs-seen': 'Eggs seen',
    'feeder-empty': 'Feeder empty',
    'super-off': 'Super off',
    'super-left-as-winter-food': 'Super left as winter food',
    'drone-comb-in': 'Drone comb in',
    'drone-comb-out': 'Drone comb out',
    'brood-stopped': 'Brood stopped',
    'suspicion-settled': 'Suspicion settled',
  },
  advice: {
    health: 'See to the brood’s health',
    entrance: 'See to the entrance',
    feed: 'Feed',
    queen: 'See to the queen',
    'queen-cells': 'See to the queen cells',
    mites: 'See to the mites',
    protein: 'Give protein',
    strength: 'Unite or nurse it',
    'add-space': 'Give room',
    'look-again': 'Look again soon',
    'cannot-tell': 'Cannot be told yet',
    'leave-alone': 'Leave it alone',
  } satisfies Record<AdviceKind, string>,
  colonyClass: {
    nucleus: 'nucleus',
    production: 'production',
    teaching: 'teaching',
    resting: 'resting',
  } satisfies Record<ColonyClass, string>,
};
