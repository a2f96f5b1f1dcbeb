import type { ColonyEvent, AdviceKind, ColonyEventKind, Strain, FindingWord, NewColony, ColonyClass } from '../../care';

/** What things are called, by their ids. */
export const careNames = {
  adviceKind: {
    'queen-cells': 'queen cells',
    feed: 'feed',
    'add-space': 'add space',
    'look-again': 'look again',
    'leave-alone': 'leave alone',
  } satisfies Record<AdviceKind, string>,
  colonyEvent: {
    queen: 'queen',
    feed: 'feed',
    hived: 'hived',
    'eggs-seen': 'eggs seen',
    treatment: 'treatment',
    'treatment-out': 'treatment out',
    patty: 'patty',
    'feeder-empty': 'feeder empty',
    'super-on': 'super on',
    'super-off': 'super off',
    'super-left-as-winter-food': 'super left as winter food',
    'drone-comb-in': 'drone comb in',
    'drone-comb-out': 'drone comb out',
    'brood-stopped': 'brood stopped',
    suspicion: 'suspicion',
    'suspicion-settled': 'suspicion settled',
    'ordered-by-the-inspector': 'ordered by the inspector',
  } satisfies Record<ColonyEventKind, string>,
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
  colonyClass: {
    nucleus: 'nucleus',
    production: 'production',
    teaching: 'teaching',
    resting: 'resting',
  } satisfies Record<ColonyClass, string>,
};
