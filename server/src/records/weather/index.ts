export { toCoverage } from './coverage-json';
export { enterObservation, importClimate, importWeather, setLimits } from './entering';
export { httpWeather } from './http-source';
export {
  daysAhead,
  daysBefore,
  forecastInUse,
  type ForecastInUse,
  type KnownDay,
  leadDays,
  observedAt,
  poorDaysAfter,
} from './service';
export {
  climateOf,
  countObservations,
  type ForecastDayRow,
  forecastDays,
  keepForecastDays,
  weatherDays,
} from './store';
