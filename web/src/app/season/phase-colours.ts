import type { PhaseSpan } from '@brave-comb/contract';

/** Ground colour of each phase, from the tokens; the name always stands beside it. */
export const PHASE_FILL: Readonly<Record<PhaseSpan['phase'], string>> = {
  'winter-rest': 'var(--line)',
  'first-brood': 'var(--spruce-100)',
  'build-up': 'var(--spruce-200)',
  'swarm-season': 'var(--heather-100)',
  flow: 'var(--sky-100)',
  dearth: 'url(#hatch-gap)',
  'late-flow': 'var(--sky-100)',
  'making-winter-bees': 'var(--rust-100)',
  'closing-down': 'var(--line-2)',
};
