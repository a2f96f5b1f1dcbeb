/** Where comb was built that nobody wanted, or where it lay. */
export const STRAY_PLACES = [
  'under-the-excluder',
  'between-boxes',
  'in-the-roof-or-rim',
  'beside-the-last-frame',
  'between-two-frames',
  'under-the-frames',
  'fallen-on-the-floor',
] as const;
export type StrayPlace = (typeof STRAY_PLACES)[number];

export const STRAY_CONTENTS = ['nectar-or-honey', 'drone-brood', 'worker-brood', 'empty'] as const;
export type StrayContent = (typeof STRAY_CONTENTS)[number];

/** Why it was built or fell. Common practice. */
export const STRAY_CAUSES = [
  'gap-too-wide',
  'missing-frame',
  'slack-frames',
  'empty-rim',
  'heat-collapse',
  'earlier-visit',
  'not-known',
] as const;
export type StrayCause = (typeof STRAY_CAUSES)[number];

/**
 * The likeliest cause by the place, to start the choice from.
 *
 * @param place where the comb was
 * @returns a cause. Common practice
 * @example likelyCause('beside-the-last-frame') // 'missing-frame'
 */
export function likelyCause(place: StrayPlace): StrayCause {
  switch (place) {
    case 'under-the-excluder':
    case 'between-boxes':
      return 'gap-too-wide';
    case 'in-the-roof-or-rim':
      return 'empty-rim';
    case 'beside-the-last-frame':
      return 'missing-frame';
    case 'between-two-frames':
      return 'slack-frames';
    case 'under-the-frames':
      return 'not-known';
    case 'fallen-on-the-floor':
      return 'heat-collapse';
  }
}
