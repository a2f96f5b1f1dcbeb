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

/** Why it was built or fell, with what mends the cause. Common practice. */
export const STRAY_CAUSES = {
  'gap-too-wide': { mend: 'measure the gap and change the part that leaves it', bring: 'a part that keeps bee space' },
  'missing-frame': { mend: 'fill the place with a frame or a dummy', bring: 'a frame or a dummy' },
  'slack-frames': { mend: 'push the frames tight', bring: null },
  'empty-rim': { mend: 'take the rim off', bring: null },
  'heat-collapse': { mend: 'shade it and hang in wired comb', bring: 'wired frames, shade' },
  'earlier-visit': { mend: 'lift straight and slow: it was broken by us', bring: null },
  'not-known': { mend: 'measure the gaps next time', bring: 'a rule' },
} as const satisfies Record<string, { readonly mend: string; readonly bring: string | null }>;
export type StrayCause = keyof typeof STRAY_CAUSES;
export const STRAY_CAUSE_IDS = Object.keys(STRAY_CAUSES) as readonly StrayCause[];

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
