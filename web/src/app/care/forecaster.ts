import { Injectable } from '@angular/core';
import type { ForecastAsked, Foreseen } from './foreseen';

/** Has forecasts reckoned by a worker, so that the page never waits for them. */
@Injectable({ providedIn: 'root' })
export class Forecaster {
  private worker: Worker | null = null;

  /**
   * Reckons a forecast; one that is still being reckoned for another colony is given up.
   *
   * @param asked the colony's visits and days, and the limits
   * @returns the forecast; rejects when the worker fails
   */
  async reckon(asked: ForecastAsked): Promise<Foreseen> {
    this.worker?.terminate();
    const worker = new Worker(new URL('./forecast.worker', import.meta.url), { type: 'module' });
    this.worker = worker;
    try {
      return await new Promise<Foreseen>((done, fail) => {
        worker.onmessage = ({ data }: MessageEvent<Foreseen>) => done(data);
        worker.onerror = ({ message }) => fail(new Error(message));
        worker.postMessage(asked);
      });
    } finally {
      worker.terminate();
    }
  }
}
