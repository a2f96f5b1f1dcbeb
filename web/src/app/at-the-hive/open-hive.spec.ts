import { EnvironmentInjector, effect, runInInjectionContext } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { type EntryBody, JOBS } from '@brave-comb/core/inspection';
import { InspectionEvents } from '../inspection/inspection.events';
import { VisitDesk } from '../inspection/visit-desk';
import { elementOf } from '../../testing/show';
import { textOf } from '../../testing/text';
import { TRAINEES, showAtHive } from '../../testing/visit';
import { BeforePanel } from './before-panel';
import { ClosingPanel } from './closing-panel';
import { HiveClocks } from './hive-clocks';
import { HiveJobs } from './hive-jobs';
import { NotReady } from './not-ready';
import { EntranceLook } from './entrance-look';
import { OutsidePanel } from './outside-panel';
import { SupersPanel } from './supers-panel';
import { said } from '../language/said';

type Shown = Awaited<ReturnType<typeof showAtHive>>;
const words = ({ fixture }: Pick<Shown, 'fixture'>) => textOf(elementOf(fixture));
const tap = async ({ fixture }: Pick<Shown, 'fixture'>, name: string | RegExp) => {
  const found = Array.from(elementOf(fixture).querySelectorAll('button')).find((each) => {
    const said = (each.getAttribute('aria-label') ?? each.textContent).trim();
    return typeof name === 'string' ? said === name : name.test(said);
  });
  if (!found) throw new Error(`no button ${String(name)} among ${words({ fixture })}`);
  found.click();
  await fixture.whenStable();
};
const enter = async (shown: Pick<Shown, 'fixture'>, ...bodies: EntryBody[]) => {
  for (const body of bodies) TestBed.inject(VisitDesk).enter(body);
  await shown.fixture.whenStable();
};
const bad = (name: string): EntryBody => ({ kind: 'checked', check: 'veil', ok: false, person: name });

describe('before the hive is opened', () => {
  it('bars on an open veil and says whose it is, until somebody has seen it shut', async () => {
    const shown = await showAtHive(BeforePanel);
    expect(words(shown)).toContain('Veils not checked yet.');
    await enter(shown, bad(TRAINEES[0]!.id));
    expect(words(shown)).toContain('Somebody is standing there with an open veil.');
    await tap(shown, 'Salma: not yet');
    expect(words(shown)).not.toContain('veil.');
  });

  it('brings the smokeless plan when there is no fuel', async () => {
    const shown = await showAtHive(BeforePanel);
    await tap(shown, 'Fuel for the whole visit');
    expect(words(shown)).not.toContain('damp cloth');
    await tap(shown, 'Fuel for the whole visit');
    expect(words(shown)).toContain('damp cloth');
  });

  it('keeps the depth that was chosen as an entry of the visit', async () => {
    const shown = await showAtHive(BeforePanel);
    await tap(shown, 'under the lid');
    expect(shown.entered()).toEqual([{ kind: 'depth-chosen', depth: 'lid' }]);
    expect(words(shown)).toContain('warm, dry and light enough at 13:10');
  });

  it('names cautions, what a trainee needs, and a colony to be left alone', async () => {
    const shown = await showAtHive(
      BeforePanel,
      {},
      { lock: 'a young queen is mating.', cautions: ['super 1 weighs 27 kg'] },
    );
    for (const said of ['Leave this colony alone: a young queen', 'super 1 weighs 27 kg', 'Piotr lifts up to 10 kg'])
      expect(words(shown)).toContain(said);
  });
});

describe('jobs at the hive', () => {
  it('go on to the next job by a tap, and stay there for every frame', async () => {
    const shown = await showAtHive(BeforePanel);
    const jobs = TestBed.inject(HiveJobs);
    const holder = jobs.now().frames[0]!;
    jobs.next(holder, 'frames');
    expect(shown.entered()).toEqual([{ kind: 'role-given', role: 'record', person: jobs.idOf(holder) }]);
    expect(jobs.now().record).toContain(holder);
    expect(jobs.now().frames).not.toContain(holder);
  });
});

describe('frames of a lively colony', () => {
  it('go to one who is not ready only with a reason, which is kept', async () => {
    const barred = TRAINEES.map((each) => ({ ...each, barred: ['fits the veil and has it checked'], had: {} }));
    await showAtHive(BeforePanel, {}, { trainees: barred, temper: 4 });
    const jobs = TestBed.inject(HiveJobs);
    expect(jobs.now().frames).toEqual([]);
    // One job after the other is handed on until the frames are next.
    const name = TRAINEES[0]!.name;
    const holds = () => JOBS.find((role) => jobs.now()[role].includes(name))!;
    while (JOBS[(JOBS.indexOf(holds()) + 1) % JOBS.length] !== 'frames') jobs.next(name, holds());
    const [guard] = jobs.next(name, holds());
    expect(guard).toMatchObject({ id: 'not-ready-for-frames', bar: 'needs-a-reason' });
    expect(jobs.now().frames).toEqual([]);
    expect(jobs.next(name, holds(), 'beside me, one frame')).toEqual([]);
    expect(jobs.now().frames).toEqual([name]);
  });
});

describe('bees that turn lively while the hive is open', () => {
  const unready = TRAINEES.map((each) => ({ ...each, barred: ['fits the veil and has it checked'], had: {} }));
  const lively = [
    { id: 'e1', at: '2026-05-14T12:20:00.000Z', by: 'r', body: { kind: 'mood-noted' as const, mood: 4 } },
  ];
  const open = async (entries: typeof lively, leads = true) =>
    showAtHive(NotReady, { leads }, { trainees: unready, temper: 2, entries });

  it('are nothing to tell while they are quiet, whoever holds the frames', async () => {
    const shown = await open([]);
    expect(TestBed.inject(HiveJobs).now().frames).not.toEqual([]);
    expect(words(shown)).toBe('');
  });

  it('have the supervisor take the frames from who is not ready', async () => {
    const shown = await open(lively);
    const jobs = TestBed.inject(HiveJobs);
    const holders = [...jobs.now().frames];
    expect(words(shown)).toContain(`Lively bees. ${holders.join(' and ')}`);
    await tap(shown, 'I will take the frames');
    expect(shown.entered()).toEqual(
      holders.map((name) => ({ kind: 'role-given', role: 'watch', person: jobs.idOf(name) })),
    );
    expect(jobs.now().frames).toEqual([]);
    expect(words(shown)).toBe('');
  });

  it('leave the frames where they are with a reason, which is kept for each', async () => {
    const shown = await open(lively);
    const jobs = TestBed.inject(HiveJobs);
    const holders = [...jobs.now().frames];
    jobs.letGoOn('beside me, last frame');
    await shown.fixture.whenStable();
    expect(shown.entered()).toEqual(
      holders.map((name) => ({
        kind: 'guard-overridden',
        guard: 'not-ready-for-frames',
        reason: `${name}: beside me, last frame`,
      })),
    );
    expect(jobs.now().frames).toEqual(holders);
    expect(words(shown)).toBe('');
  });

  it('are told to a trainee who keeps the record, who decides nothing', async () => {
    const shown = await open(lively, false);
    expect(words(shown)).toContain('not ready for the frames');
    expect(words(shown)).not.toContain('I will take the frames');
  });
});

describe('the look from outside', () => {
  it('narrows the entrance as wasps press, and keeps the count as a measurement', async () => {
    const shown = await showAtHive(OutsidePanel, { when: 'before' });
    expect(words(shown)).toContain('Entrance: full');
    for (let wasp = 0; wasp < 4; wasp += 1) await tap(shown, 'Wasps a minute, more');
    await tap(shown, 'Past the guards');
    expect(words(shown)).toContain('Entrance: one bee');
    await tap(shown, 'orange');
    TestBed.inject(EntranceLook).keep('before');
    expect(shown.entered()).toMatchObject([
      { kind: 'outside-seen', when: 'before', look: { pollenIn: true, pollens: ['orange'] } },
      { kind: 'measured', measure: { what: 'wasps', aMinute: 4, pastGuards: true } },
    ]);
  });
});

describe('supers', () => {
  it('keep what their lift felt like, and warn of brood above the excluder', async () => {
    const shown = await showAtHive(SupersPanel);
    await tap(shown, 'half');
    expect(elementOf(shown.fixture).querySelector('[aria-pressed=true]')?.textContent.trim()).toBe('half');
    expect(shown.entered()).toMatchObject([{ kind: 'measured', measure: { part: 'super 1', how: 'by-feel' } }]);
    await enter(shown, {
      kind: 'frame-side-recorded',
      address: { box: 'super 1', frame: 4, face: 'low' },
      side: { eighths: { S: 3 }, trace: [], bees: null, queen: false, cells: 0, doubtful: false },
      seen: null,
    });
    expect(words(shown)).toContain('Brood in super 1');
  });

  it('ask for respacing when one lay on its side', async () => {
    const shown = await showAtHive(SupersPanel);
    await tap(shown, 'It was on its side');
    expect(words(shown)).toContain('was on its side: respace');
  });
});

describe('closing', () => {
  it('goes through frames, parts and checks in order, and keeps what was not so', async () => {
    const shown = await showAtHive(ClosingPanel);
    await enter(
      shown,
      { kind: 'part-taken-off', part: 'roof' },
      { kind: 'part-taken-off', part: 'super 1' },
      { kind: 'frame-lifted', box: 'brood box', frame: 1 },
    );
    await tap(shown, 'frame 1 back into brood box');
    await tap(shown, 'Brood frames closed up: not so');
    expect(words(shown)).toContain('Brood frames closed up: no. A gap grows stray comb.');
    await tap(shown, 'super 1 on');
    await tap(shown, 'roof on');
    expect(shown.entered().slice(-2)).toEqual([
      { kind: 'part-put-back', part: 'super 1' },
      { kind: 'part-put-back', part: 'roof' },
    ]);
    expect(words(shown)).not.toContain('Strapped or weighted');
  });

  it('asks for the queen that was seen', async () => {
    const shown = await showAtHive(ClosingPanel);
    await enter(shown, {
      kind: 'frame-side-recorded',
      address: { box: 'brood box', frame: 4, face: 'low' },
      side: { eighths: { S: 8 }, trace: [], bees: null, queen: true, cells: 0, doubtful: false },
      seen: null,
    });
    expect(words(shown)).toContain('The queen was seen on frame 4 toward 3');
    await tap(shown, 'seen going in');
    expect(words(shown)).not.toContain('The queen was seen');
  });
});

describe('the clocks of the open hive', () => {
  it('change what they advise once, not with every second', async () => {
    vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'] });
    try {
      const shown = await showAtHive(ClosingPanel);
      const clocks = TestBed.inject(HiveClocks);
      const heard: string[] = [];
      runInInjectionContext(TestBed.inject(EnvironmentInjector), () => effect(() => void heard.push(clocks.level())));
      await enter(shown, { kind: 'part-taken-off', part: 'roof' }, { kind: 'mood-noted', mood: 5 });
      TestBed.tick();
      for (let second = 0; second < 5; second += 1) {
        vi.advanceTimersByTime(1000);
        TestBed.tick();
      }
      expect(said(clocks.close().reasons[0] ?? '')).toContain('The bees are defensive');
      expect(heard.filter((level) => level === 'close-now')).toHaveLength(1);
    } finally {
      vi.useRealTimers();
    }
  });

  it('count brood that is out, and shorten the visit when wasps press', async () => {
    const shown = await showAtHive(ClosingPanel);
    const clocks = TestBed.inject(HiveClocks);
    expect(clocks.allowed()).toBe(25);
    await enter(
      shown,
      { kind: 'measured', measure: { what: 'wasps', aMinute: 6, pastGuards: true } },
      { kind: 'frame-lifted', box: 'brood box', frame: 3 },
    );
    expect(clocks.allowed()).toBe(8);
    expect(clocks.frameOut()).toMatch(/^frame out 0:0\d$/);
    shown.store.dispatch(InspectionEvents.sideChosen({ address: { box: 'brood box', frame: 3, face: 'low' } }));
    const side = { eighths: { L: 2 }, trace: [], bees: null, queen: false, cells: 0, doubtful: false };
    shown.store.dispatch(InspectionEvents.sideChanged({ entry: { side, pending: '' } }));
    expect(clocks.frameOut()).toMatch(/^brood out 0:0\d of 5:00$/);
  });
});
