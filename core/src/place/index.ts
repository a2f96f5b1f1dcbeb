import zoneLookup from '@photostructure/tz-lookup';

/** A point on the earth, in degrees: north and east are positive. */
export interface Place {
  readonly latitude: number;
  readonly longitude: number;
}

/** A number, with minutes and seconds where it has them, and its letter before or after it. */
const COORDINATE =
  /\s*([NSEW])?\s*([+-]?\d+(?:\.\d+)?)\s*°?\s*(?:(\d+(?:\.\d+)?)\s*')?\s*(?:(\d+(?:\.\d+)?)\s*")?\s*([NSEW])?\s*[,;/]?/iy;

interface Read {
  readonly degrees: number;
  readonly letter: string;
}

/** The next coordinate of a text; `null` where none stands there. */
function next(text: string, from: number): (Read & { readonly end: number }) | null {
  COORDINATE.lastIndex = from;
  const found = COORDINATE.exec(text);
  if (!found) return null;
  const [, before = '', number = '', minutes = '0', seconds = '0', after = ''] = found;
  if ((before && after) || Number(minutes) >= 60 || Number(seconds) >= 60) return null;
  const letter = (before || after).toUpperCase();
  const size = Math.abs(Number(number)) + Number(minutes) / 60 + Number(seconds) / 3600;
  const negative = number.startsWith('-') !== (letter === 'S' || letter === 'W');
  return { degrees: negative ? -size : size, letter, end: COORDINATE.lastIndex };
}

/**
 * Reads a place as people write or paste it: in degrees with a point or a comma, with or without letters, or in degrees, minutes and seconds;
 * latitude first, unless letters say otherwise.
 *
 * @param text such as `54.4712, -1.2034`, `42.9° S 160.2° E` or `54°28'16"N 1°12'12"W`
 * @returns degrees; `null` for a text that is no place, or one beyond the poles or the date line
 * @example readPlace('42.9 S, 160.2 E') // { latitude: -42.9, longitude: 160.2 }
 */
export function readPlace(text: string): Place | null {
  const plain = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/[’′]/g, "'")
    .replace(/''|[”″]/g, '"')
    // A comma between figures is a decimal one where something else parts the two.
    .replace(/^([+-]?\d+),(\d+)\s*([°NSEW;/\s].*?)([+-]?\d+),(\d+)/i, '$1.$2 $3$4.$5');
  const first = next(plain, 0);
  const second = first && next(plain, first.end);
  if (!first || !second || plain.slice(second.end).trim() !== '') return null;
  const turned = /[EW]/.test(first.letter) || /[NS]/.test(second.letter);
  const [latitude, longitude] = turned ? [second, first] : [first, second];
  if (/[EW]/.test(latitude.letter) || /[NS]/.test(longitude.letter)) return null;
  if (Math.abs(latitude.degrees) > 90 || Math.abs(longitude.degrees) > 180) return null;
  return { latitude: latitude.degrees, longitude: longitude.degrees };
}

/**
 * The time zone in force at a place.
 *
 * @param place in degrees
 * @returns its IANA name; at sea one of the nautical zones, such as `Etc/GMT-11`
 * @example zoneAt({ latitude: -42.88, longitude: 147.33 }) // 'Australia/Hobart'
 */
export const zoneAt = ({ latitude, longitude }: Place): string => zoneLookup(latitude, longitude);

/**
 * Whether a time zone is one.
 *
 * @param zone by its IANA name
 * @example isZone('Pacific/Noumea') // true
 */
export function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}
