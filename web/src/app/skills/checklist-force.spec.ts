import type { Coverage, Output, endpoints } from '@brave-comb/contract';
import { inEnglish } from '@brave-comb/core/words';
import { checklistCsv } from '@brave-comb/core/exchange';
import { DEFAULT_CHECKLIST, type Skill, skillOf, type Standing } from '@brave-comb/core/skills';
import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { ChecklistScreen } from './checklist';
import { ChecklistDraft } from './checklist-draft';
import { nextChance } from './next-chance';
import { type ForceAsked, PutInForce } from './put-in-force';
import { ShowingsChart } from './showings-chart';
import { SkillSeason } from './skill-season';
import { VersionLine } from './version-line';
import { controlsOf } from '../../testing/controls';
import { SCHOOL_CLOCK } from '../../testing/school-clock';

type List = Output<typeof endpoints.checklist>;
type Preview = Output<typeof endpoints.previewChecklist>;

const { skills } = inEnglish(DEFAULT_CHECKLIST);
const PHASES = [
  { phase: 'build-up', from: '2026-04-01', to: '2026-05-01' },
  { phase: 'swarm-season', from: '2026-05-02', to: '2026-06-10' },
  { phase: 'winter-rest', from: '2026-11-01', to: '2026-12-31' },
].map((span) => ({ ...span, swarming: null, reasons: [] })) as unknown as List['phases'];
const LIST = {
  inForce: { version: 2, skills },
  draft: null,
  versions: [
    { version: 2, skills: 73, by: 'Ruth Okafor', from: '2026-02-10T10:00:00.000Z', note: '' },
    { version: 1, skills: 70, by: null, from: null, note: 'The list to begin with' },
  ],
  today: '2026-05-14',
  phases: PHASES,
  waiting: null,
  nextCourse: '2026-07-13',
  forgetting: { school: 'fixed-term' },
  levels: {},
} as unknown as List;
const WAITING: List = {
  ...LIST,
  versions: [
    { version: 3, skills: 74, by: 'Morag Selkirk', from: '2026-05-13T10:00:00.000Z', note: '' },
    ...LIST.versions,
  ],
  waiting: { version: 3, starts: '2026-07-13' },
};
const standing = (state: Standing['state']): Standing => ({
  state,
  level: 'alone',
  counted: [],
  missing: [],
  until: null,
  last: '2026-05-01',
  progress: 0.5,
  signature: null,
});
const PREVIEW = {
  problem: null,
  trainees: 19,
  changes: [
    {
      trainee: { id: 'ife', name: 'Ife' },
      skill: 'finds-eggs',
      before: standing('shown'),
      after: standing('in-progress'),
      stepsBack: true,
      says: 'in progress: alone twice more',
    },
  ],
  dropped: [],
  added: [],
  asked: { before: 20, after: 48 },
  stillAsked: [{ skill: 'finds-eggs', before: 10, after: 38 }],
} as unknown as Preview;
const offer = (day: string, showings: number) => ({ startsAt: `${day}T13:00:00.000Z`, group: 'curlew', showings });

describe('putting a draft in force', () => {
  const open = async (list: List, offers: Coverage['skills'][number]['offers'] | null = null) => {
    const draft = new ChecklistDraft();
    draft.load(skills, skills);
    draft.chosen.set('finds-eggs');
    draft.editRule({ times: 5 });
    const inputs = { list, preview: PREVIEW, offers };
    const fixture = await show(PutInForce, inputs, [...SCHOOL_CLOCK, { provide: ChecklistDraft, useValue: draft }]);
    const asked: ForceAsked[] = [];
    fixture.componentInstance.asked.subscribe((each) => asked.push(each));
    const element = elementOf(fixture);
    const choose = async (at: number) => {
      element.querySelectorAll<HTMLInputElement>('input[type=radio]')[at]!.click();
      await fixture.whenStable();
    };
    return {
      fixture,
      element,
      asked,
      choose,
      button: () => element.querySelector<HTMLButtonElement>('button[matButton]')!,
    };
  };

  it('says who would step back, and that nobody does while standings are carried over', async () => {
    const { element, choose, button, asked } = await open(LIST);
    expect(textOf(element)).toContain(
      '1 of 19 trainees would drop back if assessed again. With the choice below, nobody does.',
    );
    expect(textOf(element)).toContain('Ife , finds eggs: shown → in progress: alone twice more');
    await choose(1);
    expect(textOf(element)).not.toContain('As chosen below');
    button().click();
    expect(asked).toEqual([{ standings: 'judged-again', from: null, note: '' }]);
  });

  it('lets it wait for the next course, by the day that is proposed or chosen', async () => {
    const { element, choose, button, asked, fixture } = await open(LIST);
    await choose(2);
    expect(textOf(button())).toBe('Schedule it');
    button().click();
    const { write } = controlsOf(fixture);
    const BEGINS = /^The next course begins$/;
    await write(BEGINS, '7/9/2026');
    button().click();
    await write(BEGINS, '14/5/2026');
    expect(textOf(element)).toContain('Fri 15 May at the earliest.');
    await write(BEGINS, '');
    expect(button().disabled).toBe(true);
    expect(asked.map(({ standings, from }) => [standings, from])).toEqual([
      ['from-the-next-course', '2026-07-13'],
      ['from-the-next-course', '2026-09-07'],
    ]);
  });

  it('puts no second list beside one that waits', async () => {
    const { element } = await open(WAITING);
    expect(textOf(element)).toContain('Version 3 waits for Mon 13 Jul.');
    expect(element.querySelector('button')).toBeNull();
  });

  it('adds up what the planned sessions offer, beside what the draft asks for', async () => {
    const offers = [offer('2026-05-16', 20), offer('2026-05-23', 25)];
    const text = textOf((await open(LIST, offers)).element);
    expect(text).toContain('38 showings are still needed, 10 by the published list.');
    expect(text).toContain('Sessions planned until Sat 23 May offer about 45; enough by Sat 23 May.');
    const inputs = { today: '2026-05-14', before: 1, draft: 1 };
    const none = elementOf(await show(ShowingsChart, { ...inputs, offers: [] }));
    expect(textOf(none)).toBe('1 showing is still needed. No planned session offers any.');
    expect(none.querySelector('svg')).toBeNull();
    const little = elementOf(await show(ShowingsChart, { ...inputs, draft: 9, offers: [offer('2026-05-16', 2.4)] }));
    expect(textOf(little)).toContain('Sessions planned until Sat 16 May offer about 2.');
    const labels = [...little.querySelectorAll('text')].map((each) => Number(each.getAttribute('y')));
    expect(new Set(labels.slice(0, 3)).size).toBe(3);
  });
});

describe('the checklist as a screen', () => {
  beforeEach(() => {
    localStorage.clear();
  });

  it('shows the versions in a line, what waits, and takes it back', async () => {
    const { element, press, changes } = await showView(ChecklistScreen, 'checklist', WAITING);
    const points = [...element.querySelectorAll('bc-version-line li')];
    expect(points.map((each) => textOf(each))).toEqual([
      'v1 The list to begin with, 70',
      'v2, Tue 10 Feb published, 73',
      'v3, Mon 13 Jul scheduled, 74',
    ]);
    expect(points.map((each) => each.classList.contains('open'))).toEqual([false, false, true]);
    expect(textOf(element)).toContain('Version 3 is scheduled and takes effect on Mon 13 Jul');
    await press(/^Edit it again as a draft/);
    expect(changes()[0]).toMatchObject({ endpoint: 'takeBackChecklist', view: 'checklist' });
    const draft = elementOf(await show(VersionLine, { list: LIST, changes: 2 }));
    expect(textOf([...draft.querySelectorAll('li')].at(-1)!)).toBe('draft 2 changes');
  });

  it('goes from a skill to what comes before and after it', async () => {
    const { element, press } = await showView(ChecklistScreen, 'checklist', LIST);
    await press(/^finds eggs/);
    const tree = () => textOf(element.querySelector('.tree'));
    expect(tree()).toMatch(/reads with the light over the shoulder finds eggs .*ages larvae/);
    await press(/^ages larvae$/);
    expect(textOf(element.querySelector('#skill-name'))).toBe('ages larvae');
  });

  it('lets a skill go on with the evidence of one that the draft drops, chosen by its name', async () => {
    const { press, fixture } = await showView(ChecklistScreen, 'checklist', LIST);
    await press(/^ages larvae/);
    await press(/^Remove from the list/);
    await press(/^finds eggs/);
    const FROM = /^Also counts evidence/;
    const { choose, offered } = controlsOf(fixture);
    await choose(FROM, 'ages larvae, removed in this draft');
    const kept = () => JSON.parse(localStorage.getItem('checklist draft of p')!) as Skill[];
    expect(skillOf({ skills: kept() }, 'finds-eggs')!.from).toEqual(['ages-larvae']);
    expect(await offered(FROM)).not.toContain('ages larvae, removed in this draft');
    await press(/^Stop counting ages larvae/);
    expect(skillOf({ skills: kept() }, 'finds-eggs')!.from).toEqual([]);
  });

  it('takes a file in whole or not at all, and says what is wrong with it', async () => {
    const { element, fixture } = await showView(ChecklistScreen, 'checklist', LIST);
    const takeIn = async (name: string, text: string) => {
      const input = element.querySelector<HTMLInputElement>('input[type=file]')!;
      Object.defineProperty(input, 'files', { value: [new File([text], name)], configurable: true });
      input.dispatchEvent(new Event('change'));
      await vi.waitFor(() => expect(element.querySelector('.said')?.textContent).toContain(name));
      await fixture.whenStable();
    };
    const list = checklistCsv(skills);
    const kept = () => localStorage.getItem('checklist draft of p');
    await takeIn('broken.csv', list.replace('finds eggs', ''));
    expect(textOf(element)).toMatch(/broken\.csv was not imported: correct this line.*Line \d+:/);
    expect(kept()).toBeNull();
    await takeIn('cut.json', '{"skills": [');
    expect(textOf(element)).toContain('it is no JSON, or it was cut short');
    await takeIn('list.csv', list.replace('finds eggs', 'finds eggs on dark comb'));
    expect(textOf(element)).toContain(`${skills.length} skills read from list.csv into the draft.`);
    expect(kept()).toContain('finds eggs on dark comb');
    await takeIn('again.csv', list);
    expect(textOf(element)).toContain('Undo restores the previous draft.');
  });

  it('keeps the keys on a skill that Alt and an arrow move over the border of a phase', async () => {
    const { element, fixture } = await showView(ChecklistScreen, 'checklist', LIST);
    document.body.append(element);
    const last = skills.findLast(({ phase }) => phase === 'prepare')!.id;
    const button = () => element.querySelector<HTMLElement>(`[data-skill="${last}"]`)!;
    const before = button();
    before.focus();
    before.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', altKey: true, bubbles: true }));
    await fixture.whenStable();
    expect(button()).not.toBe(before);
    expect(document.activeElement).toBe(button());
  });

  it('cannot be changed by a trainee, who reads it', async () => {
    const { element } = await showView(ChecklistScreen, 'checklist', WAITING, 'trainee');
    expect(
      [...element.querySelectorAll('button')].filter((each) => /Take it back|Undo/.test(each.textContent)),
    ).toEqual([]);
    expect(element.querySelector('.touches')).toBeNull();
    expect(element.querySelector('fieldset')).toHaveProperty('disabled', true);
  });
});

describe('when a skill can be shown', () => {
  const bars = async (skill: Pick<Skill, 'season'>, today = '2026-05-14') => {
    const element = elementOf(await show(SkillSeason, { season: skill.season, phases: PHASES, today }));
    return {
      says: element.querySelector('[role=img]')!.getAttribute('aria-label'),
      widths: [...element.querySelectorAll<HTMLElement>('.bar')].map((each) => parseFloat(each.style.width)),
      now: parseFloat(element.querySelector<HTMLElement>('.now')!.style.left),
    };
  };

  it('is drawn over the year of the place, with today’s line', async () => {
    const swarming = await bars({ season: ['swarm-season'] });
    expect(swarming.says).toBe('Can be shown Sat 2 May to Wed 10 Jun.');
    // Forty of the 275 days of this year.
    expect(swarming.widths).toEqual([expect.closeTo((100 * 40) / 275, 1)]);
    expect(swarming.now).toBeCloseTo((100 * 43) / 275, 1);
    expect((await bars({ season: null })).says).toBe('Can be shown at any opening.');
    expect((await bars({ season: ['late-flow'] })).says).toBe('Cannot be shown this year.');
    expect(skillOf(DEFAULT_CHECKLIST, 'tells-cells')!.season).not.toBeNull();
  });
});

describe('the next chance', () => {
  const next = (day: string, planned: boolean, hive = '4') => ({
    startsAt: `2026-05-${day}T13:00:00.000Z`,
    zone: 'Europe/London',
    hive,
    chance: 0.7,
    planned,
  });
  const coverage = (groups: readonly object[]) => ({ skills: [{ id: 'finds-eggs', groups }] }) as unknown as Coverage;

  it('is a planned one before one that could be had, of those who still need it', () => {
    const both = coverage([
      { group: 'curlew', open: 2, next: next('15', false) },
      { group: 'dipper', open: 1, next: next('19', true, '9') },
      { group: 'lapwing', open: 0, next: next('14', true) },
    ]);
    expect(nextChance(both, null, 'finds-eggs')!.chance).toEqual({
      planned: true,
      day: '19',
      words: 'Tue 19 May, hive 9, 7 in 10',
      unlikely: false,
    });
    expect(nextChance(both, ['curlew'], 'finds-eggs')!.chance!.words).toBe(
      'Fri 15 May, hive 4, 7 in 10, not planned yet',
    );
    expect(nextChance(both, ['lapwing'], 'finds-eggs')).toBeNull();
    expect(nextChance(coverage([{ group: 'curlew', open: 3, next: null }]), null, 'finds-eggs')).toEqual({
      chance: null,
    });
  });
});
