/** Things that advice asks to be brought, with the unit in which each is counted. */
export const BRINGS = {
  super: 'pieces',
  'brood-box': 'pieces',
  foundation: 'pieces',
  feeder: 'pieces',
  'thin-syrup': 'litres',
  'thick-syrup': 'litres',
  fondant: 'kg',
  patty: 'kg',
  'entrance-block': 'pieces',
  'wash-kit': 'pieces',
  medicine: 'pieces',
  'acid-gear': 'pieces',
  'queen-cage': 'pieces',
  'small-box': 'pieces',
  newspaper: 'pieces',
  matchsticks: 'pieces',
  'own-tools': 'pieces',
  dummy: 'pieces',
  'drone-frame': 'pieces',
  magnifier: 'pieces',
} as const;
export type BringId = keyof typeof BRINGS;

export interface Bring {
  readonly what: BringId;
  readonly amount: number;
}

/** What it takes to do what an advice says. */
export interface Errand {
  /** Minutes at the hive. */
  readonly minutes: number;
  /** In the day's warmth, or in the evening when nobody flies any more and robbers are at home. */
  readonly when: 'day' | 'evening';
  /** Whether the hive is opened for it. */
  readonly opens: boolean;
  readonly brings: readonly Bring[];
}
