import type { ComponentFixture } from '@angular/core/testing';
import { elementOf, show } from '../../testing/show';
import { EventForm, type LoggedEvent } from './event-form';
import { controlsOf } from '../../testing/controls';
import { SCHOOL_CLOCK } from '../../testing/school-clock';

describe('logging for a colony', () => {
  let fixture: ComponentFixture<EventForm>;
  let logged: LoggedEvent[];
  const field = (selector: string) => elementOf(fixture).querySelector<HTMLElement>(selector)!;
  const choose = (kind: string) => controlsOf(fixture).choose(/^What$/, kind);
  const fill = (name: RegExp, value: string) => controlsOf(fixture).write(name, value);
  const submit = async () => {
    field('button[type="submit"]').click();
    await fixture.whenStable();
  };

  beforeEach(async () => {
    fixture = await show(EventForm, { today: '2026-05-14', hive: '5' }, SCHOOL_CLOCK);
    logged = [];
    fixture.componentInstance.logged.subscribe((entry) => logged.push(entry));
  });

  it('logs a feed of today as it stands', async () => {
    await fill(/^kg$/, '3.5');
    await submit();
    expect(logged).toEqual([{ date: '2026-05-14', detail: { kind: 'feed', what: 'thin-syrup', kg: 3.5 } }]);
  });

  it('asks for what the label says of a treatment, with its cautions, and does not log it half', async () => {
    await choose('Treatment given');
    expect(elementOf(fixture).textContent).toMatch(/label: it, local law and the vet decide/);
    await submit();
    expect(logged).toEqual([]);
    expect(field('[role="alert"]').textContent).toMatch(/active ingredient/);
    await fill(/^Active ingredient/, 'oxalic acid, trickled');
    await submit();
    expect(logged).toEqual([]);
    expect(field('[role="alert"]').textContent).toMatch(
      /withdrawal for honey in days, from the label: 0 if it says none/,
    );
    await fill(/^Withdrawal/, '0');
    await submit();
    expect(logged[0]?.detail).toEqual({
      kind: 'treatment',
      medicine: 'oxalic acid, trickled',
      doses: 1,
      repeatAfter: null,
      removeAfter: null,
      withdrawal: 0,
      supersAllowed: false,
    });
  });

  it('takes out one of several medicines by its name, or all of them', async () => {
    fixture.componentRef.setInput('inHive', ['amitraz strips', 'thymol gel']);
    await choose('Treatment taken out');
    await submit();
    await controlsOf(fixture).choose(/^Which$/, 'thymol gel');
    await submit();
    expect(logged.map(({ detail }) => detail)).toEqual([
      { kind: 'treatment-out' },
      { kind: 'treatment-out', medicine: 'thymol gel' },
    ]);
  });

  it('warns of a super inside a withdrawal before it is logged', async () => {
    fixture.componentRef.setInput('honey', {
      superOnFrom: '2026-06-08',
      fedUntil: null,
      standing: [],
      unknown: [],
      locked: [],
      says: null,
    });
    await choose('Super put on');
    expect(field('[role="alert"]').textContent).toMatch(/may go on from 8 Jun.*not for people/);
    fixture.componentRef.setInput('honey', {
      superOnFrom: null,
      fedUntil: null,
      standing: [],
      unknown: [],
      locked: [],
      says: null,
    });
    await fixture.whenStable();
    expect(elementOf(fixture).querySelector('[role="alert"]')).toBeNull();
  });

  it('warns of a super while they are fed, and of a feed under supers', async () => {
    const honey = {
      superOnFrom: null,
      fedUntil: '2026-05-19',
      standing: ['super 1'],
      unknown: [],
      locked: [],
      says: null,
    };
    fixture.componentRef.setInput('honey', honey);
    await choose('Super put on');
    expect(field('[role="alert"]').textContent).toMatch(/storing feed until about 19 May.*feeder off first/);
    await choose('Fed');
    expect(field('[role="alert"]').textContent).toMatch(/super 1 stands on it.*not for people/);
    fixture.componentRef.setInput('honey', { ...honey, standing: [], fedUntil: null });
    await fixture.whenStable();
    expect(elementOf(fixture).querySelector('[role="alert"]')).toBeNull();
  });

  it('sends a suspicion to the inspector first', async () => {
    await choose('Suspicion of disease');
    expect(elementOf(fixture).textContent).toMatch(/call the bee inspector/);
  });

  it('takes no day that has not been yet', async () => {
    await fill(/^Day$/, '2026-05-20');
    await submit();
    expect(logged).toEqual([]);
    expect(field('[role="alert"]').textContent).toMatch(/in the future/);
  });

  it('sends only what belongs to the kind', async () => {
    await choose('Eggs seen: she is laying');
    await submit();
    await choose('Queen or queen cell');
    await submit();
    expect(logged.map((entry) => entry.detail)).toEqual([
      { kind: 'eggs-seen' },
      { kind: 'queen', start: 'cell-sealed' },
    ]);
  });
});
