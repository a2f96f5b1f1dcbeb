import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { TestBed } from '@angular/core/testing';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { DayReadyLine } from './day-ready';
import { PredictionsScreen } from './predictions';
import { type DayReady, PreparedVisits } from './prepared-visits';
import { YardBookScreen } from './yard-book';
import { signal } from '@angular/core';

const task = (id: string, due: string, settled: object | null = null) => ({
  id,
  hiveNumber: '4',
  what: `Repair ${id}`,
  from: '2026-05-01',
  due,
  bring: 'tape',
  visit: 'v1',
  source: 'visit',
  settled,
});
const stray = (cause: string) => ({
  visit: 'v1',
  hiveNumber: '6',
  at: '2026-05-05T12:00:00Z',
  where: 'under the excluder, brood box',
  content: 'drone-brood',
  cause,
  mend: 'measure the gap',
  removed: true,
});
const BOOK = {
  zone: 'Europe/London',
  today: '2026-05-14',
  tasks: [
    task('roof', '2026-05-10'),
    task('floor', '2026-09-19'),
    task('stand', '2026-05-02', { by: 'Morag', at: '2026-05-03T12:00:00Z' }),
  ],
  hives: [
    { id: 'hive-4', number: '4' },
    { id: 'hive-6', number: '6' },
  ],
  strayCombs: [stray('gap-too-wide'), stray('gap-too-wide'), stray('not-known')],
  scraps: [
    { date: '2026-05-14', kg: 0.3, hives: ['4', '6'] },
    { date: '2026-05-05', kg: 0.15, hives: ['4'] },
  ],
  stuck: [],
  stackChanges: [
    { visit: 'v1', hiveNumber: '4', at: '2026-05-05T12:00:00Z', words: 'super 2 put on super 1', reason: '' },
  ],
};

describe('the yard book', () => {
  it('marks what is overdue, adds the wax up, and names the cause that comes up most', async () => {
    const { element } = await showView(YardBookScreen, 'yardBook', BOOK);
    const words = textOf(element);
    expect(element.querySelector('.late')?.textContent).toContain('Repair roof');
    expect(element.querySelectorAll('.late')).toHaveLength(1);
    expect(words).toContain('0.45 kg saved in all');
    expect(words).toContain('Mostly gap too wide (2 times): measure the gap.');
    expect(words).toContain('super 2 put on super 1');
    expect(words).toContain('None noted.');
  });

  it('settles a task and takes that back', async () => {
    const { press, changes } = await showView(YardBookScreen, 'yardBook', BOOK);
    await press(/^Done: Repair floor/);
    await press(/^Not done after all: Repair stand/);
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent])).toEqual([
      ['settleTask', { params: { task: 'floor' }, body: { done: true } }],
      ['settleTask', { params: { task: 'stand' }, body: { done: false } }],
    ]);
  });

  it('takes a tick back from the bar below', async () => {
    const { press, changes, fixture } = await showView(YardBookScreen, 'yardBook', BOOK);
    await press(/^Done: Repair floor/);
    const bar = await TestbedHarnessEnvironment.documentRootLoader(fixture).getHarness(MatSnackBarHarness);
    expect(await bar.getMessage()).toBe('Done: Repair floor');
    await bar.dismissWithAction();
    expect(changes().map(({ sent }) => sent.body)).toEqual([{ done: true }, { done: false }]);
  });

  it('leaves something in own words at a hive, once hive, work and a day to come are named', async () => {
    const { element, fixture, press, changes } = await showView(YardBookScreen, 'yardBook', BOOK);
    await press(/^Something else to do/);
    await press(/^Put it on the list/);
    expect(textOf(element)).toContain('Choose the hive.');
    expect(textOf(element)).toContain('Say what is to be done.');
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const [hive] = await loader.getAllHarnesses(MatSelectHarness);
    await hive!.open();
    await hive!.clickOptions({ text: '6' });
    const [what, due] = await loader.getAllHarnesses(MatInputHarness);
    await what!.setValue('Swap the floor');
    await due!.setValue('2026-05-13');
    await due!.blur();
    await press(/^Put it on the list/);
    expect(textOf(element)).toContain('Thu 14 May at the earliest.');
    expect(changes()).toEqual([]);
    await due!.setValue('2026-05-20');
    await press(/^Put it on the list/);
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent])).toEqual([
      [
        'addTask',
        {
          params: { hive: 'hive-6' },
          body: { id: expect.any(String) as string, what: 'Swap the floor', due: '2026-05-20' },
        },
      ],
    ]);
  });

  it('says where its lines come from while it is empty', async () => {
    const empty = { ...BOOK, tasks: [], strayCombs: [], scraps: [], stackChanges: [] };
    const { element } = await showView(YardBookScreen, 'yardBook', empty);
    expect(textOf(element)).toContain('Nothing is left to be done.');
    expect(textOf(element)).toContain('None noted.');
  });
});

describe('predictions', () => {
  const visit = (score: number, guesses: number, missed: string[] = []) => ({
    visit: `v${score}`,
    hiveNumber: '4',
    at: '2026-05-05T12:00:00Z',
    guesses,
    score,
    missed,
  });

  it('weigh visits by their guesses, say whether they rise, and what is overlooked most', async () => {
    const people = [
      { id: 'a', name: 'Ife', visits: [visit(0.2, 1, ['pollen']), visit(0.8, 3, ['pollen', 'eggs'])] },
      { id: 'b', name: 'Jun', visits: [visit(0.5, 2)] },
    ];
    const { element } = await showView(PredictionsScreen, 'predictions', { zone: 'Europe/London', people });
    const [ife, jun] = [...element.querySelectorAll('li')].map(textOf);
    expect(ife).toContain('7 of 10 over 4 guesses, rising');
    expect(ife).toContain('Missed most: pollen, eggs.');
    expect(jun).toContain('5 of 10 over 2 guesses');
    expect(jun).not.toContain('Overlooked');
    expect(element.querySelectorAll('circle')).toHaveLength(3);
  });

  it('say how to begin while nobody has guessed', async () => {
    const { element } = await showView(PredictionsScreen, 'predictions', { zone: 'utc', people: [] }, 'trainee');
    expect(textOf(element)).toContain('Nobody has predicted a side yet');
  });
});

describe('the day on this device', () => {
  const sheet = { session: { id: 's1', zone: 'Europe/London' } };
  const line = async (ready: DayReady | null) => {
    const asked: unknown[] = [];
    const prepared = { ready: signal(ready), prepare: (of: unknown) => asked.push(of) };
    const fixture = await show(DayReadyLine, { sheet }, [
      provideHttpClientTesting(),
      { provide: PreparedVisits, useValue: prepared },
    ]);
    return { words: textOf(elementOf(fixture)), element: elementOf(fixture), asked, fixture };
  };
  const at = '2026-05-14T06:40:00Z';

  it('says what it has, what is missing, and that it is still fetching', async () => {
    const some = { session: 's1', hives: ['4', '7'], missing: [], at };
    expect((await line({ ...some, state: 'ready' })).words).toContain(
      'Saved for offline use: hives 4, 7, since 07:40.',
    );
    const part = await line({ ...some, state: 'partly', missing: ['6'] });
    expect(part.words).toContain('hive 6 is missing');
    expect(part.element.querySelector('.part')).not.toBeNull();
    expect((await line({ ...some, state: 'page-only' })).words).toContain('keep it open');
    expect((await line(null)).words).toContain('Fetching');
    expect((await line({ ...some, session: 'other', state: 'ready' })).words).toContain('Fetching');
  });

  it('fetches it again when asked', async () => {
    const { element, asked } = await line({ session: 's1', state: 'ready', hives: [], missing: [], at });
    element.querySelector('button')!.click();
    expect(asked).toEqual([sheet]);
    expect(TestBed.inject(PreparedVisits)).toBeDefined();
  });
});
