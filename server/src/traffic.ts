import { say } from './words';
import type { Request, RequestHandler } from 'express';
import { Refusal } from './problem';

/** The requests that are being answered, so that a server can stop without cutting one off. */
export class Traffic {
  private stopping = false;
  private readonly open = new Set<Request>();

  /** Counts requests; from the moment that the server stops, new ones are sent away in words. */
  readonly count: RequestHandler = (request, response, next) => {
    if (this.stopping) {
      response.set('Connection', 'close');
      throw new Refusal(503, 'stopping', say('stopping'), undefined, 3);
    }
    this.open.add(request);
    response.once('close', () => this.open.delete(request));
    next();
  };

  /** A stream never ends by itself: nobody waits for one. */
  notAwaited(request: Request): void {
    this.open.delete(request);
  }

  /**
   * Takes no more requests and waits for those that are open.
   *
   * @param patience longest wait, ms
   */
  async drain(patience: number): Promise<void> {
    this.stopping = true;
    for (let waited = 0; this.open.size > 0 && waited < patience; waited += 50)
      await new Promise((done) => setTimeout(done, 50));
  }
}
