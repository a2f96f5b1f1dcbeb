import type { ComponentFixture } from '@angular/core/testing';
import { MAT_DIALOG_DATA } from '@angular/material/dialog';
import { type FrameSide, type Guard, parseSide } from '@brave-comb/core/inspection';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { GuardCard } from './cards/guard-card';
import { Choice } from './choice';
import { Count } from './count';
import { MarksPanel } from './marks-panel';

const button = (fixture: ComponentFixture<unknown>, name: string): HTMLButtonElement =>
  Array.from(elementOf(fixture).querySelectorAll('button')).find(
    (each) => (each.getAttribute('aria-label') ?? each.textContent).trim() === name,
  )!;

describe('a choice', () => {
  it('says what is chosen to eyes and to screen readers', async () => {
    const fixture = await show(Choice, { legend: 'Traffic', options: ['none', 'heavy'], value: 'heavy' });
    const told: string[] = [];
    fixture.componentInstance.chosen.subscribe((option) => told.push(option));
    expect(button(fixture, 'heavy').getAttribute('aria-pressed')).toBe('true');
    button(fixture, 'none').click();
    expect(told).toEqual(['none']);
  });
});

describe('a count', () => {
  const counts = async (value: number | null, step = 1) => {
    const fixture = await show(Count, { legend: 'Mites', value, step, most: 5 });
    const told: (number | null)[] = [];
    fixture.componentInstance.counted.subscribe((number) => told.push(number));
    const field = elementOf(fixture).querySelector('input')!;
    const enter = (text: string) => {
      field.value = text;
      field.dispatchEvent(new Event('change'));
    };
    return { fixture, told, enter };
  };

  it('steps up from nothing and down to its least', async () => {
    const { fixture, told } = await counts(null);
    button(fixture, 'Mites, more').click();
    button(fixture, 'Mites, less').click();
    expect(told).toEqual([1, 0]);
  });

  it('stays within its bounds, takes halves, and is empty again when cleared', async () => {
    const { told, enter } = await counts(4, 0.5);
    for (const text of ['9', '2.5', '', 'many']) enter(text);
    expect(told).toEqual([5, 2.5, null, null]);
  });
});

describe('marks of a side', () => {
  const marks = async (line: string) => {
    const fixture = await show(MarksPanel, { side: parseSide(line) });
    const told: FrameSide[] = [];
    fixture.componentInstance.changed.subscribe((side) => {
      told.push(side);
      fixture.componentRef.setInput('side', side);
    });
    return { fixture, told };
  };

  it('says what a mark looks like, and makes a suspect one doubtful', async () => {
    const { fixture, told } = await marks('4S 4H');
    button(fixture, 'sunken cappings').click();
    await fixture.whenStable();
    expect(told.at(-1)).toMatchObject({ marks: ['sunken-lids'], doubtful: true });
    expect(textOf(elementOf(fixture))).toContain('ropiness test');
    button(fixture, 'sunken cappings').click();
    expect(told.at(-1)).toMatchObject({ marks: [], doubtful: true });
  });

  it('counts a queen cell with what it holds and where it hangs, and says what that means', async () => {
    const { fixture, told } = await marks('8C');
    button(fixture, 'sealed cell').click();
    button(fixture, 'edge').click();
    await fixture.whenStable();
    expect(told.at(-1)).toMatchObject({ cells: 1, queenCells: [{ content: 'sealed', place: 'edge' }] });
    expect(textOf(elementOf(fixture))).toContain('preparing to swarm');
  });

  it('notes colours of pollen', async () => {
    const { fixture, told } = await marks('8P');
    button(fixture, 'orange').click();
    expect(told.at(-1)?.pollens).toEqual(['orange']);
  });
});

describe('what stands in the way', () => {
  const guards = async (...bars: Guard['bar'][]) => {
    const ask = {
      title: 'Before the lid comes off',
      goOn: 'Open anyway',
      guards: bars.map((bar) => ({ id: 'do-not-open', bar, says: `it ${bar}` })),
    };
    return show(GuardCard, {}, [{ provide: MAT_DIALOG_DATA, useValue: ask }]);
  };
  const goOn = (fixture: ComponentFixture<unknown>) => button(fixture, 'Open anyway');

  it('lets nobody past a bar', async () => {
    expect(goOn(await guards('bars', 'needs-a-reason'))).toBeUndefined();
  });

  it('lets somebody past with a reason only', async () => {
    const fixture = await guards('needs-a-reason');
    expect(goOn(fixture).disabled).toBe(true);
    const field = elementOf(fixture).querySelector('textarea')!;
    field.value = 'starving';
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(goOn(fixture).disabled).toBe(false);
  });

  it('lets everybody past a warning', async () => {
    expect(goOn(await guards('warns')).disabled).toBe(false);
  });
});
