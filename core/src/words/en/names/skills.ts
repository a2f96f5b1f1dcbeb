import type { KappaBand, StandingState, ColonyThing, SKILL_RISKS, SkillPhase } from '../../../skills';

/** What things are called, by their ids. */
export const skillsNames = {
  standing: {
    'not-met': 'not met',
    'in-progress': 'in progress',
    shown: 'shown',
    'due-again': 'due again',
    'signed-off': 'signed off',
  } satisfies Record<StandingState, string>,
  skillRisk: {
    stings: 'stings',
    fire: 'fire',
    lifting: 'lifting',
    acid: 'acid',
    disease: 'disease',
  } satisfies Record<(typeof SKILL_RISKS)[number], string>,
  skillPhase: {
    prepare: 'prepare',
    approach: 'approach',
    open: 'open',
    handle: 'handle',
    read: 'read',
    judge: 'judge',
    close: 'close',
    record: 'record',
    care: 'care',
    safety: 'safety',
  } satisfies Record<SkillPhase, string>,
  kappaBand: {
    poor: 'poor',
    slight: 'slight',
    fair: 'fair',
    moderate: 'moderate',
    substantial: 'substantial',
    'almost-perfect': 'almost perfect',
  } satisfies Record<KappaBand, string>,
  colonyThing: {
    eggs: 'eggs',
    larvae: 'larvae',
    super: 'super',
    'queen-cells': 'queen cells',
    stores: 'stores',
    'sealed-brood': 'sealed brood',
    'drone-brood': 'drone brood',
    'lively-bees': 'lively bees',
    'doubtful-brood': 'doubtful brood',
  } satisfies Record<ColonyThing, string>,
};
