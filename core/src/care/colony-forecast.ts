import type { ForecastFacts, Ranged, SeenThen } from '../biology';
import { type BoxLayer, HONEY_KG_PER_DM2, type Stack, combArea, frameOf, nestBoxes, supers } from '../equipment';
import { superHoney } from '../inspection';
import { type CivilDate, addDays, daysBetween } from '../units';
import { type DaysFacts, colonyDays } from './colony-days';
import { type Look, nestOf } from './colony-facts';
import { combOfFrame } from './expected';

/** Days of visits that a forecast learns from, and days that it looks ahead. Common practice: a season's quarter; two rounds of brood. */
const LEARNS_FROM = 120;
export const LOOKS_AHEAD = 42;
/** A range of the reading holds 19 times in 20; that of a forecast nine times in ten. */
const NARROWER = 1.645 / 1.96;
/** Part of the nest's comb that food fills beside brood and pollen. Common practice. */
const NOT_BROOD = 0.5;
/** Part of the sides of the nest of which a visit has to read more, before a colony is taken on from it. Common practice. */
const READ_ENOUGH = 0.25;

/** What a forecast for one colony rests on, and the day that its days begin with. */
export interface ForecastKnown {
  readonly first: CivilDate;
  readonly facts: ForecastFacts;
}

/**
 * What a forecast for a colony rests on: its visits and the days between and ahead of them.
 *
 * @param looks visits that read the hive, the oldest first
 * @param days season, weather, feeds and medicines
 * @param today civil date
 * @param draws how many colonies are drawn
 * @returns the facts, or `null` where no visit of the last months read bees and brood
 * @throws RangeError for a malformed date
 */
export function forecastFacts(
  looks: readonly Look[],
  days: DaysFacts,
  today: CivilDate,
  draws: number,
): ForecastKnown | null {
  const lately = looks.filter(({ date }) => daysBetween(date, today) <= LEARNS_FROM && date <= today);
  const oneADay = lately.filter(({ date }, index) => lately[index + 1]?.date !== date);
  const begins = oneADay.findIndex(readEnough);
  if (begins < 0) return null;
  const used = oneADay.slice(begins);
  const first = used[0]!.date;
  const frame = frameOf(used.at(-1)!.read.box);
  return {
    first,
    facts: {
      seen: used.map((look, index) => seenThen(look, daysBetween(first, look.date), used[index - 1] ?? null)),
      days: colonyDays(days, first, daysBetween(first, addDays(today, LOOKS_AHEAD)) + 1),
      nest: combOfFrame(frame),
      draws,
      seed: daysBetween('2000-01-01', used.at(-1)!.date),
    },
  };
}

const readEnough = ({ read }: Look): boolean =>
  nestOf(read).nest.framesOfBees !== null && read.nest.sidesRead > read.nestFrames * 2 * READ_ENOUGH;

function seenThen(look: Look, day: number, before: Look | null): SeenThen {
  const { read } = look;
  const { nest, foodWeighed } = nestOf(read);
  const brood = readEnough(look);
  const sample = read.record.measures.flatMap(({ measure }) =>
    measure.what === 'mites-on-bees' && measure.bees > 0 ? [{ bees: measure.bees, mites: measure.mites }] : [],
  );
  return {
    day,
    bees: nest.framesOfBees && narrower(nest.framesOfBees),
    eggs: brood ? narrower(nest.eggs) : null,
    larvae: brood ? narrower(nest.larvae) : null,
    sealed: brood ? together(nest.sealedWorker, nest.sealedDrone) : null,
    storesKg: brood || foodWeighed ? foodOf(look) : null,
    sample: sample.at(-1) ?? null,
    frames: read.nestFrames,
    holdsKg: roomKg(look),
    foodMoved: before !== null && supers(before.read.stack).length > supers(read.stack).length,
  };
}

const narrower = ({ value, low, high }: Ranged): Ranged => ({
  value,
  low: value - (value - low) * NARROWER,
  high: value + (high - value) * NARROWER,
});

const together = (a: Ranged, b: Ranged): Ranged =>
  narrower({ value: a.value + b.value, low: a.low + b.low, high: a.high + b.high });

/** Food in the nest and in the supers; supers that nobody looked into leave it open. */
function foodOf({ read }: Look): Ranged | null {
  const above = superHoney(read.stack, read.record);
  if (above === null && supers(read.stack).length > 0) return null;
  const { value, low, high } = narrower(nestOf(read).nest.storesKg);
  const more = above ?? 0;
  return { value: value + more, low: low + more * 0.9, high: high + more * 1.1 };
}

/** Food that fits into nest and supers, kg: half of the nest's comb, beside brood and pollen, and supers to the brim. Common practice. */
function roomKg({ read }: Look): number {
  const kgOf = (box: BoxLayer) => box.frames * combArea(frameOf(box)) * 2 * HONEY_KG_PER_DM2;
  const nest = nestBoxes(read.stack).reduce((sum, box) => sum + kgOf(box), 0);
  return nest * NOT_BROOD + supers(read.stack).reduce((sum, box) => sum + kgOf(box), 0);
}

/** Frames that bees can stand on, nest and supers, in frames of the nest. */
export function roomOf(stack: Stack): number {
  const area = combArea(frameOf(nestBoxes(stack)[0]!));
  const over = supers(stack).reduce((sum, each) => sum + (each.frames * combArea(frameOf(each))) / area, 0);
  return nestBoxes(stack).reduce((sum, each) => sum + each.frames, 0) + over;
}
