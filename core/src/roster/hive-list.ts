import type { RecordedQueen } from '../biology';
import { type HiveTypeId, type Stack, newStack } from '../equipment';
import { type HiveField, HIVE_FIELDS } from './hive-fields';
import { boxesOf, dayOf, queenOf, readBoxes, typeOf } from './hive-reading';
import { type ColumnRule, type Pasted, holdsSums, mostly } from './pasted';
import { say } from './said';
import { type Doubt, type RosterRow, type SettledRows, leaveOut, readRows } from './settle';

/** A hive as a list has it. */
export interface ListedHive {
  /** Which hive of the school it is, where it is there already. */
  readonly is: string | null;
  readonly number: string;
  readonly site: string;
  readonly stand: string;
  readonly type: HiveTypeId;
  readonly stack: Stack;
  readonly queen: RecordedQueen | null;
  readonly origin: string;
  /** Day since which the colony lives in it. */
  readonly since: string;
  readonly scale: string | null;
}

/** What the school has, beside which a list is read. */
export interface HivesOfSchool {
  readonly sites: readonly { readonly id: string; readonly name: string }[];
  readonly hives: readonly {
    readonly id: string;
    readonly number: string;
    readonly site: string;
    readonly retired: boolean;
  }[];
  readonly types: readonly { readonly id: HiveTypeId; readonly name: string }[];
  /** What a hive is where the list does not say. */
  readonly usual: HiveTypeId;
  /** Since when a colony is there where the list does not say. */
  readonly since: string;
  readonly today: string;
}

const [LONGEST_NUMBER, LONGEST_STAND, LONGEST_WORDS] = [10, 40, 80];
const A_QUEEN = /^('?\d\d|(19|20)\d\d)?[\s,;/-]*(white|yellow|red|green|blue)?([\s,;/-]*('?\d\d|(19|20)\d\d))?$/i;

/** How the columns of a list of hives are known, beside the sites of the school. */
export const hiveColumns = (sites: HivesOfSchool['sites']): readonly ColumnRule<HiveField>[] => [
  { field: 'site', heads: ['site', 'apiary', 'yard', 'location', 'standort', 'rucher', 'colmenar'] },
  { field: 'stand', heads: ['stand', 'row', 'pallet', 'bench'] },
  {
    field: 'place',
    heads: ['place', 'where', 'whereabouts', 'position'],
    holds: (cells) => mostly(cells, (cell) => siteIn(cell, sites) !== undefined),
  },
  { field: 'type', heads: ['type', 'hive type', 'kind', 'model', 'format', 'beute', 'ruche'] },
  {
    field: 'boxes',
    heads: ['boxes', 'brood supers', 'stack', 'kit'],
    holds: (cells) => mostly(cells, (cell) => (readBoxes(cell)?.supers ?? null) !== null),
  },
  { field: 'brood', heads: ['brood', 'brood boxes', 'broods', 'bb', 'deeps'] },
  { field: 'supers', heads: ['supers', 'super', 'honey supers', 'honey boxes', 'mediums'] },
  { field: 'frames', heads: ['frames', 'combs', 'frames per box'] },
  {
    field: 'queen',
    heads: ['queen', 'queen year', 'year', 'mark', 'marked', 'konigin', 'reine', 'reina'],
    holds: (cells) => mostly(cells, (cell) => A_QUEEN.test(cell) && /^'?(\d\d|\d{4})\b|[a-z]{3}/i.test(cell)),
  },
  { field: 'origin', heads: ['origin', 'from', 'source', 'came from', 'colony', 'bees'] },
  { field: 'since', heads: ['since', 'date', 'acquired', 'hived', 'start', 'in since'] },
  { field: 'feeder', heads: ['feeder', 'feeders', 'fed', 'feed', 'fds'] },
  { field: 'scale', heads: ['scale', 'scales', 'weight sensor'] },
  {
    field: 'number',
    heads: [
      'number',
      'no',
      'nr',
      'nummer',
      'numero',
      'hive',
      'hive no',
      'hive number',
      'hive id',
      'id',
      'tag',
      'stock',
      'volk',
    ],
    holds: (cells) =>
      new Set(cells).size >= 0.8 * cells.length &&
      mostly(cells, (cell) => /^[a-z]{0,3}[ .-]?\d{1,5}[a-z]?$/i.test(cell)),
  },
];

const small = (text: string): string => text.toLowerCase().replaceAll(/\s+/g, ' ').trim();

/** A site that a text begins with, whole or by a word that no other site has, and what follows it. */
function siteIn(
  text: string,
  sites: HivesOfSchool['sites'],
): { readonly id: string; readonly rest: string } | undefined {
  const wanted = small(text);
  const whole = sites
    .filter(
      ({ name }) =>
        wanted === small(name) || wanted.startsWith(`${small(name)} `) || wanted.startsWith(`${small(name)},`),
    )
    .toSorted((a, b) => b.name.length - a.name.length)[0];
  if (whole) return { id: whole.id, rest: restOf(text, small(whole.name).length) };
  const [first = ''] = wanted.split(/[\s,;/]+/);
  const having = sites.filter(({ name }) => small(name).split(' ').includes(first));
  return first !== '' && having.length === 1 ? { id: having[0]!.id, rest: restOf(text, first.length) } : undefined;
}
const restOf = (text: string, from: number): string =>
  text
    .trim()
    .replaceAll(/\s+/g, ' ')
    .slice(from)
    .replace(/^[\s,;/:-]+/, '')
    .replace(/^stand\s+/i, '');

type Cells = Readonly<Record<HiveField, string>>;

function placeOf(
  cells: Cells,
  { sites }: HivesOfSchool,
): { readonly site: string; readonly stand: string; readonly doubts: readonly Doubt<HiveField>[] } {
  const field = cells.place === '' ? 'site' : 'place';
  const text = cells[field];
  const found = siteIn(text, sites);
  const only = sites.length === 1 ? sites[0] : undefined;
  const rest = found ? found.rest : only && field === 'place' ? text : '';
  const stand = cells.stand || rest || 'A';
  if (found) return { site: found.id, stand, doubts: [] };
  // With one site a place says the stand, and nothing needs to be said about the site.
  if (only && (field === 'place' || text === '')) return { site: only.id, stand, doubts: [] };
  const answers = sites.slice(0, 6).map(({ name }) => ({
    says: say('at-site', { site: name }),
    then: { cells: field === 'place' ? { place: '', site: name, stand: cells.stand || text } : { site: name } },
  }));
  return {
    site: '',
    stand,
    doubts: [
      {
        id: 'site',
        field,
        says: say('no-site', { text }),
        answers: [...answers, leaveOut()],
        alike: `${field} ${text}`,
      },
    ],
  };
}

/**
 * Reads a list of hives: numbers, sites and stands, boxes, frames, queens, where the bees come from, feeders and scales, in columns of any names.
 * A number that the school has, or that stands in the list twice, is asked about, and so is what cannot be read.
 *
 * @param pasted the list
 * @param columns what each column is, `null` for one that is left out
 * @param settled what was said about rows
 * @param school its sites, hives and usual hive, and today's date there
 * @returns every row of the list, in its order
 */
export function readHiveList(
  pasted: Pasted,
  columns: readonly (HiveField | null)[],
  settled: SettledRows<HiveField>,
  school: HivesOfSchool,
): readonly RosterRow<HiveField, ListedHive>[] {
  const numbers = new Map<string, number>();
  const free = freeNumbers(pasted, columns, school);
  return readRows(pasted, columns, settled, HIVE_FIELDS, (cells, said, line) => {
    const number = cells.number.replace(/^(hive|no\.?|nr\.?|#)\s*/i, '').trim();
    const before = numbers.get(small(number));
    if (number !== '' && before === undefined) numbers.set(small(number), line);
    const place = placeOf(cells, school);
    const type = typeOf(cells.type, school.usual, school.types);
    const boxes = boxesOf(cells, type.is);
    const queen = queenOf(cells.queen, Number(school.today.slice(0, 4)));
    const since = dayOf(cells.since, school.today, school.since);
    const feeder = /^([1-9]|y(es)?|x|feeder)$/i.test(cells.feeder);
    const doubts = [
      ...numberDoubts(number, said.is === undefined ? school : null, before, free),
      ...place.doubts,
      ...type.doubts,
      ...boxes.doubts,
      ...queen.doubts,
      ...since.doubts,
      ...longCells({ number, stand: place.stand, origin: cells.origin, scale: cells.scale }),
    ];
    const fits = [...type.doubts, ...boxes.doubts].length === 0;
    return {
      doubts,
      read: {
        is: said.is ?? null,
        number,
        site: place.site,
        stand: place.stand,
        type: type.is,
        stack: fits ? newStack({ type: type.is, ...boxes.is, feeder }) : [],
        queen: queen.is,
        origin: cells.origin,
        since: since.is,
        scale: cells.scale === '' ? null : cells.scale,
      },
    };
  });
}

const longCells = (
  cells: Readonly<Record<'number' | 'stand' | 'origin' | 'scale', string>>,
): readonly Doubt<HiveField>[] =>
  (
    [
      ['number', LONGEST_NUMBER],
      ['stand', LONGEST_STAND],
      ['origin', LONGEST_WORDS],
      ['scale', LONGEST_WORDS],
    ] as const
  ).flatMap(([field, most]) =>
    cells[field].length <= most
      ? []
      : [
          {
            id: `long ${field}`,
            field,
            says: say('too-long', { cell: cells[field], most }),
            answers: [leaveOut<HiveField>()],
            alike: null,
          },
        ],
  );

/** Numbers that neither the school nor the list has, the next one first. */
function freeNumbers(pasted: Pasted, columns: readonly (HiveField | null)[], { hives }: HivesOfSchool): () => string {
  const column = columns.indexOf('number');
  const listed = pasted.rows.filter(({ cells }) => !holdsSums(cells)).map(({ cells }) => cells[column] ?? '');
  const taken = [...hives.map(({ number }) => number), ...listed].flatMap((text) => {
    const figure = /\d+/.exec(text)?.[0];
    return figure === undefined ? [] : [Number(figure)];
  });
  const first = Math.max(0, ...taken) + 1;
  let given = 0;
  return () => `${first + given++}`;
}

function numberDoubts(
  number: string,
  school: HivesOfSchool | null,
  before: number | undefined,
  free: () => string,
): readonly Doubt<HiveField>[] {
  const ask = (id: string, says: Doubt<HiveField>['says'], answers: Doubt<HiveField>['answers']) => [
    { id, field: 'number' as const, says, answers: [...answers, leaveOut<HiveField>()], alike: null },
  ];
  const other = () => {
    const next = free();
    return { says: say('make-it', { number: next }), then: { cells: { number: next } } };
  };
  if (number === '') return ask('number', say('no-number'), [other()]);
  if (before !== undefined) return ask('twice', say('number-twice', { number, line: before }), [other()]);
  const there = school?.hives.find((hive) => small(hive.number) === small(number));
  if (!there || !school) return [];
  if (there.retired) return ask('there', say('number-was-retired', { number }), [other()]);
  const site = school.sites.find(({ id }) => id === there.site)?.name ?? '';
  return ask('there', say('hive-is-there', { number: there.number, site }), [
    other(),
    { says: say('same-hive'), then: { is: there.id } },
  ]);
}

/** A sum that the list states, and what was read. */
export interface SumBeside {
  readonly of: 'hives' | 'brood' | 'supers' | 'feeders';
  readonly theirs: number;
  readonly read: number;
}

/**
 * The sums of a list beside what was read of it, to see whether something was misread.
 *
 * @param pasted the list, with a row of sums
 * @param columns what each column is
 * @param rows what was read
 * @returns one line for each sum that the list states; none without a row of sums
 */
export function sumsBeside(
  pasted: Pasted,
  columns: readonly (HiveField | null)[],
  rows: readonly RosterRow<HiveField, ListedHive>[],
): readonly SumBeside[] {
  const stated = pasted.rows.findLast(({ cells }) => holdsSums(cells));
  if (!stated) return [];
  const read = rows.flatMap((row) => row.read ?? []);
  const count = (role: RegExp) =>
    read.reduce((sum, { stack }) => sum + stack.filter(({ id, kind }) => kind === 'box' && role.test(id)).length, 0);
  const ours = {
    hives: read.length,
    brood: count(/^(brood box|body)/),
    supers: count(/^super/),
    feeders: read.filter(({ stack }) => stack.some(({ kind }) => kind === 'feeder')).length,
  };
  const figure = (text: string | undefined) => (text !== undefined && /^\d+$/.test(text) ? Number(text) : null);
  const at = (field: HiveField) => stated.cells[columns.indexOf(field)];
  const [, brood, supers] = /^(\d+)\s*[+/]\s*(\d+)$/.exec(at('boxes') ?? '') ?? [];
  // The word stands where the numbers do, and their count beside it.
  const beside = stated.cells[stated.cells.findIndex((cell) => holdsSums([cell])) + 1];
  const theirs = {
    hives: figure(at('number')) ?? figure(beside),
    brood: figure(brood) ?? figure(at('brood')),
    supers: figure(supers) ?? figure(at('supers')),
    feeders: figure(at('feeder')),
  };
  return (['hives', 'brood', 'supers', 'feeders'] as const).flatMap((of) =>
    theirs[of] === null ? [] : [{ of, theirs: theirs[of], read: ours[of] }],
  );
}
