export { describedParameters, toCoverage } from './coverage-json';
export { enterObservation, importClimate, importWeather, setLimits } from './entering';
export { httpWeather, saidToBeMadeUp } from './http-source';
export { type KnownDay } from './day';
export { daysBefore, observedDays } from './days';
export { daysAhead, forecastInUse, type ForecastInUse, poorDaysAfter } from './forecast';
export { daysWithoutForecast, REACH_BACK, refreshWeather, TRUST_WINDOW } from './refresh';
export { climateOf, countObservations, forecastDays, weatherDays } from './store';
