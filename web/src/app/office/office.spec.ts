import { HttpTestingController, type TestRequest } from '@angular/common/http/testing';
import type { ComponentFixture } from '@angular/core/testing';
import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { newStack } from '@brave-comb/core/equipment';
import { ViewEvents } from '../api/views.feature';
import { showView } from '../../testing/ahead';
import { controlsOf } from '../../testing/controls';
import { SCHOOL_CLOCK } from '../../testing/school-clock';
import { textOf } from '../../testing/text';
import { ChangesScreen } from './changes';
import { HiveScreen } from './hive';
import { HivesScreen } from './hives';
import { PasteHives } from './paste-hives';
import { foldRuns } from './paste-rows';
import { PeopleScreen } from './people';
import { SitesScreen } from './sites';

type Sent = Readonly<Record<string, unknown>> & { readonly hives?: unknown };

/** The one request that is on its way, with what it carries. */
const onItsWay = (path: RegExp): { request: TestRequest; body: Sent } => {
  const request = TestBed.inject(HttpTestingController).expectOne(({ url }) => path.test(url));
  return { request, body: request.request.body as Sent };
};
const settle = async (fixture: ComponentFixture<unknown>) => {
  await new Promise((done) => setTimeout(done));
  await fixture.whenStable();
};
const refuse = (request: TestRequest, status: number, problem: string, message: string) =>
  request.flush({ problem, message }, { status, statusText: 'no' });

const MADE = { version: 1, changed: null, retired: null };
const hive = (id: string, number: string, more: object = {}) => ({
  id,
  number,
  site: 'home',
  siteName: 'Home orchard',
  stand: 'A',
  type: 'national',
  stack: newStack({ type: 'national', brood: 1, supers: 1, frames: null }),
  scale: null,
  colony: { id: `c${id}`, origin: 'a swarm', since: '2025-06-22', queen: { year: 2025, marked: true } },
  ...MADE,
  ...more,
});
const HIVES = {
  hives: [hive('h1', '1'), hive('h2', '2', { colony: null }), hive('h9', '9', { retired: '2026-01-02T00:00:00Z' })],
  sites: [{ id: 'home', name: 'Home orchard' }],
  usual: 'national',
  today: '2026-05-14',
};

beforeEach(() => sessionStorage.clear());

describe('rows of a pasted list', () => {
  const row = (line: number, state: 'ready' | 'to-settle' | 'left-out') => ({ line, state });
  it.each([
    ['all ready', [1, 2, 3, 4, 5, 6], [], [], '1 2 3 4-6'],
    ['one between two questions stays open', [1, 2, 3, 5], [4, 6], [], '1 2 3 4? 5 6?'],
    ['a run between questions', [1, 2, 3, 5, 6, 7], [4, 8], [], '1 2 3 4? 5-7 8?'],
    ['a run that was opened', [1, 2, 3, 4, 5], [], [4], '1 2 3 4 5'],
    ['nothing', [], [], [], ''],
  ] as const)('%s', (_what, ready, asked, opened, shown) => {
    const rows = [...ready.map((line) => row(line, 'ready')), ...asked.map((line) => row(line, 'to-settle'))];
    const folded = foldRuns(
      rows.toSorted((a, b) => a.line - b.line),
      new Set<number>(opened),
    );
    const words = folded.map((each) =>
      each.kind === 'run' ? `${each.from}-${each.to}` : `${each.row.line}${each.row.state === 'ready' ? '' : '?'}`,
    );
    expect(words.join(' ')).toBe(shown);
  });
});

describe('hives from a spreadsheet', () => {
  const LIST = ['No.\tKit\tQ', '21\t1 + 1\t2025 blue', '22\t1 + many\tgreen', '1\t1 + 0\tblue'].join('\n');
  const shown = async () => {
    const view = await showView(PasteHives, 'schoolHives', HIVES, 'lead', {}, SCHOOL_CLOCK);
    const figures = () => [...view.element.querySelectorAll('.counts dd')].map(textOf).join(' ');
    return { ...view, figures, ...controlsOf(view.fixture) };
  };
  const paste = async () => {
    const view = await shown();
    await view.write(/^Paste rows/, LIST);
    await settle(view.fixture);
    return view;
  };

  it('say what was read, ask the rest, and are added under ids that stay', async () => {
    const { element, fixture, press, figures } = await paste();
    expect(figures()).toBe('1 2 0');
    expect(textOf(element)).toContain('You have a hive 1 at Home orchard.');
    await press(/^0$/);
    await press(/^Make it 23$/);
    expect(figures()).toBe('3 0 0');
    await press(/^Add 3 hives$/);
    const { request, body } = onItsWay(/equipment\/hives$/);
    const sent = body.hives as readonly Sent[];
    expect(sent.map(({ number, known }) => [number, known])).toEqual([
      ['21', false],
      ['22', false],
      ['23', false],
    ]);
    expect(sent[0]).toMatchObject({ stand: 'A', site: 'home', colony: { queen: { year: 2025, marked: true } } });
    // A second press while it is on its way sends nothing more; a refusal keeps every answer.
    await press(/^Adding/);
    refuse(request, 409, 'name-in-use', 'Another hive has, or had, the number 22.');
    await settle(fixture);
    expect(textOf(element.querySelector('[role="alert"]'))).toContain('the number 22');
    expect(figures()).toBe('3 0 0');
    await press(/^Add 3 hives$/);
    const again = onItsWay(/equipment\/hives$/);
    expect((again.body.hives as readonly Sent[]).map(({ id }) => id)).toEqual(sent.map(({ id }) => id));
    const go = vi.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
    again.request.flush(HIVES);
    await settle(fixture);
    expect(go).toHaveBeenCalledWith('/office/hives');
    expect(sessionStorage.length).toBe(0);
  });

  it('keep on the list what is not settled, through a reload too', async () => {
    const first = await paste();
    await first.press(/^Add 1 hive$/);
    onItsWay(/equipment\/hives$/).request.flush(HIVES);
    await settle(first.fixture);
    expect(first.figures()).toBe('0 2 0');
    TestBed.resetTestingModule();
    const { figures, element, press } = await shown();
    expect(figures()).toBe('0 2 0');
    await press(/^Same hive, update it$/);
    expect(figures()).toBe('1 1 0');
    await press(/^Take back$/);
    expect(figures()).toBe('0 2 0');
    expect(element.querySelector('textarea')).toBeNull();
  });

  it('are read anew when a column becomes something else', async () => {
    const { choose, element, figures } = await paste();
    await choose(/^Column Kit becomes$/, 'leave out');
    expect(figures()).toBe('2 1 0');
    await choose(/^Column Q becomes$/, 'boxes');
    expect(textOf(element)).toContain('How many brood boxes is “2025 blue”?');
  });

  it('go on by key: F8 to the next question, a figure answers it, Ctrl+Z takes it back', async () => {
    const { element, fixture, figures } = await paste();
    const key = async (name: string, more: object = {}) => {
      const at = document.activeElement?.closest('bc-paste-list')
        ? document.activeElement
        : element.querySelector('bc-paste-list');
      at!.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, ...more }));
      await settle(fixture);
    };
    document.body.append(element);
    await key('F8');
    expect(textOf(document.activeElement)).toBe('1');
    await key('2');
    expect(figures()).toBe('2 1 0');
    expect(textOf(document.activeElement)).toBe('Make it 23');
    await key('z', { ctrlKey: true });
    expect(figures()).toBe('1 2 0');
  });
});

describe('the hives of a school', () => {
  it('are listed with what lives in them, found by words, retired ones last', async () => {
    const { element, fixture } = await showView(HivesScreen, 'schoolHives', HIVES, 'lead', {}, SCHOOL_CLOCK);
    const rows = () => [...element.querySelectorAll('tbody tr')].map(textOf);
    expect(rows()).toHaveLength(3);
    expect(rows()[0]).toContain('2025, blue');
    expect(rows()[1]).toContain('empty');
    expect(rows()[2]).toContain('out of use');
    const { write } = controlsOf(fixture);
    const field = element.querySelector('input')!;
    field.value = 'orchard 2';
    field.dispatchEvent(new Event('input'));
    await settle(fixture);
    expect(rows()).toHaveLength(1);
    await write(/^Find by/, 'orchard 2');
  });

  it('are changed; parts that nobody touched stay as visits have put them', async () => {
    const odd = [...newStack({ type: 'national', brood: 1, supers: 1, frames: null }), { id: 'rim', kind: 'spacer' }];
    const data = { ...HIVES, hives: [hive('h1', '1', { stack: odd })] };
    const { fixture, press } = await showView(HiveScreen, 'schoolHives', data, 'lead', { hive: 'h1' }, SCHOOL_CLOCK);
    const { write } = controlsOf(fixture);
    await write(/^Stand$/, 'C');
    await press(/^Save$/);
    const { body } = onItsWay(/equipment\/hives\/h1$/);
    expect(body).toMatchObject({ version: 1, stand: 'C', stack: odd, colony: null });
  });

  it('go out of use with what became of the bees', async () => {
    const { element, press } = await showView(HiveScreen, 'schoolHives', HIVES, 'lead', { hive: 'h1' }, SCHOOL_CLOCK);
    await press(/^Put it out of use/);
    element.querySelectorAll<HTMLInputElement>('input[type="radio"]')[2]!.click();
    await press(/^Put hive 1 out of use$/);
    expect(onItsWay(/h1\/retire$/).body).toEqual({ version: 1, retired: true, bees: 'united' });
  });

  it('say when there is none such', async () => {
    const { element } = await showView(HiveScreen, 'schoolHives', HIVES, 'lead', { hive: 'h5' }, SCHOOL_CLOCK);
    expect(textOf(element)).toContain('There is no such hive');
  });
});

describe('sites', () => {
  const SITE = {
    id: 'home',
    name: 'Home orchard',
    latitude: 55.1,
    longitude: -3.3,
    altitude: 180,
    zone: 'Europe/London',
    emergency: { number: '112', place: 'Mill road', signal: '', school: '', kit: '' },
    hives: 3,
    ...MADE,
  };
  const shown = async (sites: readonly object[], home: object | null = null) => {
    const view = await showView(SitesScreen, 'schoolSites', { sites, home });
    return { ...view, ...controlsOf(view.fixture) };
  };

  it('begin at the place of the school, and take their time from where they are', async () => {
    const { written, write, press } = await shown([], { zone: 'Pacific/Noumea', latitude: -42.9, longitude: 147.2 });
    expect(await written(/^Latitude/)).toBe('-42.9, 147.2');
    await write(/^Latitude/, '42.88 S, 147.33 E');
    expect(await written(/^Time zone/)).toBe('Australia/Hobart');
    await write(/^Name/, 'Salt flat');
    await write(/^Emergency number/, '000');
    await press(/^Save$/);
    TestBed.inject(HttpTestingController).expectNone(() => true);
    await write(/^How help/, 'Gate by the salt shed');
    await press(/^Save$/);
    expect(onItsWay(/equipment\/sites\//).body).toMatchObject({
      version: 0,
      latitude: -42.88,
      longitude: 147.33,
      zone: 'Australia/Hobart',
      emergency: { number: '000', place: 'Gate by the salt shed' },
    });
  });

  it('show what somebody else has saved meanwhile beside what is typed, and write over nothing unseen', async () => {
    const { element, fixture, press, write } = await shown([SITE]);
    await press(/^Change Home orchard$/);
    await write(/^Height/, '70');
    await press(/^Save$/);
    const { request } = onItsWay(/equipment\/sites\/home$/);
    refuse(request, 409, 'changed-meanwhile', 'Ruth has changed this since you opened it.');
    const theirs = { ...SITE, altitude: 55, version: 2, changed: { by: 'Ruth', at: '2026-05-14T15:58:00Z' } };
    TestBed.inject(Store).dispatch(ViewEvents.loaded({ view: 'schoolSites', data: { sites: [theirs], home: null } }));
    await settle(fixture);
    const both = element.querySelector('bc-differs')!;
    expect(textOf(both)).toContain('Ruth saved this at');
    expect([...both.querySelectorAll('tbody tr')].map(textOf)).toEqual(['Height above the sea, m 55 70']);
    await press(/^Save mine$/);
    expect(onItsWay(/equipment\/sites\/home$/).body).toMatchObject({ version: 2, altitude: 70 });
  });

  it('say without a connection that nothing is saved, and keep what was typed', async () => {
    const { element, fixture, press, written } = await shown([SITE]);
    await press(/^Change Home orchard$/);
    await press(/^Save$/);
    onItsWay(/equipment\/sites\/home$/).request.error(new ProgressEvent('error'));
    await settle(fixture);
    expect(textOf(element.querySelector('[role="alert"]'))).toContain('Nothing is saved yet');
    expect(await written(/^Name/)).toBe('Home orchard');
  });
});

describe('people', () => {
  const person = (id: string, name: string, more: object = {}) => ({
    id,
    name,
    role: 'trainee',
    owner: false,
    mail: null,
    groups: [] as string[],
    wayIn: 'none',
    invitedUntil: null,
    signIn: null,
    lastHere: null,
    note: false,
    ...MADE,
    ...more,
  });
  const MEMBERS = {
    people: [
      person('p', 'Morag Selkirk', { role: 'lead', owner: true, wayIn: 'password', signIn: 'morag' }),
      person('t', 'Tomasz Wierzba', { role: 'supervisor', wayIn: 'invited', invitedUntil: '2026-05-17T10:00:00Z' }),
      person('n', 'Nadia Koskinen', { groups: ['d'], note: true, wayIn: 'password', signIn: 'nadia' }),
      person('j', 'Jun Sato', { groups: ['c', 'd'] }),
      person('y', 'Yusuf Yıldız'),
      person('x', 'Gone Away', { retired: '2026-04-01T00:00:00Z' }),
    ],
    groups: [
      { id: 'c', name: 'Curlew', version: 1, retired: null },
      { id: 'd', name: 'Dipper', version: 1, retired: null },
    ],
  };
  const shown = async () => {
    const view = await showView(PeopleScreen, 'members', MEMBERS, 'lead', {}, SCHOOL_CLOCK);
    return { ...view, ...controlsOf(view.fixture) };
  };

  it('stand by group, one of two groups in both, those without one and those who left at the end', async () => {
    const { element } = await shown();
    const sections = [...element.querySelectorAll('tbody')].map((body) =>
      [...body.querySelectorAll('tr > th')].map(textOf).join(', '),
    );
    expect(sections).toEqual([
      'Staff 2, Morag Selkirk, Tomasz Wierzba',
      'Curlew 1, Jun Sato',
      'Dipper 2, Nadia Koskinen, Jun Sato',
      'Trainees without a group 1, Yusuf Yıldız',
      'No longer at the school 1, Gone Away',
    ]);
    expect(textOf(element.querySelector('header'))).toContain('Invite 2');
  });

  it('are changed beside the list; the note stays when nobody types another', async () => {
    const { press, write } = await shown();
    await press(/^Nadia Koskinen$/);
    await write(/^Name$/, 'Nadia Koskinen-Prys');
    await press(/^Save$/);
    const { body } = onItsWay(/members\/n$/);
    expect(body).toEqual({ version: 1, name: 'Nadia Koskinen-Prys', role: 'trainee', mail: null, groups: ['d'] });
  });

  it('are sent their link by mail where the installation sends any and an address is known', async () => {
    const people = MEMBERS.people.map((each) => (each.id === 'n' ? { ...each, mail: 'nadia@fell.example' } : each));
    const view = await showView(PeopleScreen, 'members', { ...MEMBERS, people, mails: true }, 'lead', {}, SCHOOL_CLOCK);
    await view.press(/^Tomasz Wierzba$/);
    expect(textOf(view.element)).not.toContain('Send it to');
    await view.press(/^Nadia Koskinen$/);
    await view.press(/^Send it to nadia@fell.example$/);
    const { request } = onItsWay(/members\/n\/invitation\/mail$/);
    refuse(request, 502, 'mail-failed', 'The mail server did not take it.');
    await settle(view.fixture);
    expect(textOf(view.element)).toContain('The mail server did not take it.');
  });

  it('get a link that is shown once, and a note is read by name', async () => {
    const { element, fixture, press } = await shown();
    await press(/^Nadia Koskinen$/);
    expect(textOf(element)).toContain('Password lost?');
    await press(/^Link for a new password$/);
    onItsWay(/members\/n\/invitation$/).request.flush({
      link: '/invitation#secret',
      until: '2026-05-21T10:00:00Z',
      members: MEMBERS,
    });
    await settle(fixture);
    expect(element.querySelector<HTMLInputElement>('input[readonly]')!.value).toMatch(/\/invitation#secret$/);
    await press(/^Show$/);
    onItsWay(/members\/n\/emergency-note$/).request.flush({
      note: 'Sting allergy.',
      readers: [{ by: 'Morag Selkirk', at: '2026-05-14T06:41:00Z' }],
    });
    await settle(fixture);
    expect(textOf(element.querySelector('.note'))).toBe('Sting allergy.');
    await press(/^Hide now$/);
    expect(element.querySelector('.note')).toBeNull();
    // Another person's side shows no link of the one before.
    await press(/^Jun Sato$/);
    expect(element.querySelector('input[readonly]')).toBeNull();
  });

  it('leave after a question, and no lead is made by one who does not own the school', async () => {
    const { press, offered, element } = await shown();
    await press(/^Jun Sato$/);
    expect(await offered(/^Role$/)).toContain('lead instructor');
    expect(element.querySelectorAll('mat-option[aria-disabled="true"]')).toHaveLength(0);
    await press(/^Has left …$/);
    await press(/^Has left the school$/);
    expect(onItsWay(/members\/j\/retire$/).body).toEqual({ version: 1, retired: true });
  });

  it('are gathered in groups that are made, named and ended', async () => {
    const { press, write } = await shown();
    await press(/^Groups$/);
    await write(/^Name of Curlew$/, 'Whimbrel');
    expect(onItsWay(/groups\/c$/).body).toEqual({ version: 1, name: 'Whimbrel' });
  });
});

describe('changes', () => {
  const line = (more: object) => ({
    at: '2026-05-14T06:41:00Z',
    by: 'Ruth',
    thing: null,
    door: null,
    name: '',
    made: false,
    parts: [],
    address: '',
    ...more,
  });
  it('are told with before and after, moments as moments', async () => {
    const lines = [
      line({ thing: 'hives', name: '7', parts: [{ field: 'site', was: 'Home orchard', is: 'Moor edge' }] }),
      line({ thing: 'hives', name: '8', parts: [{ field: 'retired_at', was: null, is: '2026-05-14T06:41:00.000Z' }] }),
      line({ thing: 'sessions', name: '2026-05-16T10:30:00.000Z', made: true }),
      line({ door: 'note-read', name: 'Nadia' }),
    ];
    const { element, fixture } = await showView(ChangesScreen, 'changeLog', { lines, more: true });
    expect([...element.querySelectorAll('tbody tr')].map(textOf)).toEqual([
      'Thu 14 May, 07:41 Ruth hive 7 site: Home orchard → becomes Moor edge',
      'Thu 14 May, 07:41 Ruth hive 8 out of use: – → becomes Thu 14 May, 07:41',
      'Thu 14 May, 07:41 Ruth session Sat 16 May, 11:30 was added',
      'Thu 14 May, 07:41 Ruth read an emergency note Nadia',
    ]);
    const { write } = controlsOf(fixture);
    await write(/^Find by person/, 'hive 7');
    expect(textOf(element.querySelector('bc-view-state'))).toContain('Loading');
  });
});
