import { BOXES, type BoxLayer, type Stack, boxWeight, isBox, nestBoxes, supers } from '../../equipment';
import { meanOf } from '../../statistics';
import { roundTo, within, spoken } from '../../units';
import type { ColonyEstimate } from './estimates';
import { type FrameSide, type SideAddress, eighthsRead } from './frame-side';
import { type OutsideLook, entranceScore } from '../visit/outside';
import type { VisitRecord } from '../visit/record';

/** One figure that a visit adds up to, in words, with what it asks for. */
export interface SumLine {
  readonly topic: string;
  readonly says: string;
  readonly level: 'well' | 'watch' | 'act';
  readonly asks: string | null;
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
const RIPE_MOISTURE = 18;
/** Comb that would take longer is not being drawn, days. Common practice. */
const SLOW_DAYS = 45;
/** More beetles a frame of bees than this press a colony; a small one sooner. Common practice. */
const BEETLES_A_FRAME = 2;
const SMALL = 5;

const line = (topic: string, says: string, level: SumLine['level'] = 'well', asks: string | null = null): SumLine => ({
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
  const says = `entrance ${now} of 10${then === null ? '' : `, last time ${then}`}`;
  return then !== null && then - now >= 3
    ? line('entrance', says, 'watch', 'Much less than last time: queen, robbing, poisoning or weather?')
    : line('entrance', says);
}

/** Frames of bees: counted on the combs, or the seams seen from above. */
function strength({ stack, record, nest, expectedBees }: SumFacts): SumLine | null {
  const seams = nestBoxes(stack).reduce((sum, { id }) => sum + (record.seams[id] ?? 0), 0);
  const bees = nest.framesOfBees?.value ?? (seams > 0 ? seams : null);
  if (bees === null) return null;
  const how = nest.framesOfBees ? 'counted on the combs' : 'seams from above';
  const says = `${roundTo(bees, 1)} frames of bees, ${how}`;
  if (expectedBees === null) return line('strength', says);
  const span = `${roundTo(expectedBees.low, 1)} to ${roundTo(expectedBees.high, 1)} expected`;
  if (bees < expectedBees.low)
    return line(
      'strength',
      `${says}: weak for the day, ${span}`,
      'watch',
      'Look for the reason: queen, mites, food, swarm.',
    );
  return bees > expectedBees.high
    ? line('strength', `${says}: strong for the day, ${span}`, 'watch', 'Room, and queen cells along the edges.')
    : line('strength', `${says}: as expected, ${span}`);
}

function pollen({ nest }: SumFacts): SumLine | null {
  if (nest.sidesRead === 0) return null;
  const { value, low, high } = nest.pollen;
  const says = `${roundTo(value, 2)} frames of pollen added up (${roundTo(low, 2)} to ${roundTo(high, 2)}), ${POLLEN_WANTED} wanted`;
  if (high < POLLEN_WANTED)
    return line('pollen', says, 'act', 'Brood starves of protein while syrup is plentiful: a patty, or pollen combs.');
  return low >= POLLEN_WANTED
    ? line('pollen', says)
    : line('pollen', says, 'watch', 'Look at the sides next to the brood before you decide.');
}

function colours({ record }: SumFacts): SumLine | null {
  const stored = Object.values(record.sides).flatMap(({ side }) => side.pollens ?? []);
  const carried = Object.values(record.outside).flatMap((look) => look.pollens ?? []);
  const all = [...new Set([...stored, ...carried])];
  if (all.length === 0) return null;
  const says = `${all.length === 1 ? 'one colour' : `${all.length} colours`} of pollen: ${all.map(spoken).join(', ')}`;
  return all.length > 2
    ? line('pollen colours', says)
    : line('pollen colours', says, 'watch', 'One or two sources: a varied supplement helps if brood shall grow.');
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
  const says = `${id}: ${drawn} sides drawn, ${partly} partly, ${bare} bare${pace ? `; ${pace} frames drawn a day` : ''}`;
  if (partly + bare === 0) return line('comb', says);
  const days = pace ? Math.ceil(eighths(sides, 'F') / 16 / pace) : null;
  if (days !== null && days > SLOW_DAYS)
    return line('comb', says, 'watch', 'Hardly drawn: no flow, too cold, or too few young bees.');
  return line(
    'comb',
    says,
    'watch',
    days ? `At this pace drawn in about ${days} days.` : 'No more room while comb is still to be drawn.',
  );
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
  const water = percent === null ? '' : `, ${percent} % water`;
  const says = `${id}: ${sealed} in 100 of the honey sealed${water}`;
  if (percent !== null && percent > RIPE_MOISTURE)
    return line('ripeness', says, 'watch', 'Leave it on: too wet to keep.');
  if (ripe.length === shares.length || percent !== null)
    return line('ripeness', says, 'well', 'Ripe: may come off once no brood and no treatment forbids it.');
  return ripe.length === 0
    ? line('ripeness', says, 'watch', 'Leave it on.')
    : line('ripeness', says, 'watch', `Mixed: only frame ${ripe.sort((a, b) => a - b).join(', ')} may be taken.`);
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

function fillByWeight(layer: BoxLayer, record: VisitRecord): SumLine | null {
  const measure = record.measures
    .map((each) => each.measure)
    .findLast((each) => each.what === 'weight' && each.part === layer.id);
  if (measure?.what !== 'weight' || layer.frames === 0) return null;
  const share = fillOfWeight(layer, measure.kg);
  const says = `${layer.id}: ${measure.kg} kg, about ${Math.round(100 * share)} in 100 full`;
  return share >= FULL_SHARE
    ? line('fill', says, 'act', `${BOXES[layer.box].name} is full: the next super is due.`)
    : line('fill', says);
}

/** Beetles against the bees that have to keep them down. */
function beetles({ record, nest }: SumFacts): SumLine | null {
  const found = record.findings.findLast(({ finding }) => finding === 'beetles');
  if (!found?.found) return null;
  const count = found.count ?? 1;
  const bees = nest.framesOfBees?.value ?? null;
  const small = bees !== null && bees < SMALL;
  const says = `${count === 1 ? 'one beetle' : `${count} beetles`}${bees === null ? '' : ` on ${roundTo(bees, 1)} frames of bees`}`;
  const inspector = 'Notifiable in many places: ask the inspector.';
  if (count <= 2 && !small) return line('beetles', says, 'watch', `Note it. ${inspector}`);
  const pressed = bees !== null && count / Math.max(0.5, bees) > BEETLES_A_FRAME;
  return pressed || (small && count > 2)
    ? line('beetles', says, 'act', `Narrow the nest to what they cover, no whole patty: they breed in it. ${inspector}`)
    : line('beetles', says, 'watch', `Cut patties into thin strips, keep no spare room. ${inspector}`);
}
