import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { DEFAULT_LIMITS } from '@brave-comb/core/weather';
import { type TopicId, bestReading, makeDrill } from '@brave-comb/core/practice';
import { formatSide, EMPTY_SIDE } from '@brave-comb/core/inspection';
import { showView } from '../../testing/ahead';
import { show, elementOf } from '../../testing/show';
import { textOf } from '../../testing/text';
import { ChangeQueue } from '../api/change-queue';
import { ViewEvents } from '../api/views.feature';
import { DrillScreen } from './drill';
import { IndoorPlanScreen } from './indoor-plan';
import { OrderEntry } from './order-entry';
import { PhotoDrillsScreen } from './photos';
import { PollsScreen } from './polls';
import { PracticeScreen } from './practice';
import type { PracticeData } from './practice-desk';
import { ReadingTold } from './reading-told';
import { SCHOOL_CLOCK } from '../../testing/school-clock';
import { controlsOf } from '../../testing/controls';

const SIDE = { ...EMPTY_SIDE, eighths: { S: 4, L: 1, H: 3 } };
const result = (topic: TopicId, more: object = {}) => ({
  id: `r-${topic}`,
  trainee: 'p',
  topic,
  at: '2026-05-01T10:00:00.000Z',
  level: 1,
  seconds: 20,
  score: 1,
  right: true,
  grade: 'good' as const,
  read: null,
  truth: null,
  ground: null,
  recorded: null,
  ...more,
});
const DATA: PracticeData = {
  person: 'p',
  limits: DEFAULT_LIMITS,
  results: [result('weather'), result('find-eggs', { ground: 'light', right: false, grade: 'again', score: 0 })],
  habits: [{ says: 'Reads too much capped honey: by 1.0 eighths on 5 sides.', letters: ['H'] }],
  staffWrong: 0.7,
  photos: [],
  records: [
    {
      visit: 'v1',
      hive: '4',
      day: '2026-05-10',
      sides: [{ address: { box: 'brood', frame: 5, face: 'low' }, side: SIDE }],
      lines: ['11 of 11 frames read', '2 kg of food in the nest'],
      advice: [],
      decision: null,
    },
  ],
  plans: [],
  groups: [{ id: 'curlew', name: 'Curlew' }],
};
const STATION = {
  topic: 'find-eggs',
  minutes: 50,
  how: 'Dark and light comb.',
  pairs: [['Jun', 'Salma', 'Ife']],
} as const;
const SET_OUT: PracticeData['plans'][number] = {
  id: 'plan-1',
  group: { id: 'curlew', name: 'Curlew' },
  day: '2026-05-16',
  minutes: 90,
  by: 'Tomasz Wierzba',
  at: '2026-05-14T13:00:00.000Z',
  stations: [STATION],
};

describe('practice', () => {
  beforeEach(() => {
    localStorage.clear();
  });

  it('lists what is due, the longest overdue first, and says what there is nothing for', async () => {
    const { element } = await showView(PracticeScreen, 'practice', DATA, 'trainee');
    const due = [...element.querySelectorAll('.due ol li')].map((each) => each.textContent.trim());
    expect(due[0]).toBe('Find the eggs');
    expect(due).not.toContain('Own photos');
    const text = textOf(element);
    expect(text).toContain('Own photos no photo drill has been made yet');
    expect(text).toMatch(/Weather 1 right 1 of 1/);
    expect(text).toContain('on light comb: right 0 of 1');
    expect(text).not.toContain('Drills from own photos');
    expect(text).toContain('Reads too much capped honey: by 1.0 eighths on 5 sides. Stores and pollen');
    expect(element.querySelector('.due a[href="/practice/comb-stores"]')).not.toBeNull();
  });

  it('counts answers that wait on the device', async () => {
    const body = {
      id: 'w1',
      topic: 'order',
      level: 1,
      seed: 5,
      at: '2026-05-14T06:00:00.000Z',
      seconds: 5,
      answer: { kind: 'given-up' },
      recorded: null,
      photo: null,
    };
    new ChangeQueue().keep({
      id: '1',
      endpoint: 'recordPractice',
      sent: { body },
      view: 'practice',
      answers: false,
      person: 'p',
    });
    const { element } = await showView(PracticeScreen, 'practice', DATA, 'trainee');
    expect(textOf(element)).toMatch(/Order of steps 1 right 0 of 1/);
  });
});

describe('a drill', () => {
  beforeEach(() => {
    localStorage.clear();
  });

  it('is a recorded side, read by keys, marked at once and kept for the server with its seed', async () => {
    const { element, changes, fixture } = await showView(DrillScreen, 'practice', DATA, 'trainee', {
      topic: 'comb-record',
    });
    expect(textOf(element)).toContain('hive 4, 2026-05-10, frame 5, from the record');
    for (const key of '4S1L3H') document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await fixture.whenStable();
    expect(textOf(element.querySelector('.typed'))).toBe('1L 4S 3H none left');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await fixture.whenStable();
    expect(textOf(element)).toMatch(/0\.\d eighths out; with whole eighths the best possible is 0\.\d/);
    expect(textOf(element)).toContain('Your supervisors average 0.7.');
    const [kept, ...more] = changes();
    expect(more).toEqual([]);
    expect(kept).toMatchObject({ endpoint: 'recordPractice' });
    const body = kept?.sent.body as { topic: string; recorded: unknown; answer: { side: typeof SIDE } };
    expect(body.topic).toBe('comb-record');
    expect(body.recorded).toEqual({ visit: 'v1', address: { box: 'brood', frame: 5, face: 'low' } });
    expect(formatSide(body.answer.side)).toBe('1L 4S 3H');
  });

  it('opens on a comb that is due and stays there after the answer; says what comes next, why and how long', async () => {
    const { element, fixture } = await showView(DrillScreen, 'practice', DATA, 'trainee');
    expect(textOf(element.querySelector('h1'))).toBe('Brood comb');
    const next = [...element.querySelectorAll('bc-practice-next li')].map(textOf);
    expect(next).toHaveLength(4);
    // What is read wrong at the hive comes before what is due.
    expect(next[0]).toBe('Stores and pollen Reads too much capped honey: by 1.0 eighths on 5 sides. 3 min');
    expect(next[1]).toMatch(/^Find the eggs right 0 of 1 \d min$/);
    for (const key of '4S1L3H') document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await fixture.whenStable();
    expect(textOf(element.querySelector('h1'))).toBe('Brood comb');
    expect(textOf(element)).toContain('eighths out');
  });

  it.each([
    [[], '0 of 7 days today would be the first'],
    [['2026-05-13T10:00:00Z', '2026-05-13T18:00:00Z', '2026-05-10T10:00:00Z'], '2 of 7 days today would make it 3'],
    // Half past eleven at night in London is the next day in universal time, and the other way round in summer.
    [['2026-05-13T23:30:00Z'], '1 of 7 days today is one of them'],
    [['2026-05-07T10:00:00Z'], '0 of 7 days today would be the first'],
  ])('counts the days practised this week: %j', async (moments, words) => {
    const results = moments.map((at, n) => result('weather', { id: `r${n}`, at }));
    const { element } = await showView(DrillScreen, 'practice', { ...DATA, results }, 'trainee', { topic: 'weather' }, [
      ...SCHOOL_CLOCK,
    ]);
    expect(textOf(element.querySelector('bc-practice-week p'))).toBe(words);
    expect(element.querySelectorAll('bc-practice-week li')).toHaveLength(7);
  });

  it('shows a comb only to somebody who has read all eight eighths', async () => {
    const { element, fixture, changes } = await showView(DrillScreen, 'practice', DATA, 'trainee', {
      topic: 'comb-brood',
    });
    const go = () => element.querySelector<HTMLButtonElement>('button.go')!;
    for (const key of '4S1L') document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await fixture.whenStable();
    expect(textOf(go())).toBe('Show me (3 left)');
    go().click();
    expect(changes()).toEqual([]);
    for (const key of '3H') document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await fixture.whenStable();
    expect(textOf(go())).toBe('Show me');
    go().click();
    expect(changes()).toHaveLength(1);
  });

  it('circles what was missed after giving up, and gives the same comb again without scoring it', async () => {
    const { element, press, changes } = await showView(DrillScreen, 'practice', DATA, 'trainee', {
      topic: 'find-eggs',
    });
    await press(/^Give up$/);
    const told = textOf(element);
    expect(told).toMatch(/found, 0 also there, \d+/);
    expect(told).toContain('How you looked');
    expect(told).toContain('You looked at the whole comb from the same distance.');
    await press(/^Same comb again$/);
    expect(textOf(element)).toContain('already answered: not scored');
    await press(/^Give up$/);
    expect(changes()).toHaveLength(1);
  });

  it('does not let nine eighths through', async () => {
    const { element, fixture, changes } = await showView(DrillScreen, 'practice', DATA, 'trainee', {
      topic: 'comb-brood',
    });
    for (const key of '9S') document.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    await fixture.whenStable();
    expect(textOf(element.querySelector('.typed'))).toContain('1 too many');
    expect(changes()).toEqual([]);
  });

  it('asks weather in two choices and says what the house limits say', async () => {
    const { element, press, changes } = await showView(DrillScreen, 'practice', DATA, 'trainee', { topic: 'weather' });
    expect(element.querySelector('.go')).toHaveProperty('disabled', true);
    await press(/^full inspection$/);
    await press(/^nothing$/);
    await press(/^Done, show me/);
    expect(textOf(element)).toMatch(/Right|Partly|Not right/);
    expect(textOf(element)).toContain('With others:');
    expect(changes()).toHaveLength(1);
    await press(/^Another one/);
    expect(textOf(element)).toContain('How deep?');
  });

  it('tells a comb in a table and cell by cell to those who do not see it', async () => {
    const { element, press, fixture } = await showView(DrillScreen, 'practice', DATA, 'trainee', {
      topic: 'find-eggs',
    });
    await press(/^As a table/);
    const cells = element.querySelectorAll('bc-comb-stage tbody td');
    expect(cells).toHaveLength(40);
    expect(textOf(cells[20]!)).toMatch(/\d+ × (lid|open|no cell)/);
    const canvas = element.querySelector('canvas')!;
    canvas.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
    canvas.dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    await fixture.whenStable();
    expect(textOf(element.querySelector('[aria-live]'))).toMatch(/^Row \d+, cell \d+: /);
    expect(textOf(element)).toContain('1 of 5 touched');
    canvas.dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    await fixture.whenStable();
    expect(textOf(element)).toContain('0 of 5 touched');
  });

  it('says so when a school has nothing to show, and for a drill that is none', async () => {
    const { element } = await showView(DrillScreen, 'practice', DATA, 'trainee', { topic: 'photos' });
    expect(textOf(element)).toContain('That photo is no longer asked');
    const other = await showView(DrillScreen, 'practice', DATA, 'trainee', { topic: 'juggling' });
    expect(textOf(other.element)).toContain('No such drill');
  });
});

it('an order is changed by keys and by buttons', async () => {
  const steps = ['a', 'b', 'c'].map((id) => ({ id, text: id.toUpperCase() }));
  const fixture = await show(OrderEntry, { steps });
  const element = elementOf(fixture);
  const given: (readonly string[])[] = [];
  fixture.componentInstance.done.subscribe((order) => given.push(order));
  const first = element.querySelector<HTMLButtonElement>('li > button')!;
  first.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', altKey: true }));
  await fixture.whenStable();
  element.querySelector<HTMLButtonElement>('[aria-label="C up"]')!.click();
  await fixture.whenStable();
  element.querySelector<HTMLButtonElement>('.go')!.click();
  expect(given).toEqual([['b', 'c', 'a']]);
});

it('a reading is told beside the truth, with the habit of the last combs', async () => {
  const drill = makeDrill('comb-brood', 2, 3, { limits: DEFAULT_LIMITS });
  if (drill.kind !== 'comb') throw new Error('no comb');
  const truth = drill.side.truth;
  const read = { ...bestReading(truth), S: (truth.S ?? 0) + 1 };
  const results = Array.from({ length: 6 }, (_, day) =>
    result('comb-brood', { id: `${day}`, at: `2026-05-0${day + 1}T10:00:00.000Z`, read, truth }),
  );
  const fixture = await show(ReadingTold, { read, truth, results });
  expect(textOf(elementOf(fixture))).toContain('too much sealed worker in 6 of 6 combs, by 1.0 eighths');
  const few = await show(ReadingTold, { read, truth, results: results.slice(0, 2) });
  expect(textOf(elementOf(few))).toContain('After five combs');
});

describe('a session indoors', () => {
  const plan = {
    group: { id: 'curlew', name: 'Curlew' },
    trainees: 3,
    minutes: 90,
    stations: [{ ...STATION, weakness: 0.8, why: ['Right in 1 of 9 answers of late.'] }],
  };
  const staff = async (data = DATA) => {
    const shown = await showView(IndoorPlanScreen, 'practice', data, 'lead');
    TestBed.inject(Store).dispatch(ViewEvents.loaded({ view: 'indoorPlan', data: plan }));
    await shown.fixture.whenStable();
    return shown;
  };

  it('names stations with time, reasons and pairs, each with its drill', async () => {
    const { element } = await staff();
    const text = textOf(element);
    expect(text).toContain('Find the eggs 50 min');
    expect(text).toContain('Right in 1 of 9 answers of late.');
    expect(text).toContain('Together: Jun, Salma and Ife');
    expect(element.querySelector('bc-station-list h3 a')?.getAttribute('href')).toBe('/practice/find-eggs');
  });

  it('is set out for a group and a day, and taken back', async () => {
    const { press, changes, fixture } = await staff({ ...DATA, plans: [SET_OUT] });
    await controlsOf(fixture).write(/^Day$/, '18/5/2026');
    await press(/^Publish for the group/);
    await press(/^Take back/);
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent.params])).toEqual([
      ['setOutIndoorPlan', { group: 'curlew' }],
      ['takeBackIndoorPlan', { plan: 'plan-1' }],
    ]);
    expect(changes()[0]!.sent.body).toMatchObject({ day: '2026-05-18', minutes: 90, stations: 3 });
  });

  it('is seen by its trainees as it was set out, without reasons and without a form', async () => {
    const { element } = await showView(
      IndoorPlanScreen,
      'practice',
      { ...DATA, groups: [], plans: [SET_OUT] },
      'trainee',
    );
    const text = textOf(element);
    expect(text).toContain('Sat 16 May: Curlew, 90 minutes');
    expect(text).toContain('Prepared by Tomasz Wierzba');
    expect(element.querySelector('bc-station-list h3 a')?.getAttribute('href')).toBe('/practice/find-eggs');
    expect(element.querySelectorAll('button, select')).toHaveLength(0);
    expect(text).not.toMatch(/Loading|weakest/);
  });

  it('says so when nothing is set out for a trainee, and where practice is meanwhile', async () => {
    const { element } = await showView(IndoorPlanScreen, 'practice', { ...DATA, groups: [] }, 'trainee');
    expect(textOf(element)).toContain('Nothing prepared for your group yet.');
    expect(element.querySelector('a')?.getAttribute('href')).toBe('/practice');
  });
});

it('a photo becomes a drill whose right answer is not always the first', async () => {
  const bank = {
    photos: [{ id: 'a1', takenAt: '2026-05-10T12:00:00.000Z', hive: '4', of: 'eggs', spot: 'frame 5' }],
    drills: [],
  };
  const { element, changes, fixture } = await showView(PhotoDrillsScreen, 'photoBank', bank, 'supervisor');
  const [, right, wrong] = [...element.querySelectorAll<HTMLInputElement>('form input')];
  const submit = async () => {
    element.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await fixture.whenStable();
  };
  right!.value = 'two eggs';
  wrong!.value = 'Two eggs';
  await submit();
  expect(textOf(element.querySelector('[role=alert]'))).toContain('Two choices are the same');
  expect(changes()).toEqual([]);
  wrong!.value = 'nectar';
  await submit();
  expect(changes()[0]).toMatchObject({
    endpoint: 'makePhotoDrill',
    sent: { body: { attachment: 'a1', choices: ['nectar', 'two eggs'], answer: 1 } },
  });
});

it('a poll is answered by trainees and read by staff', async () => {
  const poll = {
    id: 'p1',
    session: 's1',
    day: '2026-05-14',
    group: 'Curlew',
    askedBy: 'Tomasz Wierzba',
    moment: 'before',
    questions: [
      {
        text: 'Could you light the smoker?',
        own: {},
        counts: { before: { yes: 2, no: 1, unsure: 1 } },
        says: 'Not ready: 2 of 4.',
      },
    ],
  };
  const data = { polls: [poll], sessions: [] };
  const { element, press, changes } = await showView(PollsScreen, 'polls', data, 'trainee');
  expect(textOf(element)).toContain('2 yes, 1 no, 1 unsure');
  await press(/^unsure$/);
  expect(changes()[0]).toMatchObject({
    endpoint: 'answerPoll',
    sent: { params: { poll: 'p1' }, body: { moment: 'before', answers: [{ question: 0, answer: 'unsure' }] } },
  });
  const staff = await showView(PollsScreen, 'polls', data, 'supervisor');
  expect(textOf(staff.element)).toContain('No session of your groups');
  expect(staff.element.querySelector('.seg')).toBeNull();
});
