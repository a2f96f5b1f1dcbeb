import { type BoxLayer, type Stack, boxWeight, isBox, nestBoxes, supers } from '../../equipment';
import { meanOf } from '../../statistics';
import { roundTo, within } from '../../units';
import type { ColonyEstimate } from './estimates';
import { type FrameSide, type SideAddress, eighthsRead } from './frame-side';
import { type OutsideLook, entranceScore } from '../visit/outside';
import type { VisitRecord } from '../entries/record';
import { say } from '../said';
import { type Text, named } from '../../language';

/** One figure that a visit adds up to, in words, with what it asks for. */
export interface SumLine {
  readonly topic: string;
  readonly says: Text;
  readonly level: 'well' | 'watch' | 'act';
  readonly asks: Text | null;
}

interface SidesThen {
  readonly days: number;
  /** What its look at the entrance was, `null` without one. */
  readonly look: OutsideLook | null;
  readonly sides: readonly { readonly address: SideAddress; readonly side: FrameSide }[];
}

export interface SumFacts {
  readonly stack: Stack;
  readonly record: VisitRecord;
  readonly nest: ColonyEstimate;
  /** The visit before, `null` without one. */
  readonly last: SidesThen | null;
  /** Frames of bees to be expected today, `null` when nothing says. */
  readonly expectedBees: { readonly low: number; readonly high: number } | null;
}

/** Pollen in store that brood wants, frames. Common practice. */
const POLLEN_WANTED = 0.5;
/** A side counts as bare from so many eighths of foundation on, as drawn below one. */
const BARE = 7;
/** Part of the honey that is sealed from which a frame may be taken. Common practice: four fifths and more, better all. */
const RIPE_SHARE = 0.9;
/** A super is judged full from this part of what it holds: the next one is due. */
const FULL_SHARE = 0.85;
/** Water in ripe honey, percent at most: buyers ask for less than the 20 % of Codex Stan 12-1981, and honey below 18 % does not ferment. Common practice. */
const RIPE_MOISTURE = 18;
/** Comb that would take longer is not being drawn, days. Common practice. */
const SLOW_DAYS = 45;
/** More beetles a frame of bees than this press a colony; a small one sooner. Common practice. */
const BEETLES_A_FRAME = 2;
/** Frames of bees below which a colony is small. Common practice. */
const SMALL = 5;

const line = (topic: string, says: Text, level: SumLine['level'] = 'well', asks: Text | null = null): SumLine => ({
  topic,
  says,
  level,
  asks,
});
const inBox = (record: VisitRecord, box: string): readonly FrameSide[] =>
  Object.values(record.sides)
    .filter(({ address }) => address.box === box)
    .map(({ side }) => side);
const eighths = (sides: readonly FrameSide[], letter: 'H' | 'N' | 'F') =>
  sides.reduce((sum, side) => sum + (side.eighths[letter] ?? 0), 0);

/**
 * What a visit adds up to beyond brood and bees: strength against the season, pollen and its colours, comb to draw, ripeness and fill of
 * the supers, beetles.
 *
 * @param facts the visit, its hive, the visit before
 * @returns lines in that order; nothing for what was not looked at. Limits are common practice
 */
export function sumsOf(facts: SumFacts): readonly SumLine[] {
  const boxes = facts.stack.filter(isBox);
  const honey = supers(facts.stack);
  return [
    entrance(facts),
    strength(facts),
    pollen(facts),
    colours(facts),
    ...boxes.map((box) => combToDraw(box, facts)),
    ...honey.map((box) => ripeness(box, facts.record)),
    ...honey.map((box) => fillByWeight(box, facts.record)),
    beetles(facts),
  ].filter((each) => each !== null);
}

/** The entrance against the last time: traffic without pollen, or much less of both, says where to look. */
function entrance({ record, last }: SumFacts): SumLine | null {
  const look = record.outside.before;
  if (!look) return null;
  const now = entranceScore(look);
  const then = last?.look ? entranceScore(last.look) : null;
  const says = say('entrance-of', { now, then });
  return then !== null && then - now >= 3
    ? line('entrance', says, 'watch', say('much-less-than-last-time'))
    : line('entrance', says);
}

/** Frames of bees: counted on the combs, or the seams seen from above. */
function strength({ stack, record, nest, expectedBees }: SumFacts): SumLine | null {
  const seams = nestBoxes(stack).reduce((sum, { id }) => sum + (record.seams[id] ?? 0), 0);
  const bees = nest.framesOfBees?.value ?? (seams > 0 ? seams : null);
  if (bees === null) return null;
  const how = nest.framesOfBees ? say('counted-combs') : say('seams-above');
  const says = say('frames-of-bees-by', { bees, how });
  if (expectedBees === null) return line('strength', says);
  const span = say('to-expected', { low: expectedBees.low, high: expectedBees.high });
  if (bees < expectedBees.low)
    return line('strength', say('weak-day', { says, span }), 'watch', say('look-reason-queen-mites-food'));
  return bees > expectedBees.high
    ? line('strength', say('strong-day', { says, span }), 'watch', say('room-queen-cells-along-edges'))
    : line('strength', say('as-expected', { says, span }));
}

function pollen({ nest }: SumFacts): SumLine | null {
  if (nest.sidesRead === 0) return null;
  const { value, low, high } = nest.pollen;
  const says = say('frames-pollen-added-up-wanted', { frames: value, low, high, pollenWanted: POLLEN_WANTED });
  if (high < POLLEN_WANTED) return line('pollen', says, 'act', say('brood-starves-protein-while-syrup'));
  return low >= POLLEN_WANTED
    ? line('pollen', says)
    : line('pollen', says, 'watch', say('look-sides-next-brood-before'));
}

function colours({ record }: SumFacts): SumLine | null {
  const stored = Object.values(record.sides).flatMap(({ side }) => side.pollens ?? []);
  const carried = Object.values(record.outside).flatMap((look) => look.pollens ?? []);
  const all = [...new Set([...stored, ...carried])];
  if (all.length === 0) return null;
  const says = say('of-pollen', { colours: all });
  return all.length > 2
    ? line('pollen colours', says)
    : line('pollen colours', says, 'watch', say('one-two-sources-varied-supplement'));
}

interface Drawn {
  readonly drawn: number;
  readonly partly: number;
  readonly bare: number;
}

/** Sides of comb by how far they are drawn; sides without any content say nothing. */
export function drawnSides(sides: readonly FrameSide[]): Drawn {
  const read = sides.filter((side) => eighthsRead(side) > 0);
  const bare = read.filter((side) => (side.eighths.F ?? 0) >= BARE).length;
  const drawn = read.filter((side) => (side.eighths.F ?? 0) < 1).length;
  return { drawn, partly: read.length - bare - drawn, bare };
}

function combToDraw({ id }: BoxLayer, { record, last }: SumFacts): SumLine | null {
  const sides = inBox(record, id);
  const { drawn, partly, bare } = drawnSides(sides);
  if (drawn + partly + bare === 0) return null;
  const before = last?.sides.filter(({ address }) => address.box === id) ?? [];
  const both = before.filter(({ address }) => record.sides[`${address.box}/${address.frame}/${address.face}`]);
  const then = eighths(
    both.map(({ side }) => side),
    'F',
  );
  const now = both.reduce(
    (sum, { address }) => sum + (record.sides[`${address.box}/${address.frame}/${address.face}`]?.side.eighths.F ?? 0),
    0,
  );
  const pace = last && last.days > 0 && then > now ? roundTo((then - now) / 16 / last.days, 2) : null;
  const says = say('sides-drawn-partly-bare', { id, drawn, partly, bare, pace });
  if (partly + bare === 0) return line('comb', says);
  const days = pace ? Math.ceil(eighths(sides, 'F') / 16 / pace) : null;
  if (days !== null && days > SLOW_DAYS) return line('comb', says, 'watch', say('hardly-drawn-flow-too-cold'));
  return line('comb', says, 'watch', days ? say('pace-drawn-about-days', { days }) : say('more-room-while-comb-still'));
}

function ripeness({ id }: BoxLayer, record: VisitRecord): SumLine | null {
  const frames = new Map<number, FrameSide[]>();
  for (const { address, side } of Object.values(record.sides))
    if (address.box === id) frames.set(address.frame, [...(frames.get(address.frame) ?? []), side]);
  const shares = [...frames].flatMap(([frame, sides]) => {
    const [sealed, wet] = [eighths(sides, 'H'), eighths(sides, 'N')];
    return sealed + wet > 0 ? [{ frame, share: sealed / (sealed + wet) }] : [];
  });
  const moisture = record.measures
    .map(({ measure }) => measure)
    .findLast((measure) => measure.what === 'honey-moisture' && measure.box === id);
  const percent = moisture?.what === 'honey-moisture' ? moisture.percent : null;
  if (shares.length === 0) return null;
  const sealed = Math.round(100 * meanOf(shares.map(({ share }) => share)));
  const ripe = shares.filter(({ share }) => share >= RIPE_SHARE).map(({ frame }) => frame);
  const water = percent === null ? '' : say('water-in-honey', { percent });
  const says = say('honey-sealed', { id, sealed, water });
  if (percent !== null && percent > RIPE_MOISTURE) return line('ripeness', says, 'watch', say('leave-too-wet-keep'));
  if (ripe.length === shares.length || percent !== null)
    return line('ripeness', says, 'well', say('ripe-may-come-off-once'));
  return ripe.length === 0
    ? line('ripeness', says, 'watch', say('leave-it-on'))
    : line('ripeness', says, 'watch', say('mixed-only-frame-may-taken', { frames: ripe.sort((a, b) => a - b) }));
}

/**
 * How full a super is by its weight.
 *
 * @param layer the super
 * @param kg what it weighs with wood and frames
 * @returns part of what it holds, 0 and up to 1
 * @throws RangeError for a weight that no box has
 */
export function fillOfWeight(layer: BoxLayer, kg: number): number {
  const nothing = { honeySides: 0, nectarSides: 0, broodSides: 0 };
  const empty = boxWeight(layer, nothing);
  const full = boxWeight(layer, { ...nothing, honeySides: layer.frames * 2 });
  return Math.min(1, Math.max(0, (within('weight in kg', kg, 0, 200) - empty) / (full - empty)));
}

/** What a part of a hive weighed last at a visit, kg; `null` when nobody weighed it. */
export function weighedKg({ measures }: VisitRecord, part: string): number | null {
  const last = measures.findLast(({ measure }) => measure.what === 'weight' && measure.part === part)?.measure;
  return last?.what === 'weight' ? last.kg : null;
}

function fillByWeight(layer: BoxLayer, record: VisitRecord): SumLine | null {
  const kg = weighedKg(record, layer.id);
  if (kg === null || layer.frames === 0) return null;
  const share = fillOfWeight(layer, kg);
  const says = say('kg-about-full', { id: layer.id, kg, fullPercent: Math.round(100 * share) });
  return share >= FULL_SHARE
    ? line('fill', says, 'act', say('full-next-super-due', { name: named('box', layer.box) }))
    : line('fill', says);
}

/** Beetles against the bees that have to keep them down. */
function beetles({ record, nest }: SumFacts): SumLine | null {
  const found = record.findings.findLast(({ finding }) => finding === 'beetles');
  if (!found?.found) return null;
  const count = found.count ?? 1;
  const bees = nest.framesOfBees?.value ?? null;
  const small = bees !== null && bees < SMALL;
  const says = say('beetles-counted', { count, bees });
  const inspector = say('notifiable-many-places-ask-inspector');
  if (count <= 2 && !small) return line('beetles', says, 'watch', say('note-it', { inspector }));
  const pressed = bees !== null && count / Math.max(0.5, bees) > BEETLES_A_FRAME;
  return pressed || (small && count > 2)
    ? line('beetles', says, 'act', say('narrow-nest-what-cover-whole', { inspector }))
    : line('beetles', says, 'watch', say('cut-patties-into-thin-strips', { inspector }));
}
