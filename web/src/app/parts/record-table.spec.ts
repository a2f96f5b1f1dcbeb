import { signal } from '@angular/core';
import * as fc from 'fast-check';
import { recordTable } from './record-table';

interface Line {
  readonly hive: string;
  readonly kg: number | null;
}
const LINES: readonly Line[] = [
  { hive: '10', kg: 4 },
  { hive: '9', kg: null },
  { hive: '2b', kg: 12 },
  { hive: '2', kg: 4 },
];
const open = (lines: readonly Line[], size?: number) =>
  recordTable(signal(lines), { hive: ({ hive }) => hive, kg: ({ kg }) => kg }, size);
const hives = (table: ReturnType<typeof open>) => table.lines().map(({ hive }) => hive);

describe('a table of records', () => {
  it('keeps its order until a head is pressed, and takes it again after the third press', () => {
    const table = open(LINES);
    expect(hives(table)).toEqual(['10', '9', '2b', '2']);
    table.order.set({ active: 'hive', direction: 'asc' });
    expect(hives(table)).toEqual(['2', '2b', '9', '10']);
    table.order.set({ active: 'hive', direction: 'desc' });
    expect(hives(table)).toEqual(['10', '9', '2b', '2']);
    table.order.set({ active: 'hive', direction: '' });
    expect(hives(table)).toEqual(['10', '9', '2b', '2']);
  });

  it('lists what is not known last, upward and downward, and equals in the order they had', () => {
    const table = open(LINES);
    table.order.set({ active: 'kg', direction: 'asc' });
    expect(hives(table)).toEqual(['10', '2', '2b', '9']);
    table.order.set({ active: 'kg', direction: 'desc' });
    expect(hives(table)).toEqual(['2b', '10', '2', '9']);
  });

  it('shows a last page that is there, also when lines have gone meanwhile', () => {
    const lines = signal(LINES);
    const table = recordTable(lines, { hive: ({ hive }) => hive }, 2);
    table.page.set({ pageIndex: 1, pageSize: 2 });
    expect(hives(table as never)).toEqual(['2b', '2']);
    lines.set(LINES.slice(0, 1));
    expect(hives(table as never)).toEqual(['10']);
    lines.set([]);
    expect(hives(table as never)).toEqual([]);
  });

  it('shows every line on exactly one page, in any order', () => {
    const line = fc.record({ hive: fc.string(), kg: fc.option(fc.double({ noNaN: true })) });
    fc.assert(
      fc.property(
        fc.array(line),
        fc.integer({ min: 1, max: 7 }),
        fc.constantFrom('asc', 'desc', ''),
        (all, size, direction) => {
          const table = open(all, size);
          table.order.set({ active: 'kg', direction });
          const shown: Line[] = [];
          for (let pageIndex = 0; pageIndex * size < all.length; pageIndex++) {
            table.page.set({ pageIndex, pageSize: size });
            shown.push(...table.lines());
          }
          expect(shown).toHaveLength(all.length);
          expect(new Set(shown)).toEqual(new Set(all));
          const known = shown.flatMap(({ kg }) => (kg === null ? [] : [kg]));
          if (direction === 'asc') expect(known).toEqual([...known].sort((a, b) => a - b));
          expect(shown.slice(0, known.length).every(({ kg }) => kg !== null) || direction === '').toBe(true);
        },
      ),
    );
  });
});
