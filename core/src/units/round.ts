/**
 * Rounds half away from zero to a number of decimals, without the binary tail (1.005 → 1.01).
 *
 * @param value a finite number
 * @param decimals 0 to 10
 * @returns the rounded number
 * @throws RangeError when a parameter is out of range
 * @example roundTo(8.7748, 1) // 8.8
 */
export function roundTo(value: number, decimals: number): number {
  if (!Number.isFinite(value)) throw new RangeError(`can only round a finite number, got ${value}`);
  if (!Number.isInteger(decimals) || decimals < 0 || decimals > 10) {
    throw new RangeError(`decimals must be a whole number from 0 to 10, got ${decimals}`);
  }
  const rounded = Number(`${Math.round(Number(`${Math.abs(value)}e${decimals}`))}e-${decimals}`);
  const whole = Number.isNaN(rounded) ? Math.round(Math.abs(value) * 10 ** decimals) / 10 ** decimals : rounded;
  return whole === 0 ? 0 : Math.sign(value) * whole;
}
