/** Something that is looked for, and noted also when it is not there. */
export interface FindingKind {
  readonly group: 'disease' | 'pests' | 'queen' | 'comb' | 'hive' | 'robbing';
  /** Whether it is counted. */
  readonly counted: boolean;
}

const kind = (group: FindingKind['group'], counted = false): FindingKind => ({ group, counted });

/** What is looked for, by id. Common practice. */
export const FINDINGS = {
  'ropy-brood': kind('disease'),
  'sour-brood': kind('disease'),
  'chalk-brood': kind('disease', true),
  'sac-brood': kind('disease'),
  'deformed-wings': kind('disease', true),
  trembling: kind('disease'),
  droppings: kind('disease'),
  mites: kind('pests', true),
  beetles: kind('pests', true),
  moth: kind('pests'),
  mice: kind('pests'),
  wasps: kind('robbing', true),
  robbing: kind('robbing'),
  'brood-above': kind('queen'),
  'trapped-drones': kind('queen'),
  'drone-layer': kind('queen'),
  'virgin-queen': kind('queen'),
  'stray-comb': kind('comb'),
  'fallen-comb': kind('comb'),
  defect: kind('hive'),
  lean: kind('hive'),
  'no-strap': kind('hive'),
  'animal-traces': kind('hive'),
} as const satisfies Record<string, FindingKind>;

export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = Object.keys(FINDINGS) as readonly FindingId[];
