import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOXES, HIVE_TYPES, type HiveTypeId, isBox, newStack, nestBoxes, supers } from '../src/equipment';
import {
  type HiveField,
  type HivesOfSchool,
  type KnownPerson,
  type PeopleField,
  PEOPLE_COLUMNS,
  type Settled,
  guessColumns,
  hiveColumns,
  readHiveList,
  readPasted,
  readPeopleList,
  settle,
  sumsBeside,
} from '../src/roster';
import { inEnglish } from '../src/words';
import { unfitBy } from './in-english';

const SCHOOL: HivesOfSchool = {
  sites: [
    { id: 'orchard', name: 'Home orchard' },
    { id: 'moor', name: 'Moor edge' },
  ],
  hives: [
    { id: 'h7', number: '7', site: 'orchard', retired: false },
    { id: 'h8', number: '8', site: 'orchard', retired: true },
  ],
  types: [
    { id: 'national', name: 'National' },
    { id: 'langstroth-10', name: 'Langstroth, 10 frames' },
    { id: 'langstroth-8', name: 'Langstroth, 8 frames' },
    { id: 'top-bar', name: 'Top-bar hive' },
  ],
  usual: 'national',
  since: '2026-04-01',
  today: '2026-05-14',
};
const rules = hiveColumns(SCHOOL.sites);
const settledBy = (said: Record<number, Settled<HiveField>> = {}) =>
  new Map(Object.entries(said).map(([line, each]) => [Number(line), each]));
const read = (text: string, said: Record<number, Settled<HiveField>> = {}, school = SCHOOL) => {
  const pasted = readPasted(text, rules);
  const columns = guessColumns(pasted, rules).map(({ field }) => field);
  return { pasted, columns, rows: readHiveList(pasted, columns, settledBy(said), school) };
};
const tabbed = (...lines: readonly string[]) => lines.map((line) => line.split(/ ?\| ?/).join('\t')).join('\n');
const asked = (rows: ReturnType<typeof read>['rows']) =>
  rows.flatMap(({ line, doubts }) =>
    doubts.map(
      ({ says, answers }) => `${line}: ${inEnglish(says)} [${answers.map((each) => inEnglish(each.says)).join(' / ')}]`,
    ),
  );

/** The list of the drawing: names of columns that nobody foresaw, and a row of sums. */
const ODD = tabbed(
  'Stock | Whereabouts | Kit (b+s) | Q | nice? | Paid £ | fds',
  '21 | moor edge C | 10 frames, 1 + 1 | 2025, blue | 1 “lovely” | 140 | –',
  '22 | moor edge C | 10 frames, 1 + 0 | 2024, green | 2 “ok” | 140 | 1',
  '29 | moor edge D | 10 frames, 1 + 2 | red 25 | 1 | 95 | –',
  '7 | orchard E | 11 frames, 1 + 0 | 2025, blue | 2 | 120 | –',
  '34 | orchard E | 11 frames, 1 + two? | 2025, blue | 1 | 120 | –',
  ' | | | | | | ',
  'TOTAL | 5 | 5 + 5 | | | 615 | 1',
);

describe('a list of hives from anybody’s spreadsheet', () => {
  it('tells the columns by their heads or by what stands in them', () => {
    const { pasted, columns } = read(ODD);
    expect(pasted.head?.[0]).toBe('Stock');
    expect(columns).toEqual(['number', 'place', 'boxes', 'queen', null, null, 'feeder']);
    expect(guessColumns(pasted, rules).map(({ sure }) => sure)).toEqual([true, true, false, false, false, false, true]);
  });

  it('asks about what it cannot know, and nothing else', () => {
    const { rows } = read(ODD);
    expect(rows.map(({ line, state }) => `${line} ${state}`)).toEqual([
      '2 ready',
      '3 ready',
      '4 to-settle',
      '5 to-settle',
      '6 to-settle',
      '8 left-out',
    ]);
    expect(asked(rows)).toEqual([
      '4: Red is the colour of 2023; 2025 is blue. [of 2023, red / of 2025, blue / It is so / Leave out]',
      '5: You have a hive 7 at Home orchard. [Make it 35 / Same hive, update it / Leave out]',
      '6: How many supers is “two?”? [2 / 0 / Leave out]',
    ]);
    expect(rows[0]!.read).toMatchObject({
      number: '21',
      site: 'moor',
      stand: 'C',
      type: 'national',
      queen: { year: 2025, marked: true },
      since: '2026-04-01',
    });
    expect(nestBoxes(rows[0]!.read!.stack).map(({ frames, dummy }) => [frames, dummy])).toEqual([[10, true]]);
    expect(rows[3]!.cells.place).toBe('orchard E');
  });

  it('is ready when every question is answered, and its sums then agree', () => {
    const first = read(ODD);
    const said = Object.fromEntries(
      first.rows
        .filter(({ doubts }) => doubts.length > 0)
        .map(({ line, doubts }) => [line, settle<HiveField>(undefined, doubts[0]!.answers[0]!.then)]),
    );
    const { pasted, columns, rows } = read(ODD, said);
    expect(asked(rows)).toEqual([]);
    expect(rows.flatMap((row) => row.read?.number ?? [])).toEqual(['21', '22', '29', '35', '34']);
    expect(sumsBeside(pasted, columns, rows)).toEqual([
      { of: 'hives', theirs: 5, read: 5 },
      { of: 'brood', theirs: 5, read: 5 },
      { of: 'supers', theirs: 5, read: 5 },
      { of: 'feeders', theirs: 1, read: 1 },
    ]);
    // Before that, what is still asked is missing from them.
    expect(sumsBeside(first.pasted, first.columns, first.rows)[2]).toEqual({ of: 'supers', theirs: 5, read: 1 });
  });

  it.each<[cell: string, brood: number, above: number, frames: number]>([
    ['1 + 2', 1, 2, 11],
    ['1+0', 1, 0, 11],
    ['2/1', 2, 1, 11],
    ['10 frames, 1 + 1', 1, 1, 10],
    ['1 brood 2 supers', 1, 2, 11],
    ['one brood box and two supers', 1, 2, 11],
    ['2b 1s', 2, 1, 11],
    ['double', 2, 0, 11],
    ['1', 1, 0, 11],
    ['9 fr.', 1, 0, 9],
    ['', 1, 0, 11],
    ['–', 1, 0, 11],
  ])('boxes “%s”: %i brood, %i supers, %i frames', (cell, brood, above, frames) => {
    const [row] = read(tabbed('number | site | boxes', `1 | Moor edge | ${cell}`)).rows;
    const stack = row!.read!.stack;
    expect([nestBoxes(stack).length, supers(stack).length, nestBoxes(stack)[0]!.frames]).toEqual([
      brood,
      above,
      frames,
    ]);
  });

  it.each<[cell: string, year: number | null, marked: boolean | null]>([
    ['2025, blue', 2025, true],
    ['blue 25', 2025, true],
    ["'24 green", 2024, true],
    ['green', 2024, true],
    ['white', 2026, true],
    ['2024', 2024, false],
    ['unmarked 2023', 2023, false],
    ['marked 2023', 2023, true],
    ['none', null, null],
    ['?', null, null],
    ['queenless', null, null],
    ['', null, null],
  ])('queen “%s”', (cell, year, marked) => {
    const [row] = read(tabbed('number | site | queen', `1 | Moor edge | ${cell}`)).rows;
    expect(row!.read!.queen).toEqual(year === null ? null : { year, marked });
  });

  it.each<[what: string, head: string, row: string, ...questions: string[]]>([
    ['no number', 'number | site', ' | Moor edge', '2: No number stands in this row. [Make it 9 / Leave out]'],
    [
      'a retired number',
      'number | site',
      '8 | Moor edge',
      '2: Hive 8 was retired; its number stays with its records. [Make it 9 / Leave out]',
    ],
    [
      'a site that is none',
      'number | site',
      '9 | by the pond',
      '2: “by the pond” is no site here. [Home orchard / Moor edge / Leave out]',
    ],
    ['no site', 'number | queen', '9 | blue', '2: At which site does it stand? [Home orchard / Moor edge / Leave out]'],
    [
      'a type of two',
      'number | site | type',
      '9 | Moor edge | Langstroth',
      '2: Which hive is “Langstroth”? [Langstroth, 10 frames / Langstroth, 8 frames / Leave out]',
    ],
    [
      'a type that is none',
      'number | site | type',
      '9 | Moor edge | bathtub',
      '2: Which hive is “bathtub”? [British National / Leave out]',
    ],
    [
      'too many frames',
      'number | site | frames',
      '9 | Moor edge | 12',
      '2: British National brood box takes 11 frames; 12 stand here. [11 / Leave out]',
    ],
    [
      'a second storey on a top-bar hive',
      'number | site | type | boxes',
      '9 | Moor edge | top bar | 1 + 1',
      '2: A horizontal hive is one body, without boxes above it. [1 / Leave out]',
    ],
    [
      'a year for boxes',
      'number | site | boxes',
      '9 | Moor edge | 2025 blue',
      '2: How many brood boxes is “2025 blue”? [1 / 2 / Leave out]',
    ],
    [
      'too many boxes',
      'number | site | boxes',
      '9 | Moor edge | 1 + 40',
      '2: How many supers is “40”? [0 / Leave out]',
    ],
    [
      'supers in words',
      'number | site | brood | supers',
      '9 | Moor edge | 1 | some',
      '2: How many supers is “some”? [0 / 1 / 2 / Leave out]',
    ],
    [
      'a queen to come',
      'number | site | queen',
      '9 | Moor edge | 2027',
      '2: 2027 is still ahead: no queen is of that year. [Not known / Leave out]',
    ],
    [
      'a queen of long ago',
      'number | site | queen',
      '9 | Moor edge | 2019',
      '2: A queen of 2019 would be 7 years old. [Not known / It is so / Leave out]',
    ],
    [
      'a queen in words',
      'number | site | queen',
      '9 | Moor edge | lovely',
      '2: “lovely” says neither a year nor a colour. [Not known / Leave out]',
    ],
    [
      'a day that is none',
      'number | site | since',
      '9 | Moor edge | 31.2.2026',
      '2: “31.2.2026” is no day: write it as in 2026-05-14 or 14.5.2026. [Since the usual day / Leave out]',
    ],
    [
      'a day ahead',
      'number | site | since',
      '9 | Moor edge | 2026-06-01',
      '2: 2026-06-01 is still ahead. [Since the usual day / Leave out]',
    ],
    [
      'a number of a page',
      'number | site',
      'the one behind the shed | Moor edge',
      '2: “the one behind the shed” is longer than 10 letters: shorten it in your list and paste again. [Leave out]',
    ],
  ])('%s is asked about', (_what, head, row, ...questions) => {
    expect(asked(read(tabbed(head, row)).rows)).toEqual(questions);
  });

  it('asks once for all rows that say the same, and gives no number twice', () => {
    const { rows } = read(tabbed('number | site', '9 | pond', '10 | pond', '10 | Moor edge', '9 | Moor edge'));
    expect(rows.map(({ doubts }) => doubts[0]!.alike)).toEqual(['site pond', 'site pond', null, null]);
    expect(asked(rows).slice(2)).toEqual([
      '4: Number 10 stands in row 3 too. [Make it 11 / Leave out]',
      '5: Number 9 stands in row 2 too. [Make it 12 / Leave out]',
    ]);
  });

  it('needs no site where the school has one, and takes what stands there for the stand', () => {
    const one = { ...SCHOOL, sites: SCHOOL.sites.slice(0, 1) };
    const { rows } = read(tabbed('number | whereabouts', '1 | B', '2 | '), {}, one);
    expect(rows.map((row) => [row.read?.site, row.read?.stand])).toEqual([
      ['orchard', 'B'],
      ['orchard', 'A'],
    ]);
  });

  it.each([
    ['1,Moor edge', null],
    ['number;site\n1;Moor edge', 'number'],
    ['"number","site"\n"1","Moor edge"', 'number'],
    ['\uFEFFnumber\tsite\r\n\r\n1\tMoor edge\r\n', 'number'],
  ])('is read however it is parted: %j', (text, head) => {
    const { pasted, rows } = read(text);
    expect(pasted.head?.[0] ?? null).toBe(head);
    expect(rows.map((row) => row.read?.number)).toEqual(['1']);
  });

  it('says when nothing stands there, and when it is too much at once', () => {
    expect(unfitBy(() => readPasted(' \n\t\n', rules))).toBe(
      'Nothing stands there yet: paste rows from a spreadsheet, or type one a line.',
    );
    const many = ['number', ...Array.from({ length: 2001 }, (_, at) => `${at}`)].join('\n');
    expect(unfitBy(() => readPasted(many, rules))).toBe('2000 rows at once; yours has 2001: paste in parts.');
  });
});

const KNOWN: readonly KnownPerson[] = [
  { id: 'p1', name: 'Morag Selkirk', role: 'lead' },
  { id: 'p2', name: 'Zoë Ångström', role: 'trainee' },
];
const people = (text: string, said: ReadonlyMap<number, Settled<PeopleField>> = new Map()) => {
  const pasted = readPasted(text, PEOPLE_COLUMNS);
  const columns = guessColumns(pasted, PEOPLE_COLUMNS).map(({ field }) => field);
  return { columns, rows: readPeopleList(pasted, columns, said, KNOWN) };
};
const askedOf = (text: string) =>
  people(text).rows.flatMap(({ line, doubts }) =>
    doubts.map(
      ({ says, answers }) => `${line}: ${inEnglish(says)} [${answers.map((each) => inEnglish(each.says)).join(' / ')}]`,
    ),
  );

describe('a list of people', () => {
  it('is read from two columns of a name, with odd heads and a column of no use', () => {
    const { columns, rows } = people(
      tabbed(
        'Surname | Given name | Paid? | E-mail | Which team',
        'Koskinen | Nadia | yes | nadia@brenna-fell.example | Dipper',
        'Zhao | Li Wen | no | | Dipper, Curlew',
      ),
    );
    expect(columns).toEqual(['last', 'first', null, 'mail', 'group']);
    expect(rows.map(({ read: each }) => each)).toEqual([
      {
        is: null,
        name: 'Nadia Koskinen',
        role: 'trainee',
        groups: ['Dipper'],
        mail: 'nadia@brenna-fell.example',
        emergency: null,
      },
      { is: null, name: 'Li Wen Zhao', role: 'trainee', groups: ['Dipper', 'Curlew'], mail: null, emergency: null },
    ]);
  });

  it('is read without any head: names, groups and roles by what they are', () => {
    const { columns, rows } = people(
      tabbed(
        'Nadia Koskinen | Dipper | trainee',
        'Chloe Daly | Dipper | student',
        'Jun Sato | Curlew | trainee',
        'Leilani Kealoha | Curlew | instructor',
      ),
    );
    expect(columns).toEqual(['name', 'group', 'role']);
    expect(rows.map((row) => row.read?.role)).toEqual(['trainee', 'trainee', 'trainee', 'supervisor']);
  });

  it.each([
    ['Koskinen, Nadia', 'Nadia Koskinen'],
    ['李文昭', '李文昭'],
    ['Ngozi  Adéọlá-Ọbásanjọ́', 'Ngozi Adéọlá-Ọbásanjọ́'],
    ['O’Brien', 'O’Brien'],
    ['Maria del Carmen Ruiz y Fernández de la Vega-Hernández von der Mühlen zu Altenstein', null],
    ['سلمى حداد', 'سلمى حداد'],
  ])('takes a name as it is: %s', (cell, name) => {
    const [row] = people(tabbed('name', cell)).rows;
    expect(row!.read?.name).toBe(name ?? cell);
  });

  it.each<[what: string, text: string, ...questions: string[]]>([
    [
      'somebody of the school, by case and accent',
      'name\nzoe angstrom',
      '2: Zoë Ångström is at the school already, as trainee. [Same person, add to the group / Another person / Leave out]',
    ],
    [
      'a name twice',
      'name\nJun Sato\njun  sato',
      '3: Jun Sato stands in row 2 too. [Two people of one name / Leave out]'.replace('Jun Sato', 'jun sato'),
    ],
    ['no name', 'name\tgroup\n\tDipper', '2: No name stands in this row. [Leave out]'],
    [
      'a role that is none',
      'name\trole\nJun Sato\tguest',
      '2: What is “guest” here? [trainee / supervisor / lead instructor / Leave out]',
    ],
    [
      'a mail address that is none',
      'name\tmail\nJun Sato\tjun at home',
      '2: “jun at home” is no mail address. [Without mail / Leave out]',
    ],
  ])('%s is asked about', (_what, text, ...questions) => {
    expect(askedOf(text)).toEqual(questions);
  });

  it('adds somebody to a group who was recognised, or another of that name', () => {
    const text = 'name\tgroup\nZoe Angstrom\tDipper';
    const [same, another] = people(text).rows[0]!.doubts[0]!.answers;
    const after = (then: Settled<PeopleField>) => people(text, new Map([[2, settle(undefined, then)]])).rows[0]!.read;
    expect(after(same!.then)).toMatchObject({ is: 'p2', groups: ['Dipper'] });
    expect(after(another!.then)).toMatchObject({ is: null, name: 'Zoe Angstrom' });
  });
});

describe('whatever is pasted', () => {
  const cell = fc.oneof(
    fc.constantFrom(
      '1',
      '7',
      '1 + 1',
      'blue 25',
      'Moor edge B',
      'national',
      'TOTAL',
      'some',
      '',
      '2027',
      '1 + 40',
      '2025 b',
      "'24",
    ),
    fc.string({ maxLength: 12 }).map((text) => text.replaceAll(/[\t\r\n"]/g, ' ')),
  );
  const table = fc.array(fc.array(cell, { minLength: 3, maxLength: 6 }), { minLength: 1, maxLength: 12 });

  it('every row of a list is read, asked about or left out, and answers come to an end', () => {
    fc.assert(
      fc.property(table, (cells) => {
        const text = cells.map((row) => row.join('\t')).join('\n');
        let pasted;
        try {
          pasted = readPasted(text, rules);
        } catch {
          return;
        }
        const columns = guessColumns(pasted, rules).map(({ field }) => field);
        const named = columns.filter((each) => each !== null);
        expect(new Set(named).size).toBe(named.length);
        const said = new Map<number, Settled<HiveField>>();
        for (let turn = 0; turn < 12; turn += 1) {
          const rows = readHiveList(pasted, columns, said, SCHOOL);
          expect(rows.map(({ line }) => line)).toEqual(pasted.rows.map(({ line }) => line));
          for (const row of rows) {
            expect(row.state === 'ready').toBe(row.read !== null);
            expect(row.state === 'to-settle').toBe(row.doubts.length > 0);
          }
          const open = rows.find(({ doubts }) => doubts.length > 0);
          if (!open) break;
          for (const row of rows.filter(({ doubts }) => doubts.length > 0))
            said.set(row.line, settle(said.get(row.line), row.doubts[0]!.answers[0]!.then));
        }
        const settled = readHiveList(pasted, columns, said, SCHOOL);
        expect(settled.flatMap(({ doubts }) => doubts)).toEqual([]);
        const added = settled.flatMap((row) => row.read ?? []).filter(({ is }) => is === null);
        const numbers = added.map(({ number }) => number.toLowerCase());
        expect(new Set(numbers).size).toBe(numbers.length);
        expect(numbers).not.toContain('7');
      }),
      { numRuns: 300 },
    );
  });

  it('a hive that is set up holds what was said, in boxes of its own type', () => {
    const types = Object.keys(HIVE_TYPES) as HiveTypeId[];
    fc.assert(
      fc.property(fc.constantFrom(...types), fc.nat(3), fc.nat(4), (type, more, above) => {
        const flat = HIVE_TYPES[type].horizontal;
        const stack = newStack({ type, brood: flat ? 1 : 1 + more, supers: flat ? 0 : above, frames: null });
        const boxes = stack.filter(isBox);
        expect(boxes).toHaveLength(flat ? 1 : 1 + more + above);
        for (const { box, frames } of boxes) {
          expect(HIVE_TYPES[type].boxes as readonly string[]).toContain(box);
          expect(frames).toBe(BOXES[box].frames);
        }
        expect(new Set(stack.map(({ id }) => id)).size).toBe(stack.length);
      }),
    );
  });
});
