import { Injectable, type OnDestroy } from '@angular/core';
import type { Answers, Question } from './plan-thoughts';

interface Waiting {
  readonly done: (answer: never) => void;
  readonly fail: (fault: Error) => void;
}

/** Asks the planning worker, so that the page never waits for it. */
@Injectable()
export class PlanThinker implements OnDestroy {
  private readonly worker = new Worker(new URL('./plan.worker', import.meta.url), { type: 'module' });
  private readonly waiting = new Map<number, Waiting>();
  private last = 0;

  constructor() {
    this.worker.onmessage = ({ data }: MessageEvent<{ id: number; answer: never; fault?: string }>) => {
      const question = this.waiting.get(data.id);
      this.waiting.delete(data.id);
      if (data.fault === undefined) question?.done(data.answer);
      else question?.fail(new Error(data.fault));
    };
  }

  /**
   * Asks one question.
   *
   * @param question about the problem that was sent last
   * @returns the answer; rejects with what went wrong
   */
  ask<Q extends Question>(question: Q): Promise<Answers[Q['about']]> {
    this.last += 1;
    const id = this.last;
    return new Promise((done, fail) => {
      this.waiting.set(id, { done, fail });
      this.worker.postMessage({ id, question });
    });
  }

  ngOnDestroy(): void {
    this.worker.terminate();
  }
}
