import { type Stack, frameFits, frameOf, isBox } from '../../equipment';
import { type CombMove, type Comb, type CombPlace, outOfOrder, arranged } from '../visit/combs';
import { combsOutside } from './closing';
import { BROOD, type Letter } from '../side/contents';
import { type FrameSide, type SideAddress, shows, sideText } from '../side/frame-side';
import { isSuspect } from '../side/marks';
import { ropinessVerdict } from '../visit/measures';
import type { GuardId } from './guard-ids';
import type { Job } from '../visit/jobs';
import { DEPTH_WORDS, VISIT_DEPTHS, type VisitDepth } from './steps';
import type { VisitRecord } from '../entries/record';
import { doubtsLeft } from '../entries/sides';
import { say } from '../said';
import { type Text, named } from '../../language';

/** How far a guard goes: it warns, asks for a reason, or bars the way until something is done. */
export type Bar = 'warns' | 'needs-a-reason' | 'bars';

export interface Guard {
  readonly id: GuardId;
  readonly bar: Bar;
  readonly says: Text;
}

/** What somebody is about to do. */
export type Deed =
  | { readonly do: 'open' }
  | { readonly do: 'lift-box'; readonly box: string }
  | { readonly do: 'lift-frame'; readonly box: string; readonly frame: number }
  | { readonly do: 'move-comb'; readonly move: CombMove; readonly box: string; readonly frame: number }
  | { readonly do: 'give-role'; readonly role: Job; readonly person: string }
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
  readonly depth: { readonly allowed: VisitDepth; readonly why: Text };
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
export function suspected(record: VisitRecord, before: string | null): Text | null {
  if (before) return before;
  const found = record.findings.filter(({ found: there }) => there).map(({ finding }) => finding);
  const disease = found.find((id) => id === 'ropy-brood' || id === 'sour-brood');
  if (disease) return named('finding', disease);
  const tested = record.measures.some(
    ({ measure }) => measure.what === 'ropiness' && ropinessVerdict(measure.test).verdict === 'suspect',
  );
  return tested ? say('thread-ropiness-test') : null;
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

const guard = (applies: boolean, id: GuardId, bar: Bar, says: Text): Guard | null =>
  applies ? { id, bar, says } : null;

function against(deed: Deed, facts: GuardFacts): readonly (Guard | null)[] {
  switch (deed.do) {
    case 'open':
      return opening(facts);
    case 'lift-box':
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
    guard(lock !== null, 'do-not-open', 'needs-a-reason', say('leave-colony-alone', { lock })),
    guard(late, 'too-cold-or-late', 'warns', say('new-queen-can-had-any')),
    guard(
      record.depth !== null && VISIT_DEPTHS.indexOf(record.depth) > VISIT_DEPTHS.indexOf(depth.allowed),
      'deeper-than-the-hour',
      'needs-a-reason',
      say('deeper-than-hour-allows-brood', { depthWord: DEPTH_WORDS[depth.allowed], why: depth.why }),
    ),
    guard(
      open || veils.length === 0,
      'nobody-checked',
      open ? 'bars' : 'warns',
      open ? say('somebody-stands-there-open-veil') : say('nobody-has-looked-veils-yet'),
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
    say('colony-lively-shown-yet-another', { missing }),
  );
}

/** Smoke is due between boxes: since the box before was opened nobody gave any. */
function smokeFirst(box: string, { record }: GuardFacts): Guard | null {
  const opened = record.boxes.filter((each) => each.box !== box).at(-1);
  const last = record.smoke.at(-1);
  const due = !last || (opened !== undefined && Date.parse(last.at) < Date.parse(opened.at));
  const smokeless = record.checks.some(({ check, ok }) => (check === 'smoker-fuel' || check === 'lighter') && !ok);
  return guard(due && !smokeless, 'smoke-first', 'warns', say('little-smoke-before-box-wait'));
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
      say('rob-now-cloth-over-all'),
    ),
    guard(
      !before && frame !== 1 && frame !== count,
      'centre-frame-first',
      'warns',
      say('frame-first-makes-gap-bee', { count }),
    ),
    record.boxes.some((each) => each.box === box) ? null : smokeFirst(box, facts),
    guard(
      foodAbove && !record.checks.some(({ check, ok }) => check === 'food-on' && !ok),
      'food-above',
      'warns',
      say('food-lies-above-frames-take'),
    ),
    guard(
      queen?.box === box && queen.frame === frame,
      'queen-on-this-frame',
      'warns',
      say('queen-seen-frame-low-slow'),
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
    ? guard(true, 'frame-does-not-fit', 'warns', say('frame-shorter-than-box-deep'))
    : guard(
        fit === 'does-not-fit',
        'frame-does-not-fit',
        'bars',
        say('frame-does-hang-box-frames', { name: named('frameKind', frame), name2: named('frameKind', made) }),
      );
}

/** Stores that keep comb for use. */
const KEEPS_COMB: ReadonlySet<string> = new Set(['food-reserve', 'drawn-reserve']);

/** What taking brood out on purpose means, and in which order it is done. */
function broodGoes(sides: readonly FrameSide[]): Text {
  const eighths = (letters: readonly Letter[]) =>
    sides.reduce((sum, side) => sum + letters.reduce((all, letter) => all + (side.eighths[letter] ?? 0), 0), 0);
  const drone = eighths(['D']);
  const worker = eighths(['E', 'L', 'S']);
  if (worker === 0) return say('sealed-drone-brood-eighths-goes', { drone });
  return say('eighths-worker-brood-go-frame', { worker });
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
      say('disease-suspected-frame-leaves-hive', { sick }),
    ),
    guard(
      burnt && sick !== null && facts.ordered === null,
      'disease-suspected',
      'bars',
      say('disease-suspected-nothing-burnt-before', { sick }),
    ),
    guard(
      burnt && sick !== null && facts.ordered !== null,
      'disease-suspected',
      'needs-a-reason',
      say('ordered-inspector-say-frame-belongs', { ordered: facts.ordered }),
    ),
    guard((away || (gone && !burnt)) && doubt, 'doubtful-frame', 'bars', say('frame-doubtful-stays-hive-until')),
    guard(gone && queen, 'queen-or-brood-on-it', 'bars', say('queen-frame')),
    guard(
      gone && !queen && brood && KEEPS_COMB.has(store),
      'queen-or-brood-on-it',
      'bars',
      say('there-brood-frame-dies-rots', { store: store ?? '' }),
    ),
    guard(
      gone && !queen && brood && !KEEPS_COMB.has(store),
      'queen-or-brood-on-it',
      'needs-a-reason',
      broodGoes(sides),
    ),
    guard(queen && !gone, 'queen-on-this-frame', away ? 'needs-a-reason' : 'warns', say('queen-seen-frame-she-moves')),
    guard(
      sides.length < 2 && (away || gone),
      'queen-or-brood-on-it',
      'needs-a-reason',
      say('nobody-has-looked-queen', { sidesRead: sides.length }),
    ),
    guard(
      sides.length > 1 && brood && away && record.queen === null,
      'queen-or-brood-on-it',
      'warns',
      say('queen-seen-today-look-over'),
    ),
    fitting(move.to, box, facts),
    guard(cells && away, 'queen-or-brood-on-it', 'needs-a-reason', say('queen-cells-hang-frame-go')),
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
      say('look-again-before-closing', { sides: doubtful.map(({ address }) => named(address)) }),
    ),
    guard(
      inDoubt.length > 0,
      'doubtful-frame',
      'warns',
      say('still-doubt-photograph-tell-lead', { sides: inDoubt.map(({ address }) => named(address)) }),
    ),
    guard(
      record.conflicts.length > 0,
      'readings-to-settle',
      'warns',
      say('two-readings-both-stay-until', { sides: record.conflicts.map(({ address }) => named(address)) }),
    ),
    guard(
      record.queen !== null && record.queenAccounted === null,
      'queen-not-accounted-for',
      'needs-a-reason',
      say('queen-seen-she-safely', { side: record.queen && named(record.queen.address) }),
    ),
    guard(
      frames.length > 0,
      'frames-still-out',
      'bars',
      say('still-out-frame', { frames: frames.map(({ frame }) => frame) }),
    ),
    guard(
      outside.length > 0,
      'frames-still-out',
      'bars',
      say('still-frame-rest-frame', { frames: outside.map(({ place }) => place) }),
    ),
    guard(
      unexplained,
      'order-changed',
      'needs-a-reason',
      say('frames-stand-another-order-than', { boxes: moved.map(({ comb }) => comb.label) }),
    ),
    guard(tipped.length > 0 && !respaced, 'box-was-tipped', 'bars', say('lay-side-respace-frames-shake', { tipped })),
    guard(record.partsOff.length > 0, 'parts-still-off', 'bars', say('still-off', { partsOff: record.partsOff })),
  ];
}
