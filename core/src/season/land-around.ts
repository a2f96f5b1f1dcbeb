import { LAND_ROWS, LAND_STEP } from './land';

const COLUMNS = 360 / LAND_STEP;
const KM_A_DEGREE = 111.2;

const rowBits = (row: string): string =>
  Array.from(row)
    .reduce((sum, digit) => sum * 36n + BigInt(parseInt(digit, 36)), 0n)
    .toString(2)
    .padStart(COLUMNS, '0');
let bits: readonly string[] | null = null;

function isLand(latitude: number, longitude: number): boolean {
  bits ??= LAND_ROWS.map(rowBits);
  const row = Math.min(bits.length - 1, Math.max(0, Math.floor((90 - latitude) / LAND_STEP)));
  const column = Math.floor((longitude + 180) / LAND_STEP) % COLUMNS;
  return bits[row]![(column + COLUMNS) % COLUMNS] === '1';
}

/** How far the land to the west is looked at, and around, km; what each weighs; what coarse cells make of a coast. Fitted. */
const WEST = { km: 5000, step: 125, rows: [-2.5, 0, 2.5], weight: 0.65 } as const;
const AROUND = { km: 500, rings: 4, rays: 16 } as const;
const COAST = 0.22;

const shareOf = (points: readonly (readonly [latitude: number, longitude: number])[]): number =>
  points.filter(([latitude, longitude]) => isLand(latitude, longitude)).length / points.length;

/**
 * How much land lies around a place and west of it: what makes its winters cold and its summers hot.
 *
 * @param latitude degrees north
 * @param longitude degrees east
 * @returns 0 at sea and on windward coasts to about 1 in the middle of a continent
 */
export function landAround(latitude: number, longitude: number): number {
  const east = (at: number, km: number) => km / (KM_A_DEGREE * Math.max(0.05, Math.cos((at * Math.PI) / 180)));
  const west = WEST.rows.flatMap((away) => {
    const at = Math.max(-88, Math.min(88, latitude + away));
    return Array.from(
      { length: WEST.km / WEST.step },
      (_, index) => [at, longitude - east(at, (index + 1) * WEST.step)] as const,
    );
  });
  const around = Array.from({ length: AROUND.rays * AROUND.rings }, (_, index) => {
    const km = (AROUND.km * (1 + (index % AROUND.rings))) / AROUND.rings;
    const angle = (2 * Math.PI * Math.floor(index / AROUND.rings)) / AROUND.rays;
    return [latitude + (km * Math.sin(angle)) / KM_A_DEGREE, longitude + east(latitude, km * Math.cos(angle))] as const;
  });
  const raw = WEST.weight * shareOf(west) + (1 - WEST.weight) * shareOf(around);
  return Math.max(0, (raw - COAST) / (1 - COAST));
}
