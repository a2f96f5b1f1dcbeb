import type { Ensemble, Place } from '@brave-comb/core/weather';
import type { ScaleDay } from '@brave-comb/core/season';

/** Where weather comes from. */
export interface WeatherSource {
  /** The newest forecast issued at or before an instant, about 15 days of hours. */
  forecast(place: Place, at: Date): Promise<Ensemble>;
  /** What was observed, hour by hour, as an ensemble of one. */
  observed(place: Place, from: Date, to: Date): Promise<Ensemble>;
}

/** Where hive weights come from. */
export interface ScaleSource {
  /** One weight a day between two dates, of the small hours at a longitude. */
  days(scale: string, from: string, to: string, longitude: number): Promise<readonly ScaleDay[]>;
}

/** What is fetched from outside. Only the refresh has them: whoever reads, reads what is kept. */
export interface Sources {
  readonly weather: WeatherSource;
  readonly scale: ScaleSource;
}
