import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatSnackBarHarness } from '@angular/material/snack-bar/testing';
import { inEnglish } from '@brave-comb/core/words';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { DEFAULT_CHECKLIST, skillOf, STANDING_STATES } from '@brave-comb/core/skills';
import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { evidence } from '../../testing/evidence';
import { textOf } from '../../testing/text';
import { ChecklistDraft } from './checklist-draft';
import { GroupSide } from './group-side';
import { JudgeCard } from './judge-card';
import { MatrixGrid } from './matrix-grid';
import { type Matrix, rowsOf, standsOut, weeksLeft } from './matrix-rows';
import { PassportScreen } from './passport';
import type { Passport } from './passport-view';
import { RuleSentence } from './rule-sentence';
import { controlsOf } from '../../testing/controls';

const state = (name: (typeof STANDING_STATES)[number]) => STANDING_STATES.indexOf(name);
const skill = (id: string, more: Partial<Matrix['skills'][number]> = {}): Matrix['skills'][number] => ({
  id,
  name: id.replace('-', ' '),
  phase: 'read',
  gate: false,
  level: 'alone',
  window: null,
  seasonal: false,
  ...more,
});
const MATRIX: Matrix = {
  today: '2026-05-14',
  skills: [
    skill('finds-eggs', { seasonal: true, window: { from: '2026-04-01', to: '2026-06-10' } }),
    skill('sums-up'),
    skill('weak-defence', { seasonal: true, window: { from: '2026-07-20', to: '2026-09-01' } }),
  ],
  groups: [
    {
      id: 'curlew',
      name: 'Curlew',
      until: null,
      trainees: [
        {
          id: 'salma',
          name: 'Salma',
          visits: 3,
          held: 0,
          smoked: 3,
          standings: [
            [state('in-progress'), 1, null],
            [state('signed-off'), 3, '2026-06-01'],
            [state('not-met'), -1, null],
          ],
        },
        {
          id: 'jun',
          name: 'Jun',
          visits: 3,
          held: 2,
          smoked: 1,
          standings: [
            [state('shown'), 4, '2027-01-01'],
            [state('due-again'), 3, '2026-05-01'],
            [state('not-met'), -1, null],
          ],
        },
      ],
    },
    { id: 'dipper', name: 'Dipper', until: null, trainees: [] },
  ],
  claims: [
    {
      id: 'c1',
      trainee: { id: 'salma', name: 'Salma' },
      skill: 'sums-up',
      skillName: 'sums up',
      level: 'alone',
      at: '2026-05-12T10:00:00.000Z',
      hive: '4',
      source: 'claim',
      note: 'four headings',
      elsewhere: null,
    },
  ],
};

describe('rows of the matrix', () => {
  const rows = rowsOf(MATRIX, null);
  const cells = rows.flatMap((row) => (row.kind === 'trainee' ? [row.cells] : []));

  it('are each group and its trainees, with what is still open', () => {
    expect(rows.map(({ kind, name }) => `${kind} ${name}`)).toEqual([
      'group Curlew',
      'trainee Salma',
      'trainee Jun',
      'group Dipper',
    ]);
    expect(rows.flatMap((row) => (row.kind === 'trainee' ? [row.open] : []))).toEqual([2, 2]);
    expect(rowsOf(MATRIX, 'dipper')).toHaveLength(1);
  });

  it('bring out what a filter asks for', () => {
    const out = (filter: Parameters<typeof standsOut>[1]) =>
      cells.map((own) => own.map((cell) => Number(standsOut(cell, filter, false))).join(''));
    expect(out('blocks-sign-off')).toEqual(['101', '011']);
    expect(out('fading')).toEqual(['010', '010']);
    expect(out(null)).toEqual(['111', '111']);
    expect(standsOut(cells[0]![2]!, 'nobody', true)).toBe(true);
  });

  it('are read out with state, level and last day', () => {
    expect(cells[0]![1]!.says).toBe('Salma, sums up: signed off, alone, until Mon 1 Jun');
    expect(cells[0]![2]!.says).toBe('Salma, weak defence: not met');
  });

  it('say how many weeks are left to show a skill', () => {
    expect(MATRIX.skills.map((each) => weeksLeft(each, MATRIX.today))).toEqual(['4', '–', 'in 10']);
    expect(weeksLeft(skill('x', { seasonal: true }), MATRIX.today)).toBe('0');
  });
});

describe('the matrix', () => {
  const grid = async () => {
    const fixture = await show(MatrixGrid, { skills: MATRIX.skills, rows: rowsOf(MATRIX, null) });
    const element = elementOf(fixture);
    const box = element.querySelector<HTMLElement>('[role=grid]')!;
    const picked: unknown[] = [];
    fixture.componentInstance.picked.subscribe((each) => picked.push(each));
    const press = async (key: string) => {
      box.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      await fixture.whenStable();
    };
    const at = () => element.querySelector(`#${box.getAttribute('aria-activedescendant')}`)?.getAttribute('aria-label');
    return { element, picked, press, at };
  };

  it('is walked by keys, past the names of groups and no further than its ends', async () => {
    const { press, at, picked } = await grid();
    await press('ArrowDown');
    expect(at()).toMatch(/^Salma, finds eggs/);
    await press('ArrowUp');
    expect(at()).toMatch(/^Salma, finds eggs/);
    await press('End');
    await press('PageDown');
    expect(at()).toMatch(/^Jun, weak defence/);
    await press('ArrowLeft');
    await press('Enter');
    expect(picked).toEqual([{ trainee: 'jun', skill: 'sums-up' }]);
  });

  it('opens a trainee by the name, and tells its size to a screen reader', async () => {
    const { element, picked } = await grid();
    [...element.querySelectorAll<HTMLElement>('[role=rowheader]')].find((each) => each.textContent === 'Jun')?.click();
    expect(picked).toEqual([{ trainee: 'jun', skill: null }]);
    expect(element.querySelector('[role=grid]')?.getAttribute('aria-colcount')).toBe('5');
    expect(textOf(element)).toContain('Jun 2');
  });
});

describe('beside the matrix', () => {
  const side = () => showView(GroupSide, 'traineeMatrix', MATRIX, 'supervisor', { matrix: MATRIX });

  it('stand claims, who never held a frame, who always smoked, and what is needed by when', async () => {
    const { element } = await side();
    const text = textOf(element);
    expect(text).toContain('Claims waiting: 1');
    expect(text).toMatch(/Never held a frame Salma/);
    expect(text).toMatch(/Smoked every time Salma/);
    expect(text).toMatch(/1 finds eggs 4 weeks left/);
    expect(text).toMatch(/2 weak defence can be shown for in 10 weeks/);
  });

  it('a claim is confirmed at a level, or turned down with a reason', async () => {
    const { press, changes, fixture } = await side();
    const { choose, write } = controlsOf(fixture);
    await choose(/Level|level/, 'with a prompt');
    await press(/^Confirm$/);
    await press(/^Decline …$/);
    await write(/./, 'did not see it');
    await press(/^Decline$/);
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent.body])).toEqual([
      ['settleClaim', { confirmed: true, level: 'with-a-word' }],
      ['settleClaim', { confirmed: false, reason: 'did not see it' }],
    ]);
  });
});

const EVIDENCE = evidence({ weather: 'up to 17 °C, dry' });
const PASSPORT: Passport = {
  trainee: { id: 'salma', name: 'Salma' },
  school: 'Brenna Fell',
  groups: ['Curlew'],
  supervisors: ['Tomasz Wierzba'],
  today: '2026-05-14',
  version: 2,
  skills: [
    {
      id: 'finds-eggs',
      name: 'finds eggs',
      phase: 'read',
      shownBy: 'points at them',
      rule: 'Alone three times.',
      asked: 'alone',
      sounds: ['saw', 'helped', 'word', 'found them', 'teaches'],
      standing: {
        state: 'shown',
        level: 'alone',
        counted: ['d1'],
        missing: [],
        until: '2026-06-01',
        last: '2026-05-09',
        progress: 1,
        signature: null,
      },
      says: 'shown, until 1 Jun 2026',
      evidence: [EVIDENCE, { ...EVIDENCE, id: 'd0', day: '2025-07-12' }],
      signOffs: [],
      waitsFor: [],
    },
    {
      id: 'sums-up',
      name: 'sums up',
      phase: 'judge',
      shownBy: 'heard',
      rule: 'Alone twice.',
      asked: 'alone',
      sounds: [],
      standing: {
        state: 'not-met',
        level: null,
        counted: [],
        missing: [],
        until: null,
        last: null,
        progress: 0,
        signature: null,
      },
      says: 'not met: alone 2 times',
      evidence: [],
      signOffs: [],
      waitsFor: ['finds eggs'],
    },
  ],
  earlier: [],
  checkWords: 'lichen, gate, forty',
  gates: ['fits the veil and has it checked'],
  hives: [{ id: 'h4', number: '4' }],
  held: 2,
  visits: 3,
  course: null,
};

describe('the passport', () => {
  const paper = (role: 'lead' | 'trainee' = 'lead') =>
    showView(PassportScreen, 'passport', PASSPORT, role, { trainee: 'salma' });

  it('tells what stands, since when and until when, what is still to show, and the check words', async () => {
    const text = textOf((await paper()).element);
    expect(text).toContain('1 of 2 skills met , 1 still needed for sign-off');
    expect(text).toContain('9 May 2026, hive 4');
    expect(text).toContain('12 Jul 2025, hive 4');
    expect(text).toContain('valid until Mon 1 Jun');
    expect(text).toContain('sums up : not met: alone 2 times');
    expect(text).toContain('check words: lichen, gate, forty');
    expect(text).toContain('No frames of a lively colony before: fits the veil');
  });

  it('has on paper every showing that counts, by year, with hive and initials, and says whose they are', async () => {
    const { element } = await paper();
    const row = element.querySelector('.evidence .in-print');
    expect(textOf(row)).toMatch(/^2025: 12 Jul h4 \w\w; 2026: 9 May h4 \w\w$/);
    expect(textOf(element.querySelector('.initials'))).toMatch(
      /^\w\w \S+ .*; h4: hive 4\. Only the showings that count\.$/,
    );
    expect(textOf(element.querySelector('td b.in-print'))).toBe('finds eggs');
  });

  it('is signed by the lead for what is shown, and for more with a reason', async () => {
    const { press, changes, element, fixture } = await paper();
    await press(/^Sign off 1 skill …$/);
    // It asks with the list; nothing is signed before.
    expect(changes()).toEqual([]);
    const card = document.querySelector('bc-sign-card')!;
    expect(textOf(card)).toMatch(/^Sign off 1 skill of Salma finds eggs/);
    [...card.querySelectorAll('button')].find((each) => textOf(each) === 'Sign off 1')!.click();
    await vi.waitFor(() => expect(changes()).toHaveLength(1));
    expect(changes()[0]).toMatchObject({
      endpoint: 'signOffSkills',
      sent: { params: { trainee: 'salma' }, body: { skills: [{ skill: 'finds-eggs' }], note: '' } },
    });
    await vi.waitFor(() => expect(textOf(element)).toContain('1 skill signed off. Undo'));
    await press(/^sums up$/);
    const sign = [...element.querySelectorAll('button')].find((each) => textOf(each) === 'Sign off')!;
    expect(sign.disabled).toBe(true);
    const why = element.querySelector<HTMLInputElement>('bc-skill-detail input')!;
    why.value = 'shown elsewhere';
    why.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    sign.click();
    expect(changes()[1]).toMatchObject({ sent: { body: { skills: [{ skill: 'sums-up' }], note: 'shown elsewhere' } } });
    const bar = await TestbedHarnessEnvironment.documentRootLoader(fixture).getHarness(MatSnackBarHarness);
    await bar.dismissWithAction();
    const [signed] = (changes()[1]!.sent.body as { skills: { id: string }[] }).skills;
    expect(changes()[2]).toMatchObject({ endpoint: 'withdrawSignOffs', sent: { body: { signOffs: [signed!.id] } } });
  });

  it('lets nobody erase by a slip, and a trainee neither sign nor erase', async () => {
    const { element, fixture, changes, press } = await paper();
    const field = element.querySelector<HTMLInputElement>('.erase input')!;
    const button = () => element.querySelector<HTMLButtonElement>('.erase button')!;
    expect(button().disabled).toBe(true);
    field.value = 'Salma';
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await press(/^Erase Salma$/);
    expect(changes()[0]).toMatchObject({ endpoint: 'eraseTrainee', sent: { body: { name: 'Salma' } } });
    const own = textOf((await paper('trainee')).element);
    expect(own).not.toContain('Erase on request');
    expect(own).not.toContain('that are shown');
    expect(own).toContain('Claim a skill');
  });
});

describe('a judgement', () => {
  const card = (ask: object) =>
    showView(JudgeCard, 'passport', PASSPORT, 'supervisor', {}, [
      { provide: MAT_DIALOG_DATA, useValue: { record: PASSPORT, skill: null, evidence: null, ...ask } },
      { provide: MatDialogRef, useValue: { close: () => undefined } },
    ]);

  it('names skill, level, day and hive, with what the level sounds like', async () => {
    const { element, press, changes } = await card({ about: 'judge' });
    expect(textOf(element)).toContain('alone found them');
    await press(/^Save$/);
    expect(changes()[0]).toMatchObject({
      endpoint: 'judgeSkill',
      sent: { params: { trainee: 'salma' }, body: { skill: 'finds-eggs', level: 'alone', session: null, hive: null } },
    });
  });

  it('is corrected only with a reason, to another level or to nothing', async () => {
    const { element, press, changes, fixture } = await card({
      about: 'correct',
      evidence: EVIDENCE,
      skill: 'finds-eggs',
    });
    const keep = () => [...element.querySelectorAll('button')].find((each) => textOf(each) === 'Save')!;
    expect(keep().disabled).toBe(true);
    [...element.querySelectorAll<HTMLInputElement>('input[type=radio]')].at(-1)?.click();
    const why = element.querySelector('textarea')!;
    why.value = 'it was Jun';
    why.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await press(/^Save$/);
    expect(changes()[0]).toMatchObject({
      endpoint: 'correctDemonstration',
      sent: { params: { demonstration: 'd1' }, body: { level: null, reason: 'it was Jun' } },
    });
  });
});

describe('a draft of the checklist', () => {
  const { skills } = inEnglish(DEFAULT_CHECKLIST);
  const draft = () => {
    const made = new ChecklistDraft();
    made.load(skills, skills);
    return made;
  };
  const ids = (made: ChecklistDraft) => made.skills().map(({ id }) => id);

  it('counts what differs, and takes every change back', () => {
    const made = draft();
    expect(made.changes()).toBe(0);
    made.chosen.set('finds-eggs');
    made.editRule({ times: 6 });
    made.add('care', 'Treats with acid, by the label');
    expect(made.skill()).toMatchObject({ id: 'treats-with-acid-by-the-label', phase: 'care' });
    expect(made.changes()).toBe(2);
    made.drop('light-behind');
    expect(skillOf({ skills: made.skills() }, 'finds-eggs')!.needs).toEqual([]);
    expect(made.problem()).toBeNull();
    expect(made.changes()).toBe(3);
    while (made.mayUndo()) made.undo();
    expect(made.skills()).toEqual(skills);
    expect(made.changes()).toBe(0);
  });

  it('moves a skill by steps over the end of its phase, and to a place in another', () => {
    const made = draft();
    const last = skills.findLast(({ phase }) => phase === 'prepare')!.id;
    made.step(last, 1);
    expect(skillOf({ skills: made.skills() }, last)!.phase).toBe('approach');
    expect(ids(made)).toEqual(skills.map(({ id }) => id));
    made.step(last, 1);
    expect(ids(made).indexOf(last)).toBe(skills.findIndex(({ id }) => id === last) + 1);
    made.move('finds-eggs', 'care', 'matchstick');
    const at = ids(made).indexOf('finds-eggs');
    expect(ids(made)[at + 1]).toBe('matchstick');
    expect(made.skills()[at]!.phase).toBe('care');
    made.move('finds-eggs', 'safety', null);
    expect(ids(made).at(-1)).toBe('finds-eggs');
  });

  it('gives a new skill an id that is free', () => {
    const made = draft();
    made.add('read', 'Finds eggs');
    expect(made.chosen()).toBe('finds-eggs-2');
  });
});

describe('a rule as a sentence', () => {
  it('is chosen part by part; what differs from the list in force stands out and can be taken back', async () => {
    const { rule } = skillOf(DEFAULT_CHECKLIST, 'finds-eggs')!;
    const fixture = await show(RuleSentence, { rule: { ...rule, times: 6 }, was: rule });
    const element = elementOf(fixture);
    const edited: unknown[] = [];
    fixture.componentInstance.edited.subscribe((each) => edited.push(each));
    expect([...element.querySelectorAll('.changed')].map((each) => each.getAttribute('aria-label'))).toEqual(['Times']);
    expect(textOf(element)).toContain('Published: Alone three times');
    const { choose } = controlsOf(fixture);
    await choose(/^Days$/, '4 days');
    for (const term of ['the season', 'no time', '18 months']) await choose(/^Holds$/, term);
    element.querySelector('button')?.click();
    expect(edited).toEqual([{ days: 4 }, { months: 'season' }, { months: null }, { months: 18 }, rule]);
  });
});
