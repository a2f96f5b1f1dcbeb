/** Something that is looked for, and noted also when it is not there. */
export interface FindingKind {
  readonly group: 'disease' | 'pests' | 'queen' | 'comb' | 'hive' | 'robbing';
  readonly name: string;
  /** Whether it is counted. */
  readonly counted: boolean;
  /** What to do when it is found, in one sentence; the inspector, the vet and the label come first. */
  readonly then: string;
}

const kind = (group: FindingKind['group'], name: string, then: string, counted = false): FindingKind => ({
  group,
  name,
  counted,
  then,
});

const NOTIFIABLE = 'Move nothing out of this hive, photograph, close, wash tools and hands, ring the bee inspector.';

/** What is looked for, by id. Common practice. */
export const FINDINGS = {
  'ropy-brood': kind('disease', 'ropy, foul or scaled brood', NOTIFIABLE),
  'sour-brood': kind('disease', 'twisted, yellow or sour brood', NOTIFIABLE),
  'chalk-brood': kind(
    'disease',
    'chalk brood mummies',
    'Note how many; a strong colony clears them. Damp? Room?',
    true,
  ),
  'sac-brood': kind('disease', 'sac brood', 'Note it; it passes as a rule. Renew comb and queen if it stays.'),
  'deformed-wings': kind('disease', 'deformed wings', 'Count mites today: the virus follows them.', true),
  trembling: kind('disease', 'trembling, hairless or crawling bees', 'Photograph; ask the lead. Poisoning or virus?'),
  droppings: kind(
    'disease',
    'droppings on combs or front',
    'Few after a long winter are normal. Many: sample for gut parasites.',
  ),
  mites: kind('pests', 'mites on bees', 'Seen by eye means many: wash or roll a sample.', true),
  beetles: kind(
    'pests',
    'small hive beetles',
    'Notifiable in many countries: ask the inspector. Where they are common, small colonies and whole patties suffer first: cut patties small.',
    true,
  ),
  moth: kind('pests', 'wax moth', 'Take out ruined comb; a colony that fills its box keeps moths down.'),
  mice: kind('pests', 'traces of mice', 'Narrow the entrance to 8 mm or fit a guard before the cold.'),
  wasps: kind('robbing', 'wasps in the hive', 'Narrow the entrance at once, open no honey, close soon.', true),
  robbing: kind(
    'robbing',
    'robbing',
    'Close now, narrow the entrance, cover every drop; open nothing else here today.',
  ),
  'brood-above': kind(
    'queen',
    'brood above the excluder',
    'Is the queen up there? Bees will not leave brood: this box stays out of the escape.',
  ),
  'trapped-drones': kind('queen', 'drones caught in the excluder', 'Let them out; brood above the grid did it.'),
  'drone-layer': kind(
    'queen',
    'domed lids in worker cells',
    'Drone-laying queen or laying workers: look for scattered eggs, several a cell.',
  ),
  'virgin-queen': kind('queen', 'a virgin queen', 'Stop here, lift no more frames; date the laying check.'),
  'stray-comb': kind('comb', 'stray comb', 'Find the gap that made it, scrape it into the lidded bucket.'),
  'fallen-comb': kind(
    'comb',
    'comb fallen down',
    'Was it heat, or the last visit? Look for the queen before you take it out.',
  ),
  defect: kind('hive', 'a defect of the woodwork', 'Tape it now, repair before winter.'),
  lean: kind('hive', 'the hive leans or rocks', 'Level it before boxes go on; free combs need it level to a degree.'),
  'no-strap': kind('hive', 'no strap or weight', 'Strap or weight it before you leave.'),
  'animal-traces': kind('hive', 'traces of animals', 'Strap, fence or lift the stand.'),
} as const satisfies Record<string, FindingKind>;

export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = Object.keys(FINDINGS) as readonly FindingId[];
