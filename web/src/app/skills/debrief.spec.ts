import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import type { Debrief } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { DebriefScreen } from './debrief';
import { JobBar } from './job-bar';

const DATA: Debrief = {
  session: 's1',
  day: '2026-05-14',
  zone: 'Europe/London',
  site: 'Home orchard',
  from: '2026-05-14T12:10:00.000Z',
  to: '2026-05-14T14:30:00.000Z',
  revision: '3/40',
  groups: [
    {
      visit: 'v1',
      hive: '4',
      group: 'Curlew',
      supervisor: { id: 'tomasz', name: 'Tomasz Wierzba' },
      openedAt: '2026-05-14T12:14:00.000Z',
      closedAt: '2026-05-14T12:37:00.000Z',
      says: '22 sides, 3 roles swapped',
      frames: 4,
      trainees: [
        {
          id: 'salma',
          name: 'Salma',
          roles: ['record', 'frames', 'frames', null],
          judged: [
            {
              skillId: 'own',
              skill: 'finds eggs',
              before: 'alone',
              after: 'alone',
              by: 'Tomasz',
              prompt: '',
              note: '',
            },
            {
              skillId: 'own',
              skill: 'lifts straight up, slow',
              before: 'helped',
              after: 'alone',
              by: 'Tomasz',
              prompt: '',
              note: '',
            },
            {
              skillId: 'ages-larvae',
              skill: 'ages larvae',
              before: null,
              after: 'helped',
              by: 'Tomasz',
              prompt: '',
              note: '',
            },
          ],
          off: { eighths: 2.5, letter: 'P', by: -2, sides: 1 },
          withoutFrame: 0,
        },
        {
          id: 'greta',
          name: 'Greta',
          roles: ['smoke', 'watch', 'watch', null],
          judged: [],
          off: null,
          withoutFrame: 3,
        },
      ],
    },
  ],
  toSign: [
    { part: 'levels', text: '2 levels went up', detail: '3 judged', bars: null, visit: null },
    { part: 'records', text: 'Hive records 4 are whole', detail: '22 sides', bars: null, visit: null },
    { part: 'readings', text: 'No side has two readings', detail: '', bars: null, visit: null },
    { part: 'wrong', text: 'Sting, Salma', detail: '', bars: null, visit: null },
  ],
  signed: null,
  sentBack: [],
  wrong: [{ at: '2026-05-14T12:28:00.000Z', text: 'Sting, Salma, hive 4, well.' }],
  nobody: [{ lead: 'Greta', text: 'no frame in hand, third time running: first next time.' }],
  open: [],
  made: [{ due: '2026-05-16', text: 'Hive 4: second super' }],
  notes: [{ lead: 'Tomasz', text: 'Keep asking what comes next.' }],
  talk: [
    { part: 'did', lines: ['Curlew opened hive 4 with Tomasz at quarter past one.'], ask: null },
    {
      part: 'next',
      lines: ['Nothing is put down yet for next time.'],
      ask: 'What would each of you do first next time?',
    },
  ],
  sessions: [
    { id: 's1', day: '2026-05-14', groups: 'Curlew' },
    { id: 's0', day: '2026-05-09', groups: 'Dipper' },
  ],
};

describe('the debrief', () => {
  it('tells each trainee: what changed first, own reading, who held no frame', async () => {
    const { element } = await showView(DebriefScreen, 'debrief', DATA);
    const text = textOf(element);
    expect(text).toContain('Thu 14 May, Home orchard, 13:10 to 15:30. Took 2 h 20.');
    expect(text).toContain('13:14 to 13:37, 22 sides, 3 roles swapped');
    const [salma, greta] = [...element.querySelectorAll('tbody tr')];
    const judged = [...salma!.querySelectorAll('.judged')].map((each) => textOf(each));
    expect(judged).toHaveLength(1);
    expect(judged[0]).toContain('lifts straight up, slow');
    expect(judged[0]).toContain('helped to alone, judged by Tomasz');
    expect(textOf(salma!.querySelector('.plus'))).toBe('+2');
    expect(salma!.querySelector('[role=img][aria-label^="2.5 eighths off"]')?.getAttribute('aria-label')).toBe(
      '2.5 eighths off on 1 side, too little pollen',
    );
    expect(textOf(greta!)).toContain('no frame in hand, third time running');
    expect(textOf(greta!)).toContain('no reading given');
  });

  it('goes to the session before and after, as far as there are any', async () => {
    const { element, press } = await showView(DebriefScreen, 'debrief', DATA);
    const go = vi.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
    await press(/^Session after this one$/);
    expect(go).not.toHaveBeenCalled();
    expect(element.querySelector('[aria-label="Session after this one"]')?.getAttribute('aria-disabled')).toBe('true');
    await press(/^Session before this one$/);
    expect(go).toHaveBeenCalledWith(['/afterwards/debrief', 's0']);
  });

  it('opens all that was judged under a line, one or all of them, and all for paper', async () => {
    const { element, press, fixture } = await showView(DebriefScreen, 'debrief', DATA);
    const opened = () => [...element.querySelectorAll('.more')].map((row) => textOf(row));
    expect(opened()).toEqual([]);
    const salma = element.querySelector<HTMLButtonElement>('button[aria-label="Details for Salma"]')!;
    salma.click();
    await fixture.whenStable();
    expect(salma.getAttribute('aria-expanded')).toBe('true');
    expect(opened()).toHaveLength(1);
    expect(opened()[0]).toContain('ages larvae');
    expect(opened()[0]).toContain('Own reading: 2.5 eighths off on 1 side, too little pollen.');
    await press(/^Open all$/);
    expect(opened()[1]).toContain('Nobody has judged Greta yet.');
    await press(/^Close all$/);
    expect(opened()).toEqual([]);
    const print = vi.spyOn(globalThis, 'print').mockImplementation(() => expect(opened()).toHaveLength(2));
    await press(/^Print$/);
    expect(print).toHaveBeenCalledOnce();
    print.mockRestore();
  });

  it('is signed by the lead only after every part was ticked, as it was read', async () => {
    const { element, press, changes, fixture } = await showView(DebriefScreen, 'debrief', DATA);
    expect(textOf(element)).toContain('Sign off (4 items to check)');
    for (const box of element.querySelectorAll<HTMLInputElement>('input[type=checkbox]')) {
      box.click();
      await fixture.whenStable();
    }
    await press(/^Sign off$/);
    expect(changes()[0]).toMatchObject({
      endpoint: 'signDebrief',
      sent: { params: { session: 's1' }, body: { revision: '3/40', read: ['levels', 'records', 'readings', 'wrong'] } },
    });
  });

  it('cannot be signed while something bars it, and says where to settle it', async () => {
    const barred = DATA.toSign.map((each) =>
      each.part === 'readings'
        ? { ...each, text: 'Frame 4 has two readings', bars: 'Settle which reading counts.', visit: 'v1' }
        : each,
    );
    const { element } = await showView(DebriefScreen, 'debrief', { ...DATA, toSign: barred });
    expect(textOf(element)).toContain('Sign off (1 item to settle)');
    expect(element.querySelector('a[href="/at-the-hive/visit/v1"]')?.textContent).toBe('Settle it');
  });

  it('is said aloud in place of the table, and comes back from it', async () => {
    const { element, press } = await showView(DebriefScreen, 'debrief', DATA);
    await press(/^5-minute talk-through/);
    expect(textOf(element)).toContain('Curlew opened hive 4 with Tomasz at quarter past one.');
    expect(element.querySelector('table')).toBeNull();
    await press(/^Back to the debrief/);
    expect(element.querySelector('table')).not.toBeNull();
  });

  it('is sent back with a word, and left to the lead by a supervisor', async () => {
    const { element, press, changes, fixture } = await showView(DebriefScreen, 'debrief', DATA);
    await press(/^Send it back/);
    element.querySelector('textarea')!.value = 'Which reading counts?';
    element.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await fixture.whenStable();
    expect(changes()[0]).toMatchObject({
      endpoint: 'sendDebriefBack',
      sent: { body: { supervisor: 'tomasz', note: 'Which reading counts?' } },
    });
    const own = await showView(DebriefScreen, 'debrief', DATA, 'supervisor');
    expect(textOf(own.element)).toContain('The lead signs off.');
    expect(own.element.querySelector('input[type=checkbox]')).toBeNull();
  });
});

it('roles are said frame by frame', async () => {
  const fixture = await show(JobBar, { roles: ['smoke', 'frames', 'frames', 'watch', null] });
  expect(elementOf(fixture).querySelector('svg')?.getAttribute('aria-label')).toBe(
    'smoke frame 1, holds frames 2 to 3, watches frame 4',
  );
});
