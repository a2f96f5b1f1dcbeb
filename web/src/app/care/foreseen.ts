import {
  type ColonyForecast,
  type ForecastFacts,
  type Passing,
  forecastColony,
  passing,
} from '@brave-comb/core/biology';
import { FULL } from '@brave-comb/core/care';
import type { ColonyStory } from '@brave-comb/contract';

/** What is asked of a forecast. */
export interface ForecastAsked {
  readonly facts: ForecastFacts;
  /** Days from the last visit to today: what lies behind is not asked for. */
  readonly since: number;
  readonly limits: ColonyStory['limits'];
}

/** A forecast as a page shows it. */
export type Foreseen = Omit<ColonyForecast, 'courses'> & {
  readonly full: Passing;
  readonly hungry: Passing;
  readonly mites: Passing | null;
};

/** Reckons a forecast, and how likely the colony passes each limit. */
export function foresee({ facts, since, limits }: ForecastAsked): Foreseen {
  const { courses, ...forecast } = forecastColony(facts);
  return {
    ...forecast,
    full: passing(courses.bees!, (frames) => frames > limits.roomFrames * FULL, since),
    hungry: passing(courses.storesKg!, (kg) => kg < limits.leastKg, since),
    mites: courses.mites && passing(courses.mites, (inHundred) => inHundred >= limits.mites, since),
  };
}
