import type { Forage } from '@brave-comb/core/season';

const plant = (name: string, gives: Forage['gives'], from: string, to: string, giveOrTake = 0): Forage => ({
  plant: name,
  gives,
  from,
  to,
  giveOrTake,
});

/** Bloom of this year: seen so far, then expected. */
export const FORAGE: readonly { readonly site: string; readonly plants: readonly Forage[] }[] = [
  {
    site: 'Home orchard',
    plants: [
      plant('Willow', 'nectar and pollen', '2026-03-20', '2026-04-22'),
      plant('Gorse', 'pollen', '2026-03-05', '2026-05-12'),
      plant('Dandelion', 'nectar and pollen', '2026-04-16', '2026-05-21', 2),
      plant('Sycamore', 'nectar', '2026-05-06', '2026-05-25', 3),
      plant('Hawthorn', 'nectar', '2026-05-17', '2026-06-08', 2),
      plant('White clover', 'nectar', '2026-05-23', '2026-07-30', 3),
      plant('Bramble', 'nectar and pollen', '2026-06-10', '2026-07-25', 6),
      plant('Lime', 'nectar', '2026-07-02', '2026-07-18', 6),
    ],
  },
  {
    site: 'Moor edge',
    plants: [
      plant('Gorse', 'pollen', '2026-03-12', '2026-05-18', 2),
      plant('Dandelion', 'nectar and pollen', '2026-04-24', '2026-05-28', 3),
      plant('Rosebay', 'nectar and pollen', '2026-07-05', '2026-08-15', 6),
      plant('Heather', 'nectar and pollen', '2026-08-08', '2026-09-12', 7),
    ],
  },
  {
    site: 'Saltpan Road',
    plants: [
      plant('Ivy', 'nectar and pollen', '2026-04-10', '2026-06-02', 4),
      plant('Rosemary', 'nectar', '2026-05-20', '2026-09-30', 8),
    ],
  },
];
