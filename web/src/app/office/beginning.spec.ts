import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { ViewEvents, type ViewName } from '../api/views.feature';
import { showView } from '../../testing/ahead';
import { controlsOf } from '../../testing/controls';
import { SCHOOL_CLOCK } from '../../testing/school-clock';
import { textOf } from '../../testing/text';
import { InvitationsScreen } from './invitations';
import { PastePeople } from './paste-people';
import { SchoolScreen } from './school';

/** From nothing to a first session: the guide, a pasted course, slips to hand out. */

const MADE = { version: 1, changed: null, retired: null };
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
const MORAG = person('p', 'Morag Selkirk', { role: 'lead', owner: true, wayIn: 'password' });
const settle = async (fixture: { whenStable(): Promise<unknown> }) => {
  await new Promise((done) => setTimeout(done));
  await fixture.whenStable();
};

beforeEach(() => sessionStorage.clear());

describe('the guide of a school', () => {
  const SITE = { id: 'home', name: 'Home orchard', retired: null };
  const HIVES = { hives: [{ id: 'h', retired: null }], sites: [], usual: 'national', today: '2026-05-14' };
  const COURSE = {
    people: [MORAG, person('j', 'Jun', { groups: ['c'] })],
    groups: [{ id: 'c', name: 'Curlew', version: 1, retired: null }],
  };
  it.each<[there: string, sites: object[], hives: object, members: object, sessions: number, next: string]>([
    ['nothing', [], { ...HIVES, hives: [] }, { people: [MORAG], groups: [] }, 0, 'Next: A site.'],
    ['a site', [SITE], { ...HIVES, hives: [] }, { people: [MORAG], groups: [] }, 0, 'Next: Hives.'],
    ['a site that is out of use', [{ ...SITE, retired: 'then' }], HIVES, COURSE, 0, 'Next: A site.'],
    ['hives', [SITE], HIVES, { people: [MORAG], groups: [] }, 0, 'Next: Trainees in groups, and who leads them.'],
    ['a group without trainees', [SITE], HIVES, { ...COURSE, people: [MORAG] }, 0, 'Next: Trainees in groups'],
    ['a course', [SITE], HIVES, COURSE, 0, 'Next: The first session.'],
    ['a session', [SITE], HIVES, COURSE, 2, 'All is there for a session.'],
  ])('with %s', async (_there, sites, hives, members, sessions, next) => {
    const { element, fixture } = await showView(
      SchoolScreen,
      'schoolSites',
      { sites, home: null },
      'lead',
      {},
      SCHOOL_CLOCK,
    );
    const tell = async (view: ViewName, data: object) => {
      TestBed.inject(Store).dispatch(ViewEvents.loaded({ view, data }));
      await settle(fixture);
    };
    await tell('schoolHives', hives);
    await tell('members', members);
    await tell('checklist', { inForce: { skills: [{}, {}] } });
    if (sites.length > 0) await tell('mySessions', { today: '2026-05-14', sessions: Array.from({ length: sessions }) });
    expect(textOf(element.querySelector('header'))).toContain(next);
    expect(element.querySelectorAll('li.next')).toHaveLength(next.startsWith('Next') ? 1 : 0);
  });
});

describe('a course from a spreadsheet', () => {
  it('shows the groups that it makes, and takes in who was recognised as the same person', async () => {
    const members = {
      people: [MORAG, person('z', 'Zoë Ångström')],
      groups: [{ id: 'd', name: 'Dipper', version: 1, retired: null }],
    };
    const { element, fixture, press } = await showView(PastePeople, 'members', members, 'lead', {}, SCHOOL_CLOCK);
    const { write } = controlsOf(fixture);
    await write(/^Paste rows/, 'Who\tTeam\nZoe Angstrom\tDipper\nJun Sato\tCurlew');
    await settle(fixture);
    const groups = () => textOf(element.querySelector('[aria-labelledby="groups-title"]'));
    expect(groups()).toContain('Curlew 1 new');
    expect(groups()).not.toContain('Dipper');
    await press(/^Same person, add to the group$/);
    expect(groups()).toContain('Dipper 1');
    await press(/^Add 2 people$/);
    const { request } = TestBed.inject(HttpTestingController).expectOne(({ url }) => url.endsWith('/members'));
    const { people } = request.body as { people: { id: string; known: boolean; name: string; groups: string[] }[] };
    expect(people.map(({ known, name, groups: of }) => [known, name, of])).toEqual([
      [true, 'Zoe Angstrom', ['Dipper']],
      [false, 'Jun Sato', ['Curlew']],
    ]);
    expect(people[0]!.id).toBe('z');
  });
});

describe('invitations', () => {
  const members = {
    people: [
      MORAG,
      person('a', 'Ana', { groups: ['c'] }),
      person('b', 'Bo', { wayIn: 'invitation-over' }),
      person('c', 'Chidi', { wayIn: 'invited', invitedUntil: '2026-05-17T10:00:00Z' }),
      person('x', 'Gone', { retired: '2026-04-01T00:00:00Z' }),
    ],
    groups: [{ id: 'c', name: 'Curlew', version: 1, retired: null }],
  };
  const shown = async (data: object = members) => {
    const view = await showView(InvitationsScreen, 'members', data, 'lead', {}, SCHOOL_CLOCK);
    const answer = async (id: string) => {
      const made = { link: `/invitation#${id}`, until: '2026-05-21T10:00:00Z', members };
      TestBed.inject(HttpTestingController)
        .expectOne(({ url }) => url.endsWith(`/${id}/invitation`))
        .flush(made);
      await settle(view.fixture);
    };
    return { ...view, ...controlsOf(view.fixture), answer };
  };

  it('are made one after another for whoever cannot sign in, and stand on slips', async () => {
    const { element, press, answer } = await shown();
    await press(/^Make 2 invitations$/);
    await answer('a');
    await answer('b');
    const slips = [...element.querySelectorAll('.slips li')].map(textOf);
    expect(slips).toHaveLength(2);
    expect(slips[0]).toMatch(/^Ana Curlew .*until Thu 21 May\. .*\/invitation#a$/);
    expect(element.querySelectorAll('.slips svg')).toHaveLength(2);
  });

  it('go by mail to those with an address where the installation sends any; the others get slips', async () => {
    const people = members.people.map((each) => (each.id === 'a' ? { ...each, mail: 'ana@fell.example' } : each));
    const { element, fixture, press, answer } = await shown({ ...members, people, mails: true });
    await press(/^Make 2 invitations$/);
    TestBed.inject(HttpTestingController)
      .expectOne(({ url }) => url.endsWith('/a/invitation/mail'))
      .flush({ until: '2026-05-21T10:00:00Z', members });
    await settle(fixture);
    await answer('b');
    expect([...element.querySelectorAll('.slips li')].map(textOf)).toEqual([expect.stringMatching(/^Bo/)]);
    expect(textOf(element)).toContain('One invitation went out by mail.');
  });

  it('leave out whom somebody leaves out, and keep those made when one is refused', async () => {
    const { element, press, tick, answer } = await shown();
    await tick(/^Bo/);
    await press(/^Make 1 invitation$/);
    await answer('a');
    expect(element.querySelectorAll('.slips li')).toHaveLength(1);
    TestBed.resetTestingModule();
    const again = await shown();
    await again.press(/^Make 2 invitations$/);
    await again.answer('a');
    TestBed.inject(HttpTestingController)
      .expectOne(({ url }) => url.endsWith('/b/invitation'))
      .flush({ problem: 'not-found', message: 'There is no such person.' }, { status: 404, statusText: 'no' });
    await settle(again.fixture);
    expect(again.element.querySelectorAll('.slips li')).toHaveLength(1);
    expect(textOf(again.element.querySelector('[role="alert"]'))).toBe('There is no such person.');
  });
});
