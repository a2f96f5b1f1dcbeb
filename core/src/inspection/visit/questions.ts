/** What a visit can be opened for. */
export const QUESTIONS = ['laying', 'queen-cells', 'room', 'stores', 'health', 'pests'] as const;
export type Question = (typeof QUESTIONS)[number];

export const EVIDENCE_IDS = [
  'eggs',
  'young-larvae',
  'sealed-brood',
  'queen',
  'queen-cells',
  'room',
  'stores',
  'healthy-brood',
  'pests',
  'doubtful-sides',
] as const;
export type EvidenceId = (typeof EVIDENCE_IDS)[number];
