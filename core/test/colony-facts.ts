import { type ColonyFacts, DEFAULT_CARE, NOTHING_BESIDES } from '../src/care';
import { type QueenCell, estimateColony, parseSide, queenStatus } from '../src/inspection';

export const nestOf = (...lines: string[]) =>
  estimateColony(lines.map((line) => ({ frame: 'national-deep' as const, side: parseSide(line) })));
export const times = (count: number, line: string) => Array.from({ length: count }, () => line);
export const cells = (count: number, content: QueenCell['content'], place: QueenCell['place']): QueenCell[] =>
  Array.from({ length: count }, () => ({ content, place }));

/** Eleven National frames with food, brood and room: wants nothing on 14 May. */
export const GOOD = nestOf(...times(8, '4H 1P 3C B4'), ...times(6, '2H 1P 1E 1L 3S B7'), ...times(8, '4H 4C B3'));
/** The same nest with hardly any food. */
export const POOR = nestOf(...times(8, '7C B4'), ...times(6, '1P 1E 2L 4S B7'), ...times(8, '8C B3'));
/** 3.6 frames of bees with little brood and little food. */
export const TINY = nestOf(...times(4, '1H 1P 1E 1L 2S B6'), ...times(18, '8C B2'));
/** Bees on every frame, nectar among the brood. */
export const CROWDED = nestOf(...times(22, '2H 1N 1P 1E 1L 2S B8'));
export const AUTUMN = nestOf(...times(10, '3H 5C B6'), ...times(4, '1P 1E 1L 2S B7'), ...times(8, '8C B3'));
export const BROODLESS = nestOf(...times(16, '6H 2C B4'), ...times(6, '8C B4'));

export const base: ColonyFacts = {
  hive: '4',
  today: '2026-05-14',
  phase: 'swarm-season',
  reopens: null,
  strain: 'cuts-down',
  frames: 11,
  framesRead: 11,
  nestFrames: 11,
  foodWeighed: false,
  nest: GOOD,
  last: null,
  daysSinceLast: null,
  eggsSeen: true,
  larvaeSeen: true,
  sealedSeen: true,
  queenSeen: false,
  queen: queenStatus({
    date: '2026-05-14',
    sides: [parseSide('1E 1L 4S')],
    eggsLookedFor: true,
    virginSeen: false,
    droneLayerSeen: false,
  }),
  youngQueen: null,
  queenSeasons: null,
  queenClipped: false,
  queenCells: 0,
  cells: [],
  framesWithCells: [],
  doubtfulFrames: [],
  nectarAmongBrood: [],
  supers: 0,
  superFill: null,
  supersFill: null,
  superGain: null,
  broodBoxes: 1,
  superKg: null,
  supersAreTheirs: false,
  superOnFrom: null,
  fedUntil: null,
  fedThinDays: null,
  flowFrom: null,
  inBloom: [],
  nectar: 0,
  poorDays: 1,
  highs: [17, 17, 18, 16, 17, 18, 17],
  ...NOTHING_BESIDES,
  practice: DEFAULT_CARE,
};
