import type { ComponentFixture } from '@angular/core/testing';
import {
  type EntryBody,
  type VisitEntry,
  estimateColony,
  openingScript,
  parseSide,
  recordOf,
  seenEnough,
} from '@brave-comb/core/inspection';
import { elementOf, show } from '../../testing/show';
import { showAtHive } from '../../testing/visit';
import { MeasureCard } from './cards/measure-card';
import { StopCard } from './cards/stop-card';
import { EighthsBar } from './eighths-bar';
import { LetterPad } from './letter-pad';
import { OpenClock } from './open-clock';
import { SeenEnoughPanel } from './seen-enough';
import { SkillJudge } from './skill-judge';
import { SoFar } from './so-far';
import { StepList } from './step-list';
import { controlsOf } from '../../testing/controls';

const of = elementOf;
const text = (fixture: ComponentFixture<unknown>) => of(fixture).textContent.replace(/\s+/g, ' ').trim();
const buttons = (fixture: ComponentFixture<unknown>) => [...of(fixture).querySelectorAll('button')];

describe('the open clock', () => {
  const opened = '2026-05-14T12:00:00.000Z';
  const after = (minutes: number) => Date.parse(opened) + minutes * 60_000;
  const at = (now: number, more: object = {}) =>
    show(OpenClock, { openedAt: opened, now, allowed: 25, zone: 'Europe/London', ...more });

  it('counts what is left and names the times', async () => {
    const fixture = await at(after(14.5));
    expect(text(fixture)).toContain('Open 14 min 30 s');
    expect(text(fixture)).toContain('11 min left');
    expect(text(fixture)).toContain('close from 13:20');
    expect(text(fixture)).toContain('close by 13:25');
  });

  it('warns, then counts on past its end and locks nothing', async () => {
    expect(of(await at(after(21))).querySelector('.soon')).not.toBeNull();
    const late = await at(after(27));
    expect(of(late).querySelector('.late')).not.toBeNull();
    expect(text(late)).toContain('Open 27 min 00 s');
    expect(text(late)).toContain('close now');
  });

  it('stands still before opening and after closing', async () => {
    expect(text(await at(after(0), { openedAt: null }))).toContain('Not open yet');
    expect(text(await at(after(90), { closedAt: '2026-05-14T12:23:00.000Z' }))).toContain('Open 23 min 00 s');
  });
});

describe('the eighths bar', () => {
  it('has a segment for each eighth, says what is left and takes one back by a tap', async () => {
    const fixture = await show(EighthsBar, { side: parseSide('3S 2H') });
    const segments = [...of(fixture).querySelectorAll<HTMLButtonElement>('.segment')];
    expect(segments).toHaveLength(5);
    expect(text(fixture)).toContain('3 left');
    const back: string[] = [];
    fixture.componentInstance.takenBack.subscribe((letter) => back.push(letter));
    segments[4]?.click();
    expect(back).toEqual(['H']);
  });

  it('fills up to the open eighth that is tapped, with the letter before; without one it fills nothing', async () => {
    const open = async (last: 'S' | null) => {
      const fixture = await show(EighthsBar, { side: parseSide('3S'), last });
      const filled: number[] = [];
      fixture.componentInstance.filled.subscribe((more) => filled.push(more));
      const lefts = [...of(fixture).querySelectorAll<HTMLButtonElement>('.left')];
      lefts[1]!.click();
      lefts.at(-1)!.click();
      return { filled, names: lefts.map((each) => each.getAttribute('aria-label')) };
    };
    expect(await open('S')).toEqual({
      filled: [2, 5],
      names: [
        '1 more: sealed worker',
        '2 more: sealed worker',
        '3 more: sealed worker',
        '4 more: sealed worker',
        'All 5 left: sealed worker',
      ],
    });
    expect((await open(null)).filled).toEqual([]);
  });

  it('makes a ninth eighth stand out', async () => {
    const nine = { ...parseSide('8S'), eighths: { S: 8, N: 1 } };
    const fixture = await show(EighthsBar, { side: nine });
    expect(of(fixture).querySelectorAll('.ninth')).toHaveLength(1);
  });
});

describe('the letter pad', () => {
  it('has ten letters, counts the eighths of each and tells which was pressed', async () => {
    const fixture = await show(LetterPad, { side: parseSide('3S +E') });
    expect(buttons(fixture)).toHaveLength(10);
    const pressed: string[] = [];
    fixture.componentInstance.pressed.subscribe((letter) => pressed.push(letter));
    const sealed = buttons(fixture).find((each) => each.textContent.includes('sealed'));
    expect(sealed?.textContent).toMatch(/3\s*$/);
    sealed?.click();
    expect(pressed).toEqual(['S']);
    expect(buttons(fixture)[0]?.textContent).toMatch(/\+\s*$/);
  });
});

describe('a press on a letter', () => {
  const pad = async () => {
    const fixture = await show(LetterPad, { side: parseSide('3S') });
    const told: string[] = [];
    fixture.componentInstance.pressed.subscribe((letter) => told.push(`tap ${letter}`));
    fixture.componentInstance.held.subscribe((letter) => told.push(`hold ${letter}`));
    fixture.componentInstance.slid.subscribe(({ letter, eighths }) => told.push(`${eighths}${letter}`));
    const honey = buttons(fixture).find((each) => each.textContent.includes('honey'))!;
    honey.setPointerCapture = () => undefined;
    const at = (kind: string, clientX: number) =>
      honey.dispatchEvent(new PointerEvent(kind, { clientX, pointerId: 1 }));
    const up = (x: number) => {
      at('pointerup', x);
      honey.click();
    };
    return { fixture, told, at, up };
  };

  it('that is long takes all that is left and is no tap besides; a short one is a tap', async () => {
    const { told, at, up } = await pad();
    at('pointerdown', 100);
    await vi.waitFor(() => expect(told).toEqual(['hold H']), 2000);
    up(100);
    expect(told).toEqual(['hold H']);
    at('pointerdown', 100);
    up(104);
    expect(told).toEqual(['hold H', 'tap H']);
  });

  it('that slides sideways sets as many eighths as it is long, either way, and says how many before it is let go', async () => {
    const { fixture, told, at, up } = await pad();
    at('pointerdown', 100);
    at('pointermove', 145);
    await fixture.whenStable();
    expect(text(fixture)).toContain('2 H');
    expect(told).toEqual([]);
    at('pointermove', 170);
    up(170);
    at('pointerdown', 400);
    at('pointermove', 20);
    up(20);
    expect(told).toEqual(['3H', '8H']);
  });

  it('that slides back, or is taken by the page to scroll, is nothing', async () => {
    const { told, at, up } = await pad();
    at('pointerdown', 100);
    at('pointermove', 160);
    at('pointermove', 103);
    up(103);
    at('pointerdown', 100);
    at('pointermove', 160);
    at('pointercancel', 160);
    at('pointermove', 200);
    expect(told).toEqual([]);
  });
});

describe('the ropiness test', () => {
  it('opens without an answer, and nothing is kept before capping, larva, thread, smell and comb are answered', async () => {
    const { fixture, entered } = await showAtHive(MeasureCard);
    const card = of(fixture);
    const button = (name: string | RegExp) =>
      buttons(fixture).find((each) =>
        typeof name === 'string' ? each.textContent.trim() === name : name.test(each.textContent.trim()),
      )!;
    const press = async (name: string | RegExp) => {
      button(name).click();
      await fixture.whenStable();
    };
    await press(/ropiness|matchstick/);
    expect(card.querySelectorAll('fieldset .sel').length).toBeLessThanOrEqual(1);
    expect(button('Save').disabled).toBe(true);
    for (const legend of ['The capping is', 'The larva is', 'Foul smell']) {
      const set = [...card.querySelectorAll('fieldset')].find(
        (each) => each.querySelector('legend')?.textContent.trim() === legend,
      )!;
      set.querySelector('button')!.click();
      await fixture.whenStable();
      expect(button('Save').disabled).toBe(true);
    }
    expect(entered()).toEqual([]);
  });
});

describe('stopping early', () => {
  it('asks why before anything is said, and never offers that all was answered', async () => {
    const { fixture } = await showAtHive(StopCard);
    const names = buttons(fixture).map((each) => each.textContent.trim());
    expect(names).not.toContain('question answered');
    const stop = buttons(fixture).find((each) => each.textContent.includes('Stop and start closing'))!;
    expect(stop.disabled).toBe(true);
    buttons(fixture)[0]!.click();
    await fixture.whenStable();
    expect(stop.disabled).toBe(false);
  });
});

describe('seen enough', () => {
  it('prices what is missing and lets evidence be ticked by hand', async () => {
    const seen = seenEnough(recordOf([]), ['laying', 'health'], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: null,
      late: false,
    });
    const fixture = await show(SeenEnoughPanel, { seen });
    expect(text(fixture)).toContain('11 more frames, about 16 minutes, would answer it.');
    expect(text(fixture)).toContain('Close early and say why');
    const ticked: unknown[] = [];
    fixture.componentInstance.ticked.subscribe((each) => ticked.push(each));
    of(fixture).querySelector<HTMLButtonElement>('[role=checkbox]')?.click();
    expect(ticked).toEqual([{ evidence: 'eggs', seen: true }]);
  });

  it('says when it is enough', async () => {
    const fixture = await show(SeenEnoughPanel, {
      seen: { enough: true, evidence: [], framesToGo: 0, minutesToGo: 0 },
    });
    expect(text(fixture)).toContain('Your questions are answered.');
    expect(text(fixture)).toContain('Start closing');
  });
});

describe('estimates so far', () => {
  it('show bees only once they were counted', async () => {
    const none = await show(SoFar, { counted: estimateColony([]), estimate: estimateColony([]), sides: 22 });
    expect(text(none)).toContain('0 of 22 sides');
    // Nothing was read: nothing is known to be nought.
    expect(text(none)).toMatch(/Bees ?\? ?Brood ?\? ?Food, kg ?\? ?Pollen ?\?/);
    expect(text(none)).not.toMatch(/\b0(\.0)?$/);
    const one = estimateColony([{ frame: 'national-deep', side: parseSide('8S B8') }]);
    expect(text(await show(SoFar, { counted: one, estimate: one, sides: 22 }))).toMatch(/Bees ?0\.5/);
  });

  it('count what was read, which only grows, and give the whole as a range beside it', async () => {
    const sides = (count: number) =>
      Array.from({ length: count }, () => ({ frame: 'national-deep' as const, side: parseSide('8S B8') }));
    const whole = estimateColony([...sides(4), ...sides(18).map((each) => ({ ...each, spread: 3 }))]);
    const said = text(await show(SoFar, { counted: estimateColony(sides(4)), estimate: whole, sides: 22 }));
    expect(said).toMatch(/Brood ?2(\.0)? ?whole [\d.]+–[\d.]+/);
    const all = text(await show(SoFar, { counted: estimateColony(sides(22)), estimate: whole, sides: 22 }));
    expect(all).not.toContain('whole 1');
  });
});

describe('the step list', () => {
  const steps = openingScript(
    'national',
    [{ id: 'brood', kind: 'box', box: 'national-brood', frames: 11, dummy: true }],
    'brood',
  );
  const jobs = { frames: ['Salma', 'Piotr'], smoke: ['Ife'], record: ['Greta'], clock: [], watch: [] };

  it('shows the step, the one before and the next, and who does what', async () => {
    const fixture = await show(StepList, { steps, current: 'frames', jobs });
    expect(text(fixture)).toContain('step 6 of 10');
    expect(text(fixture)).toContain('Salma and Piotr hold, Greta records');
    expect(buttons(fixture)).toHaveLength(3);
    expect(of(fixture).querySelector('[aria-current=step]')?.textContent).toContain('Frames, both sides');
  });

  it('names who smokes while there is something to smoke', async () => {
    expect(text(await show(StepList, { steps, current: 'smoke', jobs }))).toContain('Ife smokes');
  });
});

describe('judging a skill', () => {
  const entryOf = (body: EntryBody): VisitEntry => ({ id: 'e1', at: '2026-05-14T12:00:00Z', by: 'ruth', body });
  const file = {
    trainees: [
      { id: 'salma', name: 'Salma' },
      { id: 'jun', name: 'Jun' },
    ],
    skills: [
      {
        id: 'finds-eggs',
        name: 'finds eggs',
        shownBy: 'points at them',
        says: ['Saw one.', 'Was helped.', 'Needed a word.', 'Found them alone.', 'Can teach it.'],
        open: ['salma'],
      },
      { id: 'sums-up', name: 'sums up', shownBy: 'heard', says: [], open: [] },
    ],
  };
  const suggested = { trainee: 'salma', skill: 'finds-eggs' };

  it('judges whom and what is shown', async () => {
    const fixture = await show(SkillJudge, { file, record: recordOf([]), suggested });
    const judged: unknown[] = [];
    fixture.componentInstance.judgedAs.subscribe((each) => judged.push(each));
    buttons(fixture)
      .find((each) => each.textContent.includes('alone'))
      ?.click();
    expect(judged).toEqual([{ trainee: 'salma', skill: 'finds-eggs', level: 'alone' }]);
  });

  it('says what the skill is shown by, and what the level that was tapped sounds like', async () => {
    const fixture = await show(SkillJudge, { file, record: recordOf([]), suggested });
    expect(text(fixture)).toContain('points at them');
    const judged = entryOf({ kind: 'skill-judged', trainee: 'salma', skill: 'finds-eggs', level: 'alone' });
    fixture.componentRef.setInput('record', recordOf([judged]));
    await fixture.whenStable();
    expect(text(fixture)).toContain('Found them alone.');
  });

  it('takes the first skill where the list has none of the suggested id', async () => {
    const fixture = await show(SkillJudge, {
      file,
      record: recordOf([]),
      suggested: { trainee: 'salma', skill: 'gone' },
    });
    expect(await controlsOf(fixture).chosen(/^Skill$/)).toBe('finds eggs');
  });

  it('keeps a choice made by hand when the same suggestion comes again', async () => {
    const fixture = await show(SkillJudge, { file, record: recordOf([]), suggested });
    buttons(fixture)
      .find((each) => each.getAttribute('aria-label') === 'Next trainee')
      ?.click();
    fixture.componentRef.setInput('file', { ...file });
    fixture.componentRef.setInput('suggested', { ...suggested });
    await fixture.whenStable();
    expect(await controlsOf(fixture).chosen(/^Trainee$/)).toBe('Jun');
  });
});
