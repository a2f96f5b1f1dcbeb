import { type ForecastAsked, foresee } from './foreseen';

/** Reckons forecasts away from the page. */
addEventListener('message', ({ data }: MessageEvent<ForecastAsked>) => postMessage(foresee(data)));
