import type { BoxKindId, HiveTypeId, Layer, Stack } from '@brave-comb/core/equipment';

interface DemoHive {
  readonly number: string;
  readonly site: string;
  readonly stand: string;
  readonly type: HiveTypeId;
  readonly stack: Stack;
  readonly since: string;
  readonly origin: string;
  readonly queen: { readonly year: number; readonly marked: boolean } | null;
  /** Metres east and north of the gate, entrance in degrees from north; null where nobody has said. */
  readonly place: { readonly east: number; readonly north: number; readonly faces: number } | null;
  /** Name of its scale, for hives that stand on one. */
  readonly scale?: string;
}

const box = (id: string, kind: BoxKindId, frames: number, dummy = false): Layer => ({
  id,
  kind: 'box',
  box: kind,
  frames,
  dummy,
});

/** A hive from the floor upward, with or without supers above an excluder. */
function standing(brood: Layer, supers: readonly Layer[] = []): Stack {
  return [
    { id: 'floor', kind: 'floor' },
    brood,
    ...(supers.length > 0 ? [{ id: 'excluder', kind: 'excluder' } as const, ...supers] : []),
    { id: 'crown board', kind: 'crown-board' },
    { id: 'roof', kind: 'roof' },
  ];
}

const national = (supers: number): Stack =>
  standing(
    box('brood box', 'national-brood', 11, true),
    Array.from({ length: supers }, (_, index) => box(`super ${index + 1}`, 'national-super', 10)),
  );
const langstroth = (supers: number): Stack =>
  standing(
    box('brood box', 'langstroth-10-deep', 10),
    Array.from({ length: supers }, (_, index) => box(`super ${index + 1}`, 'langstroth-10-medium', 10)),
  );
const zander = (supers: number): Stack =>
  standing(
    box('brood box', 'zander-brood', 10),
    Array.from({ length: supers }, (_, index) => box(`super ${index + 1}`, 'zander-super', 10)),
  );
const topBar: Stack = standing(box('body', 'top-bar-body', 18));
const eight = standing(box('brood box', 'langstroth-8-deep', 8), [box('super 1', 'langstroth-8-medium', 8)]);

/** Stands run from west to east; the hives of one stand face the same way. */
const row = (numbers: readonly number[], east: number, north: number, faces: number) =>
  Object.fromEntries(numbers.map((number, at) => [number, { east: east + 1.4 * at, north, faces }]));
const PLACES: Readonly<Record<string, Readonly<Record<number, { east: number; north: number; faces: number }>>>> = {
  'Home orchard': { ...row([1, 2, 3], 4, 6, 160), ...row([4, 5, 6], 6, 12, 160), ...row([7, 8, 9], 14, 9, 200) },
  'Moor edge': { ...row([10, 11, 12], 3, 4, 135), ...row([13, 14], 10, 4, 90) },
};

const hive = (
  number: number,
  site: string,
  stand: string,
  type: HiveTypeId,
  stack: Stack,
  since: string,
  origin: string,
  queen: DemoHive['queen'],
): DemoHive => ({
  number: `${number}`,
  site,
  stand,
  type,
  stack,
  place: PLACES[site]?.[number] ?? null,
  since,
  origin,
  queen,
});

const marked = (year: number) => ({ year, marked: true });

export const HIVES: readonly { readonly school: string; readonly hives: readonly DemoHive[] }[] = [
  {
    school: 'Brenna Fell School of Beekeeping',
    hives: [
      {
        ...hive(1, 'Home orchard', 'A', 'national', national(1), '2024-06-02', 'split', marked(2025)),
        scale: 'home-orchard-1',
      },
      hive(2, 'Home orchard', 'A', 'national', national(0), '2025-07-12', 'late swarm', {
        year: 2025,
        marked: false,
      }),
      hive(3, 'Home orchard', 'A', 'langstroth-10', langstroth(0), '2025-05-20', 'split', marked(2025)),
      hive(4, 'Home orchard', 'B', 'national', national(1), '2023-05-28', 'swarm', marked(2025)),
      hive(5, 'Home orchard', 'B', 'zander', zander(0), '2025-06-10', 'package', marked(2025)),
      hive(6, 'Home orchard', 'B', 'national', national(2), '2024-05-15', 'split', { year: 2024, marked: true }),
      hive(7, 'Home orchard', 'C', 'langstroth-10', langstroth(0), '2025-08-03', 'split', {
        year: 2026,
        marked: false,
      }),
      hive(8, 'Home orchard', 'C', 'zander', zander(1), '2024-07-01', 'swarm', marked(2025)),
      hive(9, 'Home orchard', 'C', 'langstroth-10', langstroth(1), '2023-06-20', 'split', marked(2024)),
      hive(10, 'Moor edge', 'D', 'langstroth-10', langstroth(1), '2024-05-30', 'split', marked(2025)),
      hive(11, 'Moor edge', 'D', 'national', national(0), '2025-06-22', 'swarm', marked(2025)),
      hive(12, 'Moor edge', 'D', 'national', national(0), '2025-05-25', 'split', marked(2025)),
      hive(13, 'Moor edge', 'E', 'top-bar', topBar, '2024-06-18', 'swarm', { year: 2024, marked: false }),
      hive(14, 'Moor edge', 'E', 'zander', zander(0), '2026-05-10', 'swarm of 1.4 kg', null),
    ],
  },
  {
    school: 'Saltpan Road',
    hives: [
      hive(1, 'Saltpan Road', 'A', 'langstroth-8', eight, '2024-10-12', 'package', marked(2025)),
      hive(2, 'Saltpan Road', 'A', 'langstroth-8', eight, '2025-11-02', 'split', marked(2025)),
      hive(3, 'Saltpan Road', 'B', 'langstroth-8', eight, '2025-12-06', 'swarm', { year: 2025, marked: false }),
    ],
  },
];
