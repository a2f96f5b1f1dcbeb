import { roundTo, within } from '../units';
import type { Weather } from './hour';
import { say } from './said';
import { type Text } from '../language';

const toF = (celsius: number): number => celsius * 1.8 + 32;
const toC = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;

/**
 * Relative humidity from temperature and dew point (Magnus formula, constants of Alduchov and Eskridge 1996).
 *
 * @param temperature °C
 * @param dewPoint °C, not above the temperature
 * @returns per cent, 0 to 100
 * @throws RangeError for a temperature that no air has
 * @example relativeHumidity(20, 20) // 100
 */
export function relativeHumidity(temperature: number, dewPoint: number): number {
  within('temperature in °C', temperature, -90, 70);
  within('dew point in °C', dewPoint, -100, 70);
  const pressure = (t: number) => Math.exp((17.625 * t) / (243.04 + t));
  return Math.min(100, (100 * pressure(dewPoint)) / pressure(temperature));
}

/**
 * Heat index of the US National Weather Service: the simple formula, and the regression of Rothfusz (1990, SR 90-23) with its two
 * adjustments where the simple one gives 80 °F or more. For shade and light wind; full sun adds up to 8 °C, and it knows nothing of a bee suit.
 *
 * @param temperature shade temperature, °C
 * @param humidity relative humidity, per cent, 0 to 100
 * @returns felt temperature, °C
 * @throws RangeError for a humidity outside 0 to 100
 * @example heatIndex(32, 60) // 37.07
 */
export function heatIndex(temperature: number, humidity: number): number {
  const t = toF(within('temperature in °C', temperature, -90, 70));
  const rh = within('relative humidity in per cent', humidity, 0, 100);
  const simple = 0.5 * (t + 61 + (t - 68) * 1.2 + rh * 0.094);
  if (simple < 80) return toC(simple);
  const regression =
    -42.379 +
    2.04901523 * t +
    10.14333127 * rh -
    0.22475541 * t * rh -
    0.00683783 * t * t -
    0.05481717 * rh * rh +
    0.00122874 * t * t * rh +
    0.00085282 * t * rh * rh -
    0.00000199 * t * t * rh * rh;
  return toC(regression + adjustment(t, rh));
}

function adjustment(t: number, rh: number): number {
  if (rh < 13 && t >= 80 && t <= 112) return -((13 - rh) / 4) * Math.sqrt((17 - Math.abs(t - 95)) / 17);
  if (rh > 85 && t >= 80 && t <= 87) return ((rh - 85) / 10) * ((87 - t) / 5);
  return 0;
}

/**
 * Wind chill of Environment Canada and the US National Weather Service (2001).
 *
 * @param temperature shade temperature, °C
 * @param wind mean wind at 10 m, km/h, 0 or more
 * @returns felt temperature, °C; the temperature itself above 10 °C or below 4.8 km/h, where the formula does not hold
 * @throws RangeError for a negative wind
 * @example windChill(-10, 20) // -17.86
 */
export function windChill(temperature: number, wind: number): number {
  within('wind in km/h', wind, 0, 500);
  within('temperature in °C', temperature, -90, 70);
  if (temperature > 10 || wind <= 4.8) return temperature;
  const speed = wind ** 0.16;
  return 13.12 + 0.6215 * temperature - 11.37 * speed + 0.3965 * temperature * speed;
}

/** Classes of the heat index, felt °C from which each begins (80, 90, 103 and 125 °F; editions of the table differ a little). */
const HEAT_CLASSES = [
  { from: toC(125), name: 'extreme-danger' },
  { from: toC(103), name: 'danger' },
  { from: toC(90), name: 'extreme-caution' },
  { from: toC(80), name: 'caution' },
] as const;
export type HeatClass = (typeof HEAT_CLASSES)[number]['name'] | 'none';

/** A closed suit and veil keep heat in; nobody has measured it for bee suits. Half of the published allowance for full sun, from memory. */
const SUIT = 4;

/** What the weather asks of people at work. */
export interface PeopleAdvice {
  /** Felt temperature in the shade, °C. */
  readonly felt: number;
  readonly heat: HeatClass;
  /** Minutes of work in a suit before a break in the shade; `null` when nobody should work. */
  readonly workMinutes: number | null;
  readonly breakMinutes: number;
  /** Water for each person and hour, litres. */
  readonly waterLitres: number;
  readonly notes: readonly Text[];
}

/**
 * Breaks, water and clothes for people in bee suits. Water: a cup of a quarter litre every 15 to 20 minutes in heat (OSHA heat advice, from
 * memory). Breaks: common practice. Nobody's doctor is replaced by it.
 *
 * @param weather the hour's weather
 * @returns advice for that hour
 */
export function peopleAdvice(weather: Weather): PeopleAdvice {
  const { temperature, dewPoint, wind } = weather;
  if (temperature <= 10) return coldAdvice(windChill(temperature, wind));
  const felt = heatIndex(temperature, relativeHumidity(temperature, Math.min(dewPoint, temperature)));
  const suited = felt + SUIT;
  const heat = HEAT_CLASSES.find((each) => suited >= each.from)?.name ?? 'none';
  const plan = {
    none: [90, 10, 0.25],
    caution: [60, 10, 0.5],
    'extreme-caution': [40, 15, 0.75],
    danger: [20, 20, 1],
    'extreme-danger': [null, 60, 1],
  } as const;
  const [workMinutes, breakMinutes, waterLitres] = plan[heat];
  return {
    felt: roundTo(felt, 1),
    heat,
    workMinutes,
    breakMinutes,
    waterLitres,
    notes: HEAT_NOTES[heat],
  };
}

const HEAT_NOTES: Readonly<Record<HeatClass, readonly Text[]>> = {
  none: [],
  caution: [say('shade-water-where-people-take')],
  'extreme-caution': [say('suits-open-shade-each-break'), say('dizzy-sick-headache-out-suit')],
  danger: [say('short-turns-early-late-day'), say('hot-confused-sweating-call-emergency')],
  'extreme-danger': [say('work-suits-heat')],
};

function coldAdvice(felt: number): PeopleAdvice {
  return {
    felt: roundTo(felt, 1),
    heat: 'none',
    workMinutes: felt < -15 ? 20 : 60,
    breakMinutes: 10,
    waterLitres: 0.25,
    notes: felt < -27 ? [say('bare-skin-can-freeze-within')] : felt < 5 ? [say('warm-gloves-off-hive-cold')] : [],
  };
}

/** Outdoor work goes on half an hour after the last thunder, ms (national weather services’ 30 minute rule; from memory). */
const WAIT_AFTER_THUNDER = 30 * 60_000;

/**
 * The lightning rule: any thunder that is heard stops the work; it goes on half an hour after the last one (NOAA; earlier "30-30").
 *
 * @param heard instants at which thunder was heard, ms since 1970, any order
 * @returns the instant from which work may go on, or `null` when none was heard
 */
export function lightningClear(heard: readonly number[]): number | null {
  return heard.length === 0 ? null : Math.max(...heard) + WAIT_AFTER_THUNDER;
}

/**
 * How far away lightning struck, from the seconds between flash and thunder.
 *
 * @param seconds 0 or more
 * @returns kilometres, at 343 m/s
 * @throws RangeError for a negative time
 * @example lightningDistance(30) // 10.29
 */
export function lightningDistance(seconds: number): number {
  return (within('seconds from flash to thunder', seconds, 0) * 343) / 1000;
}

/** Lower bounds of the Beaufort forces 1 to 12, m/s (WMO). */
const BEAUFORT = [0.3, 1.6, 3.4, 5.5, 8, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];

/**
 * Wind force on the Beaufort scale (WMO bounds, lower bound inclusive after rounding to 0.1 m/s).
 *
 * @param wind mean wind, km/h, 0 or more
 * @returns force 0 to 12
 * @throws RangeError for a negative wind
 * @example beaufort(28) // 4
 */
export function beaufort(wind: number): number {
  const speed = roundTo(within('wind in km/h', wind, 0) / 3.6, 1);
  return BEAUFORT.filter((from) => speed >= from).length;
}
