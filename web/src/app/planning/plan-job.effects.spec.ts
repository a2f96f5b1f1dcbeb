import { TestBed } from '@angular/core/testing';
import type { PlanJob } from '@brave-comb/contract';
import { Actions } from '@ngrx/effects';
import type { Action } from '@ngrx/store';
import { Subject, type Subscription, of, throwError } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { askForPlan, followJob, resumeJob, stopJob } from './plan-job.effects';
import { PlanJobEvents } from './plan-job.feature';

const JOB: PlanJob = {
  id: 'job',
  status: 'running',
  askedBy: 'Morag',
  askedAt: '2026-05-14T06:40:00Z',
  seconds: 0,
  limit: 60,
  course: [],
  plan: null,
  trouble: null,
};
const FAULT = { status: 503, problem: 'away' as const, message: 'The server is away. Try again.', details: [] };

/** The browser's event source, fed by the test. */
class FakeSource {
  static readonly open: FakeSource[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    FakeSource.open.push(this);
  }
  close(): void {
    this.closed = true;
  }
  tell(job: PlanJob): void {
    this.onmessage?.({ data: JSON.stringify(job) });
  }
}

describe('following a plan', () => {
  let actions: Subject<Action>;
  let told: Action[];
  let running: Subscription[];
  const client = { call: vi.fn() };

  beforeEach(() => {
    vi.useFakeTimers();
    FakeSource.open.length = 0;
    Object.assign(globalThis, { EventSource: FakeSource });
    client.call.mockReset();
    actions = new Subject();
    told = [];
    TestBed.configureTestingModule({
      providers: [
        { provide: Actions, useValue: new Actions(actions) },
        { provide: ContractClient, useValue: client },
      ],
    });
    running = TestBed.runInInjectionContext(() =>
      [askForPlan(), followJob(), stopJob(), resumeJob()].map((effect) =>
        effect.subscribe((action: Action) => {
          told.push(action);
          actions.next(action);
        }),
      ),
    );
  });
  afterEach(() => {
    running.forEach((each) => each.unsubscribe());
    vi.useRealTimers();
  });
  const types = () => told.map(({ type }) => type);
  const jobs = () =>
    told.filter((action) => action.type === PlanJobEvents.told.type) as ReturnType<typeof PlanJobEvents.told>[];

  it('asks, then listens until the job has ended, and closes the stream', () => {
    client.call.mockReturnValue(of(JOB));
    actions.next(PlanJobEvents.asked({ id: 'job', seconds: 60, seed: 1 }));
    const [source] = FakeSource.open;
    expect(source?.url).toBe('/api/planning/jobs/job/events');
    source!.tell({ ...JOB, seconds: 1 });
    source!.tell({ ...JOB, seconds: 2, status: 'done' });
    expect(jobs().map(({ job }) => [job.seconds, job.status])).toEqual([
      [0, 'running'],
      [1, 'running'],
      [2, 'done'],
    ]);
    expect(source!.closed).toBe(true);
  });

  it('says why when it cannot be asked for', () => {
    client.call.mockReturnValue(throwError(() => FAULT));
    actions.next(PlanJobEvents.asked({ id: 'job', seconds: 60, seed: 1 }));
    expect(told).toEqual([PlanJobEvents.lost({ fault: FAULT })]);
    expect(FakeSource.open).toEqual([]);
  });

  it('asks for the state when the stream breaks, and listens again', () => {
    client.call.mockReturnValue(of({ ...JOB, seconds: 5 }));
    actions.next(PlanJobEvents.watched({ id: 'job' }));
    FakeSource.open[0]!.onerror?.();
    expect(told).toEqual([]);
    vi.advanceTimersByTime(1500);
    expect(jobs()[0]?.job.seconds).toBe(5);
    expect(FakeSource.open).toHaveLength(2);
  });

  it('goes on trying while the server is away, and gives up on what it may not see', () => {
    client.call.mockReturnValue(throwError(() => FAULT));
    actions.next(PlanJobEvents.watched({ id: 'job' }));
    FakeSource.open[0]!.onerror?.();
    vi.advanceTimersByTime(3000);
    expect(types()).toEqual([PlanJobEvents.lost.type, PlanJobEvents.watched.type]);
    expect(FakeSource.open).toHaveLength(2);
    client.call.mockReturnValue(throwError(() => ({ ...FAULT, status: 404 })));
    FakeSource.open[1]!.onerror?.();
    vi.advanceTimersByTime(60_000);
    expect(FakeSource.open).toHaveLength(2);
  });

  it('stops, and goes on from where it stopped', () => {
    client.call.mockReturnValue(of({ ...JOB, status: 'stopped' }));
    actions.next(PlanJobEvents.stopAsked({ id: 'job' }));
    expect(jobs().at(-1)?.job.status).toBe('stopped');
    client.call.mockReturnValue(of({ ...JOB, status: 'waiting' }));
    actions.next(PlanJobEvents.resumeAsked({ id: 'job', seconds: 60 }));
    expect(jobs().at(-1)?.job.status).toBe('waiting');
    expect(FakeSource.open).toHaveLength(1);
  });
});
