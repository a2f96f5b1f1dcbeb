/** Ways in which people measure. The core itself keeps to one: °C, km/h, kg, litres, millimetres, metres and kilometres. */
export const UNIT_SYSTEMS = ['metric', 'british', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** What is measured. A difference of temperatures has no zero point; rain and a bee space are not told in the same unit everywhere. */
export const QUANTITIES = [
  'temperature',
  'temperature-difference',
  'speed',
  'weight',
  'volume',
  'rain',
  'gap',
  'distance',
  'length',
] as const;
export type Quantity = (typeof QUANTITIES)[number];

/** How a unit is told, and how it follows from the core's own. */
interface Unit {
  readonly symbol: string;
  /** How many of it make one of the core's unit. */
  readonly per: number;
  /** What it reads where the core's unit reads 0. */
  readonly zero: number;
  /** Decimals to which a figure is told when nothing else is asked for, `null` as it was entered; and those that it needs at least. */
  readonly decimals: number | null;
  readonly least: number;
}

const own = (symbol: string): Unit => ({ symbol, per: 1, zero: 0, decimals: null, least: 0 });
const other = (symbol: string, per: number, decimals: number, least = 0): Unit => ({
  symbol,
  per,
  zero: 0,
  decimals,
  least,
});

// Factors: NIST Special Publication 811 (2008), appendix B.8, exact but for the US pint.
const POUND_KG = 0.45359237;
const MILE_KM = 1.609344;
const INCH_MM = 25.4;
const FOOT_M = 0.3048;
const US_PINT_LITRES = 0.4731765;
const UK_PINT_LITRES = 4.54609 / 8;

const METRIC: Readonly<Record<Quantity, Unit>> = {
  temperature: own('°C'),
  'temperature-difference': own('°C'),
  speed: own('km/h'),
  weight: own('kg'),
  volume: own('L'),
  rain: own('mm'),
  gap: own('mm'),
  distance: own('km'),
  length: own('m'),
};
const MPH = other('mph', 1 / MILE_KM, 0);
const POUNDS = other('lb', 1 / POUND_KG, 1);
const MILES = other('mi', 1 / MILE_KM, 1);
const INCHES = other('in', 1 / INCH_MM, 2, 2);

const UNITS: Readonly<Record<UnitSystem, Readonly<Record<Quantity, Unit>>>> = {
  metric: METRIC,
  british: {
    ...METRIC,
    speed: MPH,
    weight: POUNDS,
    volume: other('pt', 1 / UK_PINT_LITRES, 1),
    distance: MILES,
  },
  imperial: {
    temperature: { ...other('°F', 9 / 5, 0), zero: 32 },
    'temperature-difference': other('°F', 9 / 5, 0),
    speed: MPH,
    weight: POUNDS,
    volume: other('US pt', 1 / US_PINT_LITRES, 1),
    rain: INCHES,
    gap: INCHES,
    distance: MILES,
    length: other('ft', 1 / FOOT_M, 0),
  },
};

/** What a unit is called: "lb". */
export const unitSymbol = (quantity: Quantity, system: UnitSystem): string => UNITS[system][quantity].symbol;

/**
 * A figure of the core in somebody's unit.
 *
 * @param quantity what is measured
 * @param value in the core's unit
 * @param system whose units
 * @returns the figure, not rounded
 * @example inUnits('weight', 10, 'british') // 22.046…
 */
export function inUnits(quantity: Quantity, value: number, system: UnitSystem): number {
  const { per, zero } = UNITS[system][quantity];
  return value * per + zero;
}

/**
 * A figure in somebody's unit as the core keeps it.
 *
 * @param quantity what is measured
 * @param figure in the unit of the system
 * @param system whose units
 * @returns the value in the core's unit, not rounded
 * @example fromUnits('temperature', 50, 'imperial') // 10
 */
export function fromUnits(quantity: Quantity, figure: number, system: UnitSystem): number {
  const { per, zero } = UNITS[system][quantity];
  return (figure - zero) / per;
}

/**
 * Decimals to which a figure is told.
 *
 * @param quantity what is measured
 * @param system whose units
 * @param decimals as many as the core's unit would be told to; without it as it was entered
 * @returns decimals for the unit of the system, never fewer than it needs (two for inches); `undefined`, as it is
 */
export function decimalsOf(quantity: Quantity, system: UnitSystem, decimals?: number): number | undefined {
  const { decimals: usual, least } = UNITS[system][quantity];
  return usual === null ? decimals : Math.max(least, decimals ?? usual);
}
