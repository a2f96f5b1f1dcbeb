import { type FrameKindId, HONEY_KG_PER_DM2, NECTAR_KG_PER_DM2, combArea } from '../../equipment';
import { BROOD, type Letter } from '../side/contents';
import { FINDINGS } from '../visit/findings';
import { type FrameSide, type SideAddress, hasMark, shows, towardText } from '../side/frame-side';
import type { EvidenceId, Question } from '../visit/questions';
import type { VisitRecord } from '../entries/record';
import { doubtsLeft } from '../entries/sides';
import { say } from '../said';
import { type Text, inOne, named } from '../../language';

/** One piece of evidence: seen, still missing, or not needed for what was asked. */
export interface Evidence {
  readonly id: EvidenceId;
  readonly state: 'seen' | 'missing' | 'not-needed';
  /** Where it was seen, or where to look. */
  readonly where: Text;
}

/** Whether enough was seen to answer the visit's questions, and what the rest would cost. */
export interface SeenEnough {
  readonly enough: boolean;
  readonly evidence: readonly Evidence[];
  /** Frames still to be lifted for the missing evidence. */
  readonly framesToGo: number;
  readonly minutesToGo: number;
}

export interface EvidencePlace {
  readonly box: string;
  readonly frames: number;
  /** Kind of frame that stands in the box: what an eighth of honey weighs. */
  readonly kind: FrameKindId;
  /** Least food in the open season, kg. */
  readonly leastStoresKg?: number | undefined;
  /** Minutes since the first frame, to reckon the pace from; `null` before that. */
  readonly minutesOpen: number | null;
  /** No new queen can be had any more this year. */
  readonly late: boolean;
}

const ASKS: Readonly<Record<Question, readonly EvidenceId[]>> = {
  laying: ['eggs', 'young-larvae', 'sealed-brood', 'queen'],
  'queen-cells': ['queen-cells'],
  room: ['room'],
  stores: ['stores'],
  health: ['sealed-brood', 'healthy-brood'],
  pests: ['pests'],
};
/** Usual pace with a trainee group, minutes a frame. Common practice; the visit's own pace takes over. */
const MINUTES_A_FRAME = 1.4;
/** Food in the nest below which a colony is fed, kg; "enough" is well above it. Common practice. */
const LEAST_STORES_KG = 5;
/** That many times the least is well above it. Common practice. */
const ENOUGH_TIMES = 1.4;
/** Empty comb and foundation that are room for a week, and too little to call room, frames. Common practice. */
const [ROOMY, CRAMPED] = [2, 1];
/** With no more frames unread than this, what they may hold decides nothing any more. */
const LAST_FEW = 2;
/** Nobody reads a frame faster than this, whatever the record says. */
const FASTEST = 0.7;

/** Fewer readings than this say nothing of how long one takes. */
const A_PACE = 4;

/**
 * How long reading has gone on, to tell how long the rest will take.
 *
 * @param record the visit so far
 * @returns minutes from the first reading to the last, `null` before there are four
 */
export function readingMinutes({ sides }: Pick<VisitRecord, 'sides'>): number | null {
  const readings = Object.values(sides).map(({ at }) => Date.parse(at));
  return readings.length < A_PACE ? null : (Math.max(...readings) - Math.min(...readings)) / 60_000;
}

/**
 * What the visit has seen of what it was asked, and what is missing.
 *
 * Eggs make the queen herself unnecessary. Queen cells count as looked for when every frame from the first to the last with brood was
 * read on both sides, with one broodless frame (or the wall) met at each end.
 *
 * @param record the visit
 * @param questions what it was opened for
 * @param at the box that is read, how long the hive has been open, and whether it is too late in the year to risk the queen
 * @returns evidence, what is missing first, and the price of that. Late in the year the first eggs or brood end the visit
 * @example seenEnough(recordOf([]), ['laying'], { box: 'brood', frames: 11, minutesOpen: null, late: false }).enough // false
 */
export function seenEnough(
  record: VisitRecord,
  questions: readonly Question[],
  { box, frames, kind, leastStoresKg = LEAST_STORES_KG, minutesOpen, late }: EvidencePlace,
): SeenEnough {
  const nest = nestOf(record, box, frames);
  const asked = new Set<EvidenceId>(questions.flatMap((question) => ASKS[question]));
  const evidence = [
    stage(record, nest, asked, 'eggs', 'E', eggsHide(record, nest) ?? say('read-middle-nest')),
    stage(record, nest, asked, 'young-larvae', 'L', say('read-middle-nest')),
    stage(record, nest, asked, 'sealed-brood', 'S', say('read-middle-nest')),
    queen(record, nest, asked),
    queenCells(record, nest, asked),
    room(record, nest, asked),
    stores(record, nest, asked, kind, leastStoresKg),
    healthyBrood(record, asked),
    pests(record, asked),
    doubtful(record, nest),
  ]
    .filter((each): each is Evidence => each !== null)
    .map((each) => (late && broodSeen(nest) ? endedLate(each) : each))
    .sort((a, b) => Number(b.state === 'missing') - Number(a.state === 'missing'));
  const open = new Set(evidence.filter((each) => each.state === 'missing').flatMap((each) => framesFor(each.id, nest)));
  const read = nest.readFrames.length;
  const pace = minutesOpen !== null && read >= 2 ? Math.max(FASTEST, minutesOpen / read) : MINUTES_A_FRAME;
  return {
    enough: evidence.every((each) => each.state !== 'missing'),
    evidence,
    framesToGo: open.size,
    minutesToGo: Math.ceil(open.size * pace),
  };
}

const broodSeen = (nest: Nest): boolean =>
  framesWith(nest, (side) => BROOD.some((letter) => shows(side, letter))).length > 0;

/** A queen lost now cannot be replaced: what is not seen yet is not worth her life. A doubt is looked at all the same. */
const endedLate = (each: Evidence): Evidence =>
  each.state === 'missing' && each.id !== 'doubtful-sides'
    ? { ...each, state: 'not-needed', where: say('late-year-first-brood-ends') }
    : each;

interface Nest {
  readonly box: string;
  /** Doubtful sides that nobody looked at again. */
  readonly doubts: readonly { readonly address: SideAddress }[];
  readonly frames: number;
  readonly sides: readonly { readonly address: SideAddress; readonly side: FrameSide }[];
  readonly readFrames: readonly number[];
  /** Frames to read until the nest is passed at both ends. */
  readonly around: readonly number[];
}

function nestOf(record: VisitRecord, box: string, frames: number): Nest {
  const sides = Object.values(record.sides).filter((reading) => reading.address.box === box);
  const facesRead = (frame: number) => sides.filter((reading) => reading.address.frame === frame).length;
  const isRead = (frame: number) => facesRead(frame) === 2;
  const hasBrood = (frame: number) =>
    sides.some(
      ({ address, side }) =>
        address.frame === frame && ['E', 'L', 'S', 'D'].some((letter) => shows(side, letter as Letter)),
    );
  const numbers = Array.from({ length: frames }, (_, index) => index + 1);
  const withBrood = numbers.filter(hasBrood);
  const first = Math.max(1, Math.min(...withBrood) - 1);
  const last = Math.min(frames, Math.max(...withBrood) + 1);
  return {
    box,
    doubts: doubtsLeft(record).filter(({ address }) => address.box === box),
    frames,
    sides,
    readFrames: numbers.filter(isRead),
    around: numbers.filter((frame) => !isRead(frame) && (withBrood.length === 0 || (frame >= first && frame <= last))),
  };
}

/** Why eggs that nobody saw may be there all the same; `null` when they would show. */
function eggsHide(record: VisitRecord, nest: Nest): Text | null {
  const dark = record.checks.some(({ check, ok }) => check === 'light' && !ok);
  const pale = framesWith(nest, (side) => hasMark(side, 'pale-foundation'));
  if (nest.sides.length === 0 || (!dark && pale.length === 0)) return null;
  return say('seen-may-there-take-photo', { dark, frames: listed(pale) });
}

/**
 * Whether "no eggs" may be said: light was good, foundation dark enough, and nobody read without the glasses they need.
 *
 * @param record the visit
 * @returns false when eggs count as "not seen" only
 */
export const eggsWouldShow = (record: VisitRecord): boolean =>
  !record.checks.some(({ check, ok }) => (check === 'light' || check === 'glasses') && !ok) &&
  !Object.values(record.sides).some(({ side }) => hasMark(side, 'pale-foundation'));

const listed = (frames: readonly number[]): Text => [...new Set(frames)].sort((a, b) => a - b).join(', ');
const framesWith = (nest: Nest, test: (side: FrameSide) => boolean): readonly number[] =>
  nest.sides.filter(({ side }) => test(side)).map(({ address }) => address.frame);

function stage(
  record: VisitRecord,
  nest: Nest,
  asked: ReadonlySet<EvidenceId>,
  id: EvidenceId,
  letter: Letter,
  look: Text,
): Evidence | null {
  if (!asked.has(id)) return null;
  const on = framesWith(nest, (side) => shows(side, letter));
  if (on.length > 0) return { id, state: 'seen', where: say('seen-on-frames', { frames: listed(on) }) };
  const later = record.confirmed.filter((each) => each.letter === letter && each.there);
  if (later.length > 0)
    return {
      id,
      state: 'seen',
      where: say('confirmed-afterwards', { frames: listed(later.map(({ address }) => address.frame)) }),
    };
  return record.ticks[id] ? { id, state: 'seen', where: say('ticked-hand') } : { id, state: 'missing', where: look };
}

function queen(record: VisitRecord, nest: Nest, asked: ReadonlySet<EvidenceId>): Evidence | null {
  if (!asked.has('queen')) return null;
  const on = framesWith(nest, (side) => side.queen);
  if (on.length > 0) return { id: 'queen', state: 'seen', where: say('seen-on-frames', { frames: listed(on) }) };
  if (record.ticks.queen) return { id: 'queen', state: 'seen', where: say('ticked-hand') };
  const eggs = framesWith(nest, (side) => shows(side, 'E')).length > 0 || record.ticks.eggs === true;
  return eggs
    ? { id: 'queen', state: 'not-needed', where: say('eggs-prove-her-within-three') }
    : { id: 'queen', state: 'missing', where: say('eggs-instead-her') };
}

function queenCells(record: VisitRecord, nest: Nest, asked: ReadonlySet<EvidenceId>): Evidence | null {
  if (!asked.has('queen-cells')) return null;
  const on = framesWith(nest, (side) => side.cells > 0);
  const found = on.length > 0 ? say('seen-on', { frames: listed(on) }) : say('none-seen');
  if (record.ticks['queen-cells'] || (nest.sides.length > 0 && nest.around.length === 0)) {
    return { id: 'queen-cells', state: 'seen', where: found };
  }
  const rest =
    nest.around.length === nest.frames
      ? say('look-along-every-comb-edge')
      : say('found-look-at', { found, frames: listed(nest.around) });
  return { id: 'queen-cells', state: 'missing', where: rest };
}

const edges = (nest: Nest): readonly number[] =>
  [...new Set([1, 2, nest.frames - 1, nest.frames])].filter((frame) => frame > 0);

/**
 * What the read frames hold of something, and what all frames may hold at most: an unread frame as much as the fullest read one and a quarter
 * of a whole frame more. `null` most while more than the last few frames are unread.
 */
function amount(nest: Nest, of: (side: FrameSide) => number, whole: number): { counted: number; most: number | null } {
  const byFrame = new Map<number, number>();
  for (const { address, side } of nest.sides) byFrame.set(address.frame, (byFrame.get(address.frame) ?? 0) + of(side));
  const counted = [...byFrame.values()].reduce((sum, each) => sum + each, 0);
  const unread = nest.frames - nest.readFrames.length;
  const fullest = Math.max(0, ...byFrame.values());
  return {
    counted,
    most: unread > LAST_FEW ? null : counted + unread * Math.min(whole, fullest + whole / 4),
  };
}

/** Sides of a frame. */
const SIDES = 2;
const eighthsOf = (side: FrameSide, letters: readonly Letter[]): number =>
  letters.reduce((sum, letter) => sum + (side.eighths[letter] ?? 0), 0);

/** Room is seen at the edges; or as soon as enough of it was counted, or hardly any can be left. */
function room(record: VisitRecord, nest: Nest, asked: ReadonlySet<EvidenceId>): Evidence | null {
  if (!asked.has('room')) return null;
  const { counted, most } = amount(nest, (side) => eighthsOf(side, ['C', 'F']) / (8 * SIDES), 1);
  if (counted >= ROOMY) return { id: 'room', state: 'seen', where: say('frames-empty-bare-room-week', { counted }) };
  if (most !== null && most < CRAMPED)
    return { id: 'room', state: 'seen', where: say('frames-empty-bare-hardly-any', { counted }) };
  const rest = edges(nest).filter((frame) => !nest.readFrames.includes(frame));
  if (record.ticks.room || rest.length === 0) return { id: 'room', state: 'seen', where: say('both-edges-read') };
  return { id: 'room', state: 'missing', where: say('look-at', { frames: listed(rest) }) };
}

/** Food is seen on the outer frames; or as soon as enough of it was counted, or too little can be left. */
function stores(
  record: VisitRecord,
  nest: Nest,
  asked: ReadonlySet<EvidenceId>,
  kind: FrameKindId,
  least: number,
): Evidence | null {
  if (!asked.has('stores')) return null;
  const perEighth = combArea(kind) / 8;
  const { counted, most } = amount(
    nest,
    (side) => perEighth * (eighthsOf(side, ['H']) * HONEY_KG_PER_DM2 + eighthsOf(side, ['N']) * NECTAR_KG_PER_DM2),
    SIDES * combArea(kind) * HONEY_KG_PER_DM2,
  );
  if (counted >= ENOUGH_TIMES * least)
    return { id: 'stores', state: 'seen', where: say('kg-counted-enough', { counted }) };
  if (most !== null && most < least)
    return {
      id: 'stores',
      state: 'seen',
      where: say('kg-counted-most-too-little', { counted, most }),
    };
  const rest = [1, nest.frames].filter((frame) => !nest.readFrames.includes(frame));
  if (record.ticks.stores || rest.length === 0)
    return { id: 'stores', state: 'seen', where: say('both-outer-frames-read') };
  return { id: 'stores', state: 'missing', where: say('look-at', { frames: listed(rest) }) };
}

/** Pests count as looked for when mites were sampled, or mites, beetles or moth noted as found or not found. */
function pests(record: VisitRecord, asked: ReadonlySet<EvidenceId>): Evidence | null {
  if (!asked.has('pests')) return null;
  const sampled = record.measures.some(
    ({ measure }) => measure.what === 'mites-on-bees' || measure.what === 'mites-in-drone-brood',
  );
  const looked = record.findings.filter(({ finding }) => FINDINGS[finding].group === 'pests');
  if (record.ticks.pests || sampled || looked.length > 0)
    return { id: 'pests', state: 'seen', where: sampled ? say('mites-sampled') : say('looked-for') };
  return { id: 'pests', state: 'missing', where: say('take-mite-sample-note-what') };
}

function healthyBrood(record: VisitRecord, asked: ReadonlySet<EvidenceId>): Evidence | null {
  if (!asked.has('healthy-brood')) return null;
  const looked = record.findings.filter(({ finding }) => FINDINGS[finding].group === 'disease');
  if (looked.length > 0) {
    const found = looked.filter((each) => each.found).map(({ finding }) => named('finding', finding));
    return {
      id: 'healthy-brood',
      state: 'seen',
      where: found.length > 0 ? say('signs-found', { found }) : say('looked-none-found', { lookedFor: looked.length }),
    };
  }
  return record.ticks['healthy-brood']
    ? { id: 'healthy-brood', state: 'seen', where: say('larvae-pearly-lids-even') }
    : { id: 'healthy-brood', state: 'missing', where: say('larvae-pearly-lids-even-none') };
}

function doubtful(record: VisitRecord, nest: Nest): Evidence | null {
  const flagged = nest.sides.filter(({ side }) => side.doubtful);
  const left = nest.doubts;
  const cleared = record.doubts.filter(({ sound, address }) => sound && address.box === nest.box);
  if (flagged.length === 0 && cleared.length === 0) return null;
  const named = (sides: readonly { readonly address: SideAddress }[]) =>
    inOne(
      sides.map(({ address }) => say('toward', { frame: address.frame, towardText: towardText(address, nest.frames) })),
      ', ',
    );
  if (left.length > 0)
    return { id: 'doubtful-sides', state: 'missing', where: say('look-again', { named: named(left) }) };
  return {
    id: 'doubtful-sides',
    state: 'seen',
    where: flagged.length > 0 ? say('looked-again-still-doubt', { named: named(flagged) }) : say('looked-again-sound'),
  };
}

function framesFor(id: EvidenceId, nest: Nest): readonly number[] {
  if (id === 'doubtful-sides') return nest.doubts.map(({ address }) => address.frame);
  if (id === 'room') return edges(nest).filter((frame) => !nest.readFrames.includes(frame));
  if (id === 'stores') return [1, nest.frames].filter((frame) => !nest.readFrames.includes(frame));
  if (id === 'healthy-brood' || id === 'pests') return [];
  return nest.around;
}
