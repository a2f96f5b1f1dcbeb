/**
 * Passes a finite number within a range through, or says what is wrong with it.
 *
 * @param name what the number is, for the message
 * @param value the number
 * @param least smallest allowed value, inclusive
 * @param most largest allowed value, inclusive
 * @returns the value itself
 * @throws RangeError naming the number, the range and the offending value
 * @example within('eighths of bees', 6, 0, 8) // 6
 */
export function within(name: string, value: number, least = -Infinity, most = Infinity): number {
  if (!Number.isFinite(value) || value < least || value > most) {
    throw new RangeError(`${name} must lie between ${least} and ${most}, got ${value}`);
  }
  return value;
}
