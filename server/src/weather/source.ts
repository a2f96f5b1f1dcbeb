import type { Ensemble, Place } from '@brave-comb/core/weather';

/** Where weather comes from. */
export interface WeatherSource {
  /** The newest forecast issued at or before an instant, about 15 days of hours. */
  forecast(place: Place, at: Date): Promise<Ensemble>;
  /** What was observed, hour by hour, as an ensemble of one. */
  observed(place: Place, from: Date, to: Date): Promise<Ensemble>;
}
