/** Colours of pollen loads as people name them, with a colour to show. */
export const POLLEN_COLOURS = {
  white: '#f4f1e6',
  cream: '#efe3bf',
  'pale-yellow': '#f0e48a',
  yellow: '#f2d13a',
  golden: '#e8a91f',
  orange: '#e07f1c',
  'brick-red': '#a8442c',
  red: '#b3202c',
  brown: '#7d5a3a',
  olive: '#8a8a3a',
  green: '#8fae5a',
  grey: '#a3a39b',
  blue: '#46618f',
  purple: '#6b4a86',
  black: '#2e2a30',
} as const satisfies Record<string, string>;
export type PollenColour = keyof typeof POLLEN_COLOURS;
export const POLLEN_COLOUR_NAMES = Object.keys(POLLEN_COLOURS) as readonly PollenColour[];
