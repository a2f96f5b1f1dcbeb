import { spoken } from '../../units';
import { FRAMES, type Stack, frameFits, frameOf, isBox } from '../../equipment';
import { type CombMove, type Comb, type CombPlace, outOfOrder, arranged } from '../visit/combs';
import { combsOutside } from './closing';
import { BROOD, type Letter } from '../side/contents';
import { FINDINGS } from '../visit/findings';
import { type FrameSide, type SideAddress, shows, sideText } from '../side/frame-side';
import { isSuspect } from '../side/marks';
import { ropinessVerdict } from '../visit/measures';
import type { GuardId } from './guard-ids';
import type { Role } from '../visit/roles';
import { DEPTH_WORDS, VISIT_DEPTHS, type VisitDepth } from './steps';
import { type VisitRecord, doubtsLeft } from '../visit/record';

/** How far a guard goes: it warns, asks for a reason, or bars the way until something is done. */
export type Bar = 'warns' | 'needs-a-reason' | 'bars';

export interface Guard {
  readonly id: GuardId;
  readonly bar: Bar;
  readonly says: string;
}

/** What somebody is about to do. */
export type Deed =
  | { readonly do: 'open' }
  | { readonly do: 'lift box'; readonly box: string }
  | { readonly do: 'lift-frame'; readonly box: string; readonly frame: number }
  | { readonly do: 'move-comb'; readonly move: CombMove; readonly box: string; readonly frame: number }
  | { readonly do: 'give-role'; readonly role: Role; readonly person: string }
  | { readonly do: 'close' };

export interface GuardFacts {
  readonly stack: Stack;
  readonly record: VisitRecord;
  /** Combs as they were found, box by box. */
  readonly found: Readonly<Record<string, readonly Comb[]>>;
  /** Why the colony must be left alone today, `null` when it need not. */
  readonly lock: string | null;
  /** Disease suspected before this visit, `null` when none is. */
  readonly suspicion: string | null;
  /** What the inspector ordered of this colony, `null` while nothing is. */
  readonly ordered: string | null;
  /** No new queen can be had any more this year: depth and search are limited. */
  readonly late: boolean;
  /** How deep the weather of the hour lets a hive be opened, and why no deeper. */
  readonly depth: { readonly allowed: VisitDepth; readonly why: string };
  /** Food lies above the frames: fondant, sugar, a patty. */
  readonly foodAbove: boolean;
  /** Nothing to gather: they rob. */
  readonly robbingSeason: boolean;
  /** Skills without which somebody handles no frames here, by person. */
  readonly barred: Readonly<Record<string, readonly string[]>>;
  /** The other hives of the site by id, from the floor upward. */
  readonly others: Readonly<Record<string, Stack>>;
  /** Frames left to right in the box that is read, and whether combs hang free. */
  readonly frames: Readonly<Record<string, number>>;
}

const sidesOf = (record: VisitRecord, box: string, frame: number): readonly FrameSide[] =>
  Object.values(record.sides)
    .filter(({ address }) => address.box === box && address.frame === frame)
    .map(({ side }) => side);

/** Whether anything seen in this visit, or before, makes foulbrood or another serious disease possible. */
export function suspected(record: VisitRecord, before: string | null): string | null {
  if (before) return before;
  const found = record.findings.filter(({ found: there }) => there).map(({ finding }) => finding);
  const disease = found.find((id) => id === 'ropy-brood' || id === 'sour-brood');
  if (disease) return FINDINGS[disease].name;
  const tested = record.measures.some(
    ({ measure }) => measure.what === 'ropiness' && ropinessVerdict(measure.test).verdict === 'suspect',
  );
  return tested ? 'a thread in the ropiness test' : null;
}

/**
 * What stands against something that is about to be done. Most only warn; a reason given (an override) lets the way be gone, but for what would
 * spread disease, lose a queen, or leave parts behind.
 *
 * @param deed what is about to be done
 * @param facts the visit as it stands
 * @returns guards, the hardest first; empty when nothing speaks against it
 */
export function guardsOf(deed: Deed, facts: GuardFacts): readonly Guard[] {
  const order: readonly Bar[] = ['bars', 'needs-a-reason', 'warns'];
  return against(deed, facts)
    .filter((guard) => guard !== null)
    .sort((a, b) => order.indexOf(a.bar) - order.indexOf(b.bar));
}

/** Guards that still stand: those that warn, bar, or wait for a reason that nobody gave. */
export const guardsLeft = (guards: readonly Guard[], record: VisitRecord): readonly Guard[] =>
  guards.filter(({ id, bar }) => bar !== 'needs-a-reason' || !record.overrides.some((each) => each.guard === id));

const guard = (applies: boolean, id: GuardId, bar: Bar, says: string): Guard | null =>
  applies ? { id, bar, says } : null;

function against(deed: Deed, facts: GuardFacts): readonly (Guard | null)[] {
  switch (deed.do) {
    case 'open':
      return opening(facts);
    case 'lift box':
      return [smokeFirst(deed.box, facts)];
    case 'lift-frame':
      return lifting(deed, facts);
    case 'move-comb':
      return moving(deed, facts);
    case 'give-role':
      return [notReady(deed, facts)];
    case 'close':
      return closing(facts);
  }
}

function opening({ lock, late, record, depth }: GuardFacts): readonly (Guard | null)[] {
  const veils = record.checks.filter(({ check }) => check === 'veil');
  const open = veils.some(({ ok }) => !ok);
  return [
    guard(lock !== null, 'do-not-open', 'needs-a-reason', `Leave this colony alone: ${lock}`),
    guard(
      late,
      'too-cold-or-late',
      'warns',
      'No new queen can be had any more: top box only, edge frames inward, stop at the first eggs or brood.',
    ),
    guard(
      record.depth !== null && VISIT_DEPTHS.indexOf(record.depth) > VISIT_DEPTHS.indexOf(depth.allowed),
      'deeper-than-the-hour',
      'needs-a-reason',
      `Deeper than this hour allows (${DEPTH_WORDS[depth.allowed]}): ${depth.why}. Brood chills within minutes. A reason is for harm that waiting would do.`,
    ),
    guard(
      open || veils.length === 0,
      'nobody-checked',
      open ? 'bars' : 'warns',
      open ? 'Somebody stands there with an open veil.' : 'Nobody has looked at the veils yet.',
    ),
  ];
}

/** Frames of a lively colony are for those who hold smoke, veil and the signs of upset bees. */
function notReady({ role, person }: Extract<Deed, { do: 'give-role' }>, { barred }: GuardFacts): Guard | null {
  const missing = barred[person] ?? [];
  return guard(
    role === 'frames' && missing.length > 0,
    'not-ready-for-frames',
    'needs-a-reason',
    `This colony is lively, and not shown yet: ${missing.join('; ')}. Another role first.`,
  );
}

/** Smoke is due between boxes: since the box before was opened nobody gave any. */
function smokeFirst(box: string, { record }: GuardFacts): Guard | null {
  const opened = record.boxes.filter((each) => each.box !== box).at(-1);
  const last = record.smoke.at(-1);
  const due = !last || (opened !== undefined && Date.parse(last.at) < Date.parse(opened.at));
  const smokeless = record.checks.some(({ check, ok }) => (check === 'smoker-fuel' || check === 'lighter') && !ok);
  return guard(due && !smokeless, 'smoke-first', 'warns', 'A little smoke before this box, and wait.');
}

function lifting({ box, frame }: Extract<Deed, { do: 'lift-frame' }>, facts: GuardFacts): readonly (Guard | null)[] {
  const { record, frames, foodAbove, robbingSeason } = facts;
  const count = frames[box] ?? 0;
  const before =
    record.exposures.some((each) => each.box === box) ||
    record.inHand?.box === box ||
    record.aside.some((each) => each.box === box) ||
    Object.values(record.sides).some(({ address }) => address.box === box);
  const queen = record.queen?.address;
  const wasps = record.measures.some(({ measure }) => measure.what === 'wasps' && measure.aMinute > 0);
  return [
    guard(
      !before && (robbingSeason || wasps || record.outside.before?.intruders === true),
      'keep-covered',
      'warns',
      'They rob now: cloth over all but this frame, honey never open, no drop of syrup, close early.',
    ),
    guard(
      !before && frame !== 1 && frame !== count,
      'centre-frame-first',
      'warns',
      `Frame 1 or ${count} first: it makes the gap, so that no bee and no queen is rolled.`,
    ),
    record.boxes.some((each) => each.box === box) ? null : smokeFirst(box, facts),
    guard(
      foodAbove && !record.checks.some(({ check, ok }) => check === 'food-on' && !ok),
      'food-above',
      'warns',
      'Food lies above the frames: take it off, put it aside, note what goes back.',
    ),
    guard(
      queen?.box === box && queen.frame === frame,
      'queen-on-this-frame',
      'warns',
      'The queen was seen on this frame: low, slow, over the box.',
    ),
  ];
}

/** Frames of one make do not hang in every box; a shallow one in a deep box gets comb built below it. */
function fitting(to: CombPlace, from: string, { stack, others }: GuardFacts): Guard | null {
  if (to.in === 'store') return null;
  const boxOf = (parts: Stack, id: string) => parts.filter(isBox).find((layer) => layer.id === id);
  const [left, entered] = [boxOf(stack, from), boxOf(to.in === 'box' ? stack : (others[to.hive] ?? []), to.box)];
  if (!left || !entered) return null;
  const [frame, made] = [frameOf(left), frameOf(entered)];
  const fit = frameFits(frame, made);
  return fit === 'hangs-short'
    ? guard(
        true,
        'frame-does-not-fit',
        'warns',
        'The frame is shorter than this box is deep: they build wild comb below it.',
      )
    : guard(
        fit === 'does-not-fit',
        'frame-does-not-fit',
        'bars',
        `A ${FRAMES[frame].name} frame does not hang in a box for ${FRAMES[made].name} frames.`,
      );
}

/** Stores that keep comb for use. */
const KEEPS_COMB: ReadonlySet<string> = new Set(['food-reserve', 'drawn-reserve']);

/** What taking brood out on purpose means, and in which order it is done. */
function broodGoes(sides: readonly FrameSide[]): string {
  const eighths = (letters: readonly Letter[]) =>
    sides.reduce((sum, side) => sum + letters.reduce((all, letter) => all + (side.eighths[letter] ?? 0), 0), 0);
  const drone = eighths(['D']);
  const worker = eighths(['E', 'L', 'S']);
  if (worker === 0)
    return `Sealed drone brood, ${drone} eighths: it goes on purpose, mites with it. Out before it emerges; covered, straight to where it goes. The supervisor decides and one person carries it.`;
  return `${worker} eighths of worker brood go with this frame and never emerge. Drone comb out, all brood out, a split: say which. Look twice for the queen; foundation in before bees are shaken; food combs are looked over for brood. The supervisor decides and one person carries it, covered.`;
}

function moving(
  { move, box, frame }: Extract<Deed, { do: 'move-comb' }>,
  facts: GuardFacts,
): readonly (Guard | null)[] {
  const { record } = facts;
  const sides = sidesOf(record, box, frame);
  const away = move.to.in === 'hive';
  const store = move.to.in === 'store' && move.to.store !== 'stand' ? move.to.store : null;
  const gone = store !== null;
  const burnt = store === 'burnt';
  const queen = record.queen?.address.box === box && record.queen.address.frame === frame;
  const brood = sides.some((side) => BROOD.some((letter) => shows(side, letter)));
  const cells = sides.some((side) => side.cells > 0);
  const doubt = sides.some((side) => side.doubtful || side.marks?.some(isSuspect));
  const sick = suspected(record, facts.suspicion);
  return [
    guard(
      (away || (gone && !burnt)) && sick !== null,
      'disease-suspected',
      'bars',
      `Disease is suspected (${sick}): no frame leaves this hive until the inspector has settled it.`,
    ),
    guard(
      burnt && sick !== null && facts.ordered === null,
      'disease-suspected',
      'bars',
      `Disease is suspected (${sick}): nothing is burnt before the inspector has seen it. What was ordered is logged with this colony under Dues.`,
    ),
    guard(
      burnt && sick !== null && facts.ordered !== null,
      'disease-suspected',
      'needs-a-reason',
      `Ordered by the inspector: ${facts.ordered}. Say that this frame belongs to it.`,
    ),
    guard(
      (away || (gone && !burnt)) && doubt,
      'doubtful-frame',
      'bars',
      'This frame is doubtful: it stays in this hive until it was looked at again and cleared.',
    ),
    guard(gone && queen, 'queen-or-brood-on-it', 'bars', 'The queen is on this frame.'),
    guard(
      gone && !queen && brood && KEEPS_COMB.has(store),
      'queen-or-brood-on-it',
      'bars',
      `There is brood on this frame: it dies in the ${spoken(store ?? '')} and rots. Leave it until it has emerged, or take it out on purpose: freezer, melting.`,
    ),
    guard(
      gone && !queen && brood && !KEEPS_COMB.has(store),
      'queen-or-brood-on-it',
      'needs-a-reason',
      broodGoes(sides),
    ),
    guard(
      queen && !gone,
      'queen-on-this-frame',
      away ? 'needs-a-reason' : 'warns',
      'The queen was seen on this frame: she moves with it.',
    ),
    guard(
      sides.length < 2 && (away || gone),
      'queen-or-brood-on-it',
      'needs-a-reason',
      `Nobody has looked at ${sides.length === 0 ? 'this frame' : 'its other side'}: is the queen on it?`,
    ),
    guard(
      sides.length > 1 && brood && away && record.queen === null,
      'queen-or-brood-on-it',
      'warns',
      'The queen was not seen today: look over both sides once more before brood goes.',
    ),
    fitting(move.to, box, facts),
    guard(cells && away, 'queen-or-brood-on-it', 'needs-a-reason', 'Queen cells hang on this frame: they go with it.'),
  ];
}

function closing(facts: GuardFacts): readonly (Guard | null)[] {
  const { record, found, stack } = facts;
  const doubtful = doubtsLeft(record);
  const inDoubt = Object.values(record.sides).filter((each) => each.side.doubtful && !doubtful.includes(each));
  const frames = [...(record.inHand ? [record.inHand] : []), ...record.aside];
  const named = (address: SideAddress) => sideText(address, stack);
  const outside = combsOutside(stack, record, found);
  const now = arranged(found, record.moves);
  const moved = outOfOrder(found, now).filter(
    ({ comb }) => (record.moves.findLast((each) => each.comb.id === comb.id)?.reason ?? '') === '',
  );
  const unexplained = moved.length > 0 && record.moves.some(({ reason }) => reason === '');
  const tipped = record.tipped.filter((box) => stack.some((layer) => isBox(layer) && layer.id === box));
  const respaced = record.checks.some(({ check, ok }) => check === 'respaced' && ok);
  return [
    guard(
      doubtful.length > 0,
      'doubtful-sides-left',
      'bars',
      `Look again before closing: ${doubtful.map(({ address }) => named(address)).join(', ')}.`,
    ),
    guard(
      inDoubt.length > 0,
      'doubtful-frame',
      'warns',
      `Still in doubt: ${inDoubt.map(({ address }) => named(address)).join(', ')}. Photograph it, tell the lead, and where disease is possible ring the bee inspector. No frame of it leaves this hive.`,
    ),
    guard(
      record.conflicts.length > 0,
      'readings-to-settle',
      'warns',
      `Two readings of ${record.conflicts.map(({ address }) => named(address)).join(', ')}: both stay until somebody chooses.`,
    ),
    guard(
      record.queen !== null && record.queenAccounted === null,
      'queen-not-accounted-for',
      'needs-a-reason',
      `The queen was seen on ${record.queen ? named(record.queen.address) : 'a frame'}: is she safely in?`,
    ),
    guard(
      frames.length > 0,
      'frames-still-out',
      'bars',
      `Still out: frame ${frames.map(({ frame }) => frame).join(', ')}.`,
    ),
    guard(
      outside.length > 0,
      'frames-still-out',
      'bars',
      `Still on the frame rest: frame ${outside.map(({ place }) => place).join(', ')}.`,
    ),
    guard(
      unexplained,
      'order-changed',
      'needs-a-reason',
      `Frames stand in another order than they came: ${moved.map(({ comb }) => comb.label).join(', ')}.`,
    ),
    guard(
      tipped.length > 0 && !respaced,
      'box-was-tipped',
      'bars',
      `${tipped.join(', ')} lay on its side: respace its frames, and shake none of them today.`,
    ),
    guard(record.partsOff.length > 0, 'parts-still-off', 'bars', `Still off: ${record.partsOff.join(', ')}.`),
  ];
}
