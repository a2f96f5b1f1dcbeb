import { TestBed } from '@angular/core/testing';
import { MAT_BOTTOM_SHEET_DATA, MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { parseSide } from '@brave-comb/core/inspection';
import { VisitDesk } from '../inspection/visit-desk';
import { elementOf } from '../../testing/show';
import { textOf } from '../../testing/text';
import { TRAINEES, showAtHive } from '../../testing/visit';
import { BeesSheet } from './cards/bees-sheet';
import { EnoughSheet } from './cards/enough-sheet';
import { FramesSheet } from './cards/frames-sheet';
import { smokeText } from './smoke-text';

type Shown = Awaited<ReturnType<typeof showAtHive>>;
/** A sheet from below, with what it answers when it closes. */
async function fromBelow(sheet: Parameters<typeof showAtHive>[0], data: unknown = null) {
  const answered: unknown[] = [];
  const ref = { dismiss: (answer?: unknown) => answered.push(answer ?? null) };
  const shown = await showAtHive(sheet, {}, {}, [
    { provide: MatBottomSheetRef, useValue: ref },
    { provide: MAT_BOTTOM_SHEET_DATA, useValue: data },
  ]);
  return { ...shown, answered };
}
const tap = async ({ fixture }: Pick<Shown, 'fixture'>, name: RegExp) => {
  const says = (each: HTMLElement) => (each.getAttribute('aria-label') ?? textOf(each)).replace(/\s+/g, ' ').trim();
  const found = [...elementOf(fixture).querySelectorAll('button')].find((each) => name.test(says(each)));
  if (!found) throw new Error(`no button ${String(name)}`);
  found.click();
  await fixture.whenStable();
};

describe('on a phone', () => {
  it('mood and smoke are one tap each, after which the sheet is gone', async () => {
    const shown = await fromBelow(BeesSheet);
    await tap(shown, /^lively$/);
    await tap(shown, /^Smoke/);
    expect(shown.entered()).toEqual([
      { kind: 'mood-noted', mood: 3 },
      { kind: 'smoke-given', place: 'over-the-frames' },
    ]);
    expect(shown.answered).toEqual([null, null]);
  });

  it('a sting asks who it was, and the sheet says how many there were', async () => {
    const shown = await fromBelow(BeesSheet);
    expect(textOf(elementOf(shown.fixture))).toContain('none today');
    TestBed.inject(VisitDesk).enter({ kind: 'sting-counted', person: TRAINEES[0]!.id });
    await shown.fixture.whenStable();
    expect(textOf(elementOf(shown.fixture))).toMatch(/1 today, the last Salma \d\d:\d\d/);
    await tap(shown, /^Sting: who/);
    expect(shown.answered).toEqual(['sting']);
  });

  it('what was undone can be redone', async () => {
    const shown = await fromBelow(BeesSheet);
    const desk = TestBed.inject(VisitDesk);
    desk.enter({ kind: 'mood-noted', mood: 2 });
    desk.undo();
    await shown.fixture.whenStable();
    await tap(shown, /^Redo/);
    expect(desk.mayRedo()).toBe(false);
  });

  it('every side of a box is a row; the super’s are there too', async () => {
    const shown = await fromBelow(FramesSheet);
    const side = { box: 'brood box', frame: 5, face: 'high' } as const;
    TestBed.inject(VisitDesk).enter({
      kind: 'frame-side-recorded',
      address: side,
      side: parseSide('3S 5H'),
      seen: null,
    });
    await shown.fixture.whenStable();
    const rows = [...elementOf(shown.fixture).querySelectorAll('.rows li')].map(textOf);
    expect(rows).toHaveLength(11);
    expect(rows[4]).toBe('Frame 5 toward 4 not read toward 6 read');
    await tap(shown, /^Frame 5, side toward 4/);
    expect(shown.answered).toEqual([{ ...side, face: 'low' }]);
    await tap(shown, /^super 1$/);
    expect(elementOf(shown.fixture).querySelectorAll('.rows li')).toHaveLength(10);
    await tap(shown, /^Frame 10, side toward the wall/);
    expect(shown.answered.at(-1)).toEqual({ box: 'super 1', frame: 10, face: 'high' });
  });

  it('what was seen is ticked on the sheet, which stays; stopping closes it', async () => {
    const ticked: unknown[] = [];
    const shown = await fromBelow(EnoughSheet, (tick: unknown) => ticked.push(tick));
    elementOf(shown.fixture).querySelector<HTMLElement>('[role=checkbox]')!.click();
    await shown.fixture.whenStable();
    expect(ticked).toHaveLength(1);
    expect(shown.answered).toEqual([]);
    await tap(shown, /^Close early/);
    expect(shown.answered).toEqual(['stopped']);
  });

  it.each([
    [null, 'none yet'],
    ['2026-05-14T12:10:00Z', 'just now'],
    ['2026-05-14T12:06:00Z', '4 min ago'],
    ['2026-05-14T12:10:50Z', 'just now'],
  ])('smoke given at %s was %s', (last, words) => {
    expect(smokeText(last, Date.parse('2026-05-14T12:10:10Z'))).toBe(words);
  });
});
