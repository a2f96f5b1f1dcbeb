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
  private readonly latest = new Map<Question['about'], Question>();
  private readonly replaced = new Map<Question['about'], (answer: unknown) => void>();
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

  /**
   * Asks a question of which only the newest matters: while one of its kind is being answered, a newer one takes the place
   * of those that wait.
   *
   * @param question about the problem that was sent last
   * @returns the answer; null when a newer question came before it
   */
  async askLatest<Q extends Question>(question: Q): Promise<Answers[Q['about']] | null> {
    const { about } = question;
    const before = this.latest.get(about);
    this.latest.set(about, question);
    if (before === undefined) return this.answerLatest(about) as Promise<Answers[Q['about']] | null>;
    // Whoever answers now takes the newest question up; the answers go to whoever asked for it.
    return new Promise((done) => {
      this.replaced.get(about)?.(null);
      this.replaced.set(about, done as (answer: unknown) => void);
    });
  }

  private async answerLatest(about: Question['about']): Promise<unknown> {
    const question = this.latest.get(about)!;
    try {
      const answer = await this.ask(question);
      return this.latest.get(about) === question ? answer : null;
    } finally {
      const next = this.latest.get(about);
      this.latest.delete(about);
      const done = this.replaced.get(about);
      this.replaced.delete(about);
      if (next !== question && next !== undefined) {
        this.latest.set(about, next);
        void this.answerLatest(about).then(
          (answer) => done?.(answer),
          () => done?.(null),
        );
      }
    }
  }

  ngOnDestroy(): void {
    this.worker.terminate();
  }
}
