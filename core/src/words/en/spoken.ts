const HOURS = [
  'twelve',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
] as const;
const FIVES = ['', 'five', 'ten', 'quarter', 'twenty', 'twenty-five', 'half'] as const;

/**
 * A clock time as it is said aloud in English, to the nearest five minutes.
 *
 * @param time "HH:mm", twenty-four hours
 * @returns "quarter past one", "ten to three", "twelve o’clock"
 * @example spokenTime('13:17') // 'quarter past one'
 */
export function spokenTime(time: string): string {
  const minutes = Math.round((Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5))) / 5) * 5;
  const past = minutes % 60;
  const hour = HOURS[(Math.floor(minutes / 60) + (past > 30 ? 1 : 0)) % 12]!;
  if (past === 0) return `${hour} o’clock`;
  return past <= 30 ? `${FIVES[past / 5]} past ${hour}` : `${FIVES[12 - past / 5]} to ${hour}`;
}
