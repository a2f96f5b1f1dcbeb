import { TestBed } from '@angular/core/testing';
import { MatDialog } from '@angular/material/dialog';
import { type EntryBody, parseSide } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Voice } from '../inspection/voice';
import { Clock } from '../people/clock';
import { elementOf } from '../../testing/show';
import { textOf } from '../../testing/text';
import { FILE, TRAINEES, showAtHive } from '../../testing/visit';
import { BeforePanel } from './before-panel';
import { DefectCard } from './cards/defect-card';
import { JudgementCard } from './cards/judgement-card';
import { NoteCard } from './cards/note-card';
import { PartCard } from './cards/part-card';
import { WaitingCard } from './cards/waiting-card';
import { movedCombs } from './moved-combs';
import { StingWatchStrip } from './sting-watch';

type Shown = Awaited<ReturnType<typeof showAtHive>>;

const press = async ({ fixture }: Pick<Shown, 'fixture'>, name: RegExp | string) => {
  const buttons = [...elementOf(fixture).querySelectorAll('button')];
  const says = (each: HTMLElement) => (each.getAttribute('aria-label') ?? each.textContent).replace(/\s+/g, ' ').trim();
  const found = buttons.find((each) => (typeof name === 'string' ? says(each) === name : name.test(says(each))));
  if (!found) throw new Error(`no button ${String(name)} among ${buttons.map(says).join(' | ')}`);
  found.click();
  await fixture.whenStable();
  return found;
};
const text = ({ fixture }: Pick<Shown, 'fixture'>) => textOf(elementOf(fixture));
const kinds = (entered: readonly EntryBody[]) => entered.map(({ kind }) => kind);

describe('defects and stray comb', () => {
  it('are noted with what helps for now and a date, the part being the box in work', async () => {
    const shown = await showAtHive(DefectCard);
    expect((await press(shown, 'Record it')).disabled).toBe(true);
    await press(shown, 'worn escape');
    await press(shown, /^use it once more/);
    await press(shown, 'two weeks');
    await press(shown, 'Record it');
    expect(shown.entered()).toEqual([
      {
        kind: 'defect-noted',
        part: 'brood box',
        defect: 'escape',
        forNow: 'use it once more with the worn side taped',
        until: 'two-weeks',
      },
    ]);
    expect(text(shown)).toContain('worn escape, brood box: noted');
  });

  it('start from the likeliest cause; another one can be said', async () => {
    const shown = await showAtHive(DefectCard);
    await press(shown, 'stray comb');
    await press(shown, 'fallen on the floor');
    expect(text(shown)).toContain('Look for the queen before you take it out');
    await press(shown, 'empty');
    await press(shown, 'earlier visit');
    await press(shown, 'left');
    await press(shown, 'Record it');
    expect(shown.entered()[0]).toMatchObject({ place: 'fallen-on-the-floor', cause: 'earlier-visit', removed: false });
  });
});

describe('parts of the hive', () => {
  it('shows where a super would stand, names it by the next free number, and keeps the reason', async () => {
    const shown = await showAtHive(PartCard);
    await press(shown, 'British National super');
    expect(elementOf(shown.fixture).querySelector('svg')?.getAttribute('aria-label')).toContain('super 2, super 1');
    const why = elementOf(shown.fixture).querySelector<HTMLInputElement>('input[type=text]')!;
    why.value = 'full seams';
    why.dispatchEvent(new Event('input'));
    await press(shown, /^super 2 put on super 1/);
    expect(shown.entered()).toEqual([
      {
        kind: 'stack-changed',
        reason: 'full seams',
        change: {
          do: 'add',
          on: 'super 1',
          layer: { id: 'super 2', kind: 'box', box: 'national-super', frames: 10, dummy: false },
        },
      },
    ]);
    // The next one goes on top of it.
    await press(shown, 'British National super');
    expect(text(shown)).toContain('super 3 put on super 2');
  });

  it('puts an escape below the supers and says which way up', async () => {
    const shown = await showAtHive(PartCard);
    await press(shown, 'escape board');
    expect(text(shown)).toContain('Exits point down');
    await press(shown, 'escape board put on excluder');
    expect(shown.entered()[0]).toMatchObject({ change: { on: 'excluder', layer: { kind: 'escape' } } });
  });

  it('bars nothing but says that bees will not leave brood through an escape', async () => {
    const shown = await showAtHive(PartCard);
    const body: EntryBody = {
      kind: 'frame-side-recorded',
      address: { box: 'super 1', frame: 2, face: 'low' },
      side: parseSide('3S 5H'),
      seen: null,
    };
    const entry = { id: '01a20000-0000-7000-8000-0000000000e1', at: '2026-05-14T12:15:00.000Z', by: 'ruth', body };
    shown.store.dispatch(InspectionEvents.entryMade({ entry }));
    await press(shown, 'escape board');
    expect(text(shown)).toContain('Brood in super 1: bees will not leave it');
  });

  it('takes a part away, and says why another cannot go', async () => {
    const shown = await showAtHive(PartCard);
    const takeAway = async (part: string) => {
      const group = [...elementOf(shown.fixture).querySelectorAll('fieldset')].find((each) =>
        each.textContent.includes('Take away'),
      )!;
      [...group.querySelectorAll('button')].find((each) => each.textContent.trim() === part)!.click();
      await shown.fixture.whenStable();
    };
    await takeAway('super 1');
    await press(shown, 'super 1 taken away');
    expect(shown.entered()[0]).toMatchObject({ change: { do: 'take', part: 'super 1' } });
    await takeAway('brood box');
    expect(text(shown)).toContain('The last box stays');
    expect((await press(shown, 'brood box taken away')).disabled).toBe(true);
  });
});

describe('after a sting', () => {
  const opened: unknown[] = [];
  const stung = async (minutes: number) => {
    const shown = await showAtHive(StingWatchStrip);
    opened.length = 0;
    TestBed.inject(MatDialog).open = ((card: unknown) => opened.push(card)) as never;
    const at = new Date(TestBed.inject(Clock).now() - minutes * 60_000).toISOString();
    const body = { kind: 'sting-counted' as const, person: TRAINEES[0]!.id };
    const entry = { id: '01a20000-0000-7000-8000-0000000000aa', at, by: 'ruth', body };
    TestBed.inject(Store).dispatch(InspectionEvents.entryMade({ entry }));
    await shown.fixture.whenStable();
    return shown;
  };

  it('says quietly whom to watch, and aloud when to ask', async () => {
    const early = await stung(2);
    expect(text(early)).toMatch(/Salma was stung 2 min ago.*Not alone for 28 min more/);
    expect(elementOf(early.fixture).querySelector('[role=alert]')).toBeNull();
    const late = await stung(12);
    expect(elementOf(late.fixture).querySelector('[role=alert]')?.textContent).toMatch(/Ask now/);
  });

  it('keeps the answer; one beyond the sting opens the emergency card', async () => {
    const shown = await stung(12);
    await press(shown, 'fine');
    expect(shown.entered().at(-1)).toEqual({ kind: 'sting-asked-after', person: TRAINEES[0]!.id, reaction: 'well' });
    expect(opened).toEqual([]);
    await press(shown, 'breath, faint, sick');
    expect(opened).toHaveLength(1);
    expect(text(shown)).toContain('Emergency card now');
  });
});

describe('a note without a pen', () => {
  it('is tapped or written, with its place while a frame is in hand', async () => {
    const shown = await showAtHive(NoteCard);
    await press(shown, 'Queen marked today');
    const at = '2026-05-14T12:15:00.000Z';
    const lifted = { kind: 'frame-lifted' as const, box: 'brood box', frame: 1 };
    const entry = { id: '01a20000-0000-7000-8000-0000000000ab', at, by: 'ruth', body: lifted };
    shown.store.dispatch(InspectionEvents.entryMade({ entry }));
    await shown.fixture.whenStable();
    await press(shown, 'Comb heavy, lift slowly');
    expect(shown.entered().flatMap((body) => (body.kind === 'note-written' ? [body.text] : []))).toEqual([
      'Queen marked today',
      'brood box, frame 1 toward the wall: Comb heavy, lift slowly',
    ]);
  });

  it('says in words when the device cannot listen', async () => {
    const shown = await showAtHive(NoteCard);
    await press(shown, 'Speak a note');
    expect(elementOf(shown.fixture).querySelector('[role=alert]')?.textContent).toMatch(/cannot record sound/);
    expect(TestBed.inject(Voice).since()).toBeNull();
  });
});

describe('what helped a trainee', () => {
  const judged = (level: 'alone' | 'helped', skill = 'finds-eggs') =>
    ({ kind: 'skill-judged', trainee: TRAINEES[0]!.id, skill, level }) as const;
  const entered = (shown: Shown, body: EntryBody, id: string) =>
    shown.store.dispatch(
      InspectionEvents.entryMade({ entry: { id, at: '2026-05-14T12:15:00.000Z', by: 'ruth', body } }),
    );

  it('goes to the judgement made last, level and all; nothing is asked when nobody was judged', async () => {
    const shown = await showAtHive(JudgementCard);
    expect(text(shown)).toContain('Nobody has been assessed in this visit yet');
    entered(shown, judged('alone', 'lifts-straight'), '01a20000-0000-7000-8000-0000000000d1');
    entered(shown, judged('helped'), '01a20000-0000-7000-8000-0000000000d2');
    await shown.fixture.whenStable();
    await press(shown, 'pointed');
    const note = elementOf(shown.fixture).querySelector('textarea')!;
    note.value = 'sun behind her';
    note.dispatchEvent(new Event('input'));
    await press(shown, 'Save with "helped"');
    expect(shown.entered().at(-1)).toEqual({ ...judged('helped'), prompt: 'pointed', note: 'sun behind her' });
  });
});

describe('before the lid comes off', () => {
  const TASK = {
    id: '01a20000-0000-7000-8000-000000000077',
    what: 'Repair: loose joint, floor',
    due: '2026-05-20',
    bring: null,
  };
  const colony = {
    origin: 'swarm',
    since: '2025-06-02',
    class: 'teaching' as const,
    tempers: [2],
    temperSays: 'Temper 2: suits novices.',
  };

  it('tells which colony it is, what to bring and what is to be done; done by a tap, undone by another', async () => {
    const shown = await showAtHive(BeforePanel, {}, { colony, tasks: [TASK], kit: ['a strap'], standing: null });
    expect(text(shown)).toMatch(/Hive 4 : swarm, here since 2 Jun 2025, kept for teaching/);
    expect(text(shown)).toContain('Beside you: a strap');
    await press(shown, /^Repair: loose joint/);
    await press(shown, /^Repair: loose joint.*done$/);
    expect(shown.entered()).toEqual([
      { kind: 'task-settled', task: TASK.id, done: true },
      { kind: 'task-settled', task: TASK.id, done: false },
    ]);
  });

  it('opens also on a file that an older version left on the device', async () => {
    expect(text(await showAtHive(BeforePanel))).toContain('How deep today');
  });
});

describe('what waits on the device', () => {
  it('is listed in words, oldest first', async () => {
    const shown = await showAtHive(WaitingCard);
    const made = (id: string, at: string, body: EntryBody) =>
      shown.store.dispatch(InspectionEvents.entryMade({ entry: { id, at, by: 'ruth', body } }));
    made('01a20000-0000-7000-8000-0000000000b1', '2026-05-14T12:15:00.000Z', { kind: 'mood-noted', mood: 2 });
    made('01a20000-0000-7000-8000-0000000000b2', '2026-05-14T12:16:00.000Z', { kind: 'part-taken-off', part: 'roof' });
    await shown.fixture.whenStable();
    const lines = [...elementOf(shown.fixture).querySelectorAll('ol li')].map(textOf);
    expect(lines).toEqual(['13:15 mood: easy', '13:16 part taken off: roof']);
    expect(kinds(shown.entered())).toEqual(['mood-noted', 'part-taken-off']);
  });
});

describe('combs that do not stand where they stood', () => {
  const [a, b, c] = FILE.combs[0]!.combs.map((comb) => ({ ...comb })).slice(0, 3) as never[];
  const found = { 'brood box': [a, b, c] as never[] };
  const lines = (boxes: object, away: readonly object[] = [], aside: readonly object[] = []) =>
    movedCombs(found, { boxes, away } as never, aside as never, 'brood box', [{ id: 'h7', number: '7' }]);

  it('are told one by one; those that only closed up are not', () => {
    expect(lines({ 'brood box': [a, b, c] })).toEqual([]);
    expect(
      lines({ 'brood box': [b, c] }, [{ comb: a, to: { in: 'hive', hive: 'h7', box: 'brood box', place: 1 } }]),
    ).toEqual(['1 went to hive 7']);
    expect(lines({ 'brood box': [b, a, c] })).toEqual(['1 hangs at place 2', '2 hangs at place 1']);
    expect(lines({ 'brood box': [a, c], 'super 1': [b] })).toEqual(['2 hangs in super 1']);
    expect(lines({ 'brood box': [a, b, c] }, [], [{ box: 'brood box', frame: 1, since: '' }])).toEqual([
      '1 stands beside the box',
    ]);
    expect(lines({ 'brood box': [a, b, { id: 'new', label: 'foundation x' }, c] })).toEqual([
      'foundation x came in at place 3',
    ]);
  });
});

describe('a hive of two brood boxes', () => {
  const second = { id: 'brood box 2', kind: 'box', box: 'national-brood', frames: 11, dummy: false } as const;
  const stack = FILE.stack.toSpliced(2, 0, second);

  it('is read from the upper one down; what stands above a lifted frame counts as off', async () => {
    const shown = await showAtHive(BeforePanel, {}, { stack });
    const address = shown.store.selectSignal(inspectionFeature.selectAddress);
    expect(address()).toMatchObject({ box: 'brood box 2', frame: 1 });
    TestBed.inject(VisitDesk).lift();
    expect(shown.entered().map((body) => ('part' in body ? body.part : body.kind))).toEqual([
      'roof',
      'super 1',
      'excluder',
      'box-opened',
      'frame-lifted',
    ]);
    shown.store.dispatch(InspectionEvents.sideChosen({ address: { box: 'brood box', frame: 1, face: 'low' } }));
    TestBed.inject(VisitDesk).lift();
    expect(shown.entered().slice(5)).toMatchObject([
      { kind: 'part-taken-off', part: 'brood box 2' },
      { kind: 'box-opened', box: 'brood box' },
      { kind: 'frame-lifted', box: 'brood box', frame: 1 },
    ]);
  });
});
