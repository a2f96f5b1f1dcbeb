import { TestBed } from '@angular/core/testing';
import type { Assignments } from '@brave-comb/core/planning';
import { PlanThinker } from './plan-thinker';
import type { Question } from './plan-thoughts';

/** Answers only when told to, with the staff's visits that it was asked about. */
class SlowWorker {
  static asked: { id: number; question: Question }[] = [];
  static last: SlowWorker;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  constructor() {
    SlowWorker.last = this;
  }
  postMessage(message: { id: number; question: Question }): void {
    SlowWorker.asked.push(message);
  }
  terminate = (): void => undefined;
  answer(fault?: string): void {
    const { id, question } = SlowWorker.asked.shift()!;
    const plan = (question as { plan: Assignments }).plan;
    this.onmessage?.({ data: fault === undefined ? { id, answer: plan.staff } : { id, fault } });
  }
}

const settle = () => new Promise((done) => setTimeout(done));
const plan = (hive: string): Assignments => ({ sessions: [], staff: [{ slot: 's', hive }] });
const first = (answer: unknown) => (answer as { hive: string }[] | null)?.[0]?.hive ?? null;

describe('one who asks the planning worker', () => {
  let thinker: PlanThinker;
  beforeEach(() => {
    SlowWorker.asked = [];
    Object.assign(globalThis, { Worker: SlowWorker });
    TestBed.configureTestingModule({ providers: [PlanThinker] });
    thinker = TestBed.inject(PlanThinker);
  });

  it('asks only the newest of what came while an answer was being thought about', async () => {
    const answers = ['a', 'b', 'c'].map((hive) => thinker.askLatest({ about: 'troubles', plan: plan(hive) }));
    expect(SlowWorker.asked).toHaveLength(1);
    SlowWorker.last.answer();
    await settle();
    expect(SlowWorker.asked).toHaveLength(1);
    SlowWorker.last.answer();
    await settle();
    expect((await Promise.all(answers)).map(first)).toEqual([null, null, 'c']);
    expect(SlowWorker.asked).toHaveLength(0);
  });

  it('keeps questions of different kinds apart', async () => {
    const answers = [
      thinker.askLatest({ about: 'troubles', plan: plan('a') }),
      thinker.askLatest({ about: 'reasons', plan: plan('b') }),
    ];
    expect(SlowWorker.asked).toHaveLength(2);
    SlowWorker.last.answer();
    SlowWorker.last.answer();
    expect((await Promise.all(answers)).map(first)).toEqual(['a', 'b']);
  });

  it('passes a fault on and is ready for the next question', async () => {
    const failed = thinker.askLatest({ about: 'troubles', plan: plan('a') });
    SlowWorker.last.answer('no such slot');
    await expect(failed).rejects.toThrow('no such slot');
    const next = thinker.askLatest({ about: 'troubles', plan: plan('b') });
    SlowWorker.last.answer();
    expect(first(await next)).toBe('b');
  });
});
