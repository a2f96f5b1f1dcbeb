import type { Depth, Hindrance, HeatClass } from '../../weather';

/** What things are called, by their ids. */
export const weatherNames = {
  depth: {
    full: 'full',
    outside: 'outside',
    lid: 'lid',
    'one-frame': 'one frame',
  } satisfies Record<Depth, string>,
  hindrance: {
    rain: 'rain',
    cold: 'cold',
    thunder: 'thunder',
    'rain-soon': 'rain soon',
    gusts: 'gusts',
    heat: 'heat',
    dark: 'dark',
    'bees-in': 'bees in',
  } satisfies Record<Hindrance, string>,
  heat: {
    none: 'none',
    'extreme-danger': 'extreme danger',
    danger: 'danger',
    'extreme-caution': 'extreme caution',
    caution: 'caution',
  } satisfies Record<HeatClass, string>,
};
