import { Pipe, type PipeTransform } from '@angular/core';
import {
  type Quantity,
  type UnitSystem,
  UNIT_SYSTEMS,
  decimalsOf,
  fromUnits,
  inUnits,
  roundTo,
  unitSymbol,
} from '@brave-comb/core/units';

const KEPT = 'units';
let system: UnitSystem = 'metric';

/** In which units figures are told on this page. */
export const unitsInUse = (): UnitSystem => system;

/** From now on all is told in the units that this device showed last. Called once, before anything is shown. */
export function useKeptUnits(): void {
  const kept = localStorage.getItem(KEPT);
  system = UNIT_SYSTEMS.find((each) => each === kept) ?? 'metric';
}

/**
 * Keeps in which units this device shows figures. Texts are made as their page is opened, so a page in other units is opened anew.
 *
 * @param units the units of whoever is signed in
 * @returns whether the page shows others
 */
export function keepUnits(units: UnitSystem): boolean {
  if (units === 'metric') localStorage.removeItem(KEPT);
  else localStorage.setItem(KEPT, units);
  // Where nothing can be kept, opening anew would go on for ever.
  return units !== system && (localStorage.getItem(KEPT) ?? 'metric') === units;
}

/** What a unit is called: "kg". */
export const unit = (of: Quantity): string => unitSymbol(of, system);

/** A figure in the reader's unit, rounded as it is told. */
export function figure(of: Quantity, value: number, decimals?: number): number {
  const digits = decimalsOf(of, system, decimals);
  const shown = inUnits(of, value, system);
  return digits === undefined ? shown : roundTo(shown, digits);
}

/** A figure with its unit: "2.4 kg". */
export const measured = (of: Quantity, value: number, decimals?: number): string =>
  `${figure(of, value, decimals)} ${unit(of)}`;

/** An estimate of a weight, kg, in the reader's unit. */
export const weighed = <Of extends { readonly value: number; readonly low: number; readonly high: number }>(
  estimate: Of,
): Of => ({
  ...estimate,
  value: inUnits('weight', estimate.value, system),
  low: inUnits('weight', estimate.low, system),
  high: inUnits('weight', estimate.high, system),
});

/** Decimals of a figure that is typed: fine enough that what was kept is shown as it was entered. */
const typedDecimals = (of: Quantity): number => Math.max(2, (decimalsOf(of, system, 0) ?? 0) + 1);

/** A kept figure as a field shows it; empty where there is none. */
export const typedFigure = (of: Quantity, value: number | null | undefined): number | '' =>
  value === null || value === undefined || !Number.isFinite(value)
    ? ''
    : roundTo(inUnits(of, value, system), typedDecimals(of));

/** What somebody typed, as it is kept; `null` where nothing was. */
export const keptFigure = (of: Quantity, typed: string): number | null =>
  typed.trim() === '' || !Number.isFinite(Number(typed)) ? null : roundTo(fromUnits(of, Number(typed), system), 4);

/** `{{ kg | measured: 'weight' : 1 }}` */
@Pipe({ name: 'measured' })
export class Measured implements PipeTransform {
  transform(value: number, of: Quantity, decimals?: number): string {
    return measured(of, value, decimals);
  }
}

/** `{{ 'weight' | unit }}` */
@Pipe({ name: 'unit' })
export class UnitName implements PipeTransform {
  transform(of: Quantity): string {
    return unit(of);
  }
}
