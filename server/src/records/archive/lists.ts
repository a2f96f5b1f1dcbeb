import type { LISTS } from '@brave-comb/contract';
import { LETTERS, type Measure, type VisitRecord, recordOf } from '@brave-comb/core/inspection';
import Papa from 'papaparse';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { dateAt, iso } from '../../dates';
import { entriesOf } from '../inspection';
import { audit } from '../people';
import {
  type ListedVisit,
  listedEvidence,
  listedTrainees,
  listedVisits,
  listedWeather,
  listedWeights,
} from './lists-store';

export type ListName = (typeof LISTS)[number];
type Cell = string | number | boolean | null;

const minutes = (from: string | null, to: Date | null): number | null =>
  from === null || to === null ? null : Math.round((to.getTime() - Date.parse(from)) / 60_000);
const where = ({ started_at, site, zone, hive }: ListedVisit): readonly Cell[] => [
  dateAt(zone, started_at),
  site,
  hive,
];

async function* ofVisits(
  db: Db,
  school: string,
  rows: (visit: ListedVisit, record: VisitRecord) => readonly (readonly Cell[])[],
) {
  for (const visit of await listedVisits(db, school)) yield* rows(visit, recordOf(await entriesOf(db, visit.id)));
}

/** What was measured: of how many, how many were found, or the figure with its unit. */
function measuredCells(measure: Measure): readonly Cell[] {
  switch (measure.what) {
    case 'mites-on-bees':
      return [measure.method, measure.bees, measure.mites, null, ''];
    case 'mites-in-drone-brood':
      return ['', measure.cells, measure.infested, null, ''];
    case 'weight':
      return [measure.how, null, null, measure.kg, 'kg'];
    case 'nest-temperature':
      return ['', null, null, measure.celsius, '°C'];
    case 'ropiness':
      return ['matchstick', null, null, measure.test.threadMm, 'mm'];
    case 'honey-moisture':
      return ['', null, null, measure.percent, '%'];
    case 'gap':
      return ['', null, null, measure.mm, 'mm'];
    case 'fresh-nectar':
      return [measure.test, null, null, Number(measure.wet), 'wet'];
    case 'wasps':
      return ['', null, null, measure.aMinute, 'a minute'];
    case 'stuck':
      return ['', null, null, measure.grade, 'grade'];
    case 'scraps':
      return ['', null, null, measure.kg, 'kg'];
  }
}
const partOf = (measure: Measure): string =>
  'part' in measure ? measure.part : 'box' in measure ? measure.box : 'between' in measure ? measure.between : '';

async function* mapped<T>(rows: AsyncIterable<T> | Iterable<T>, cells: (row: T) => readonly Cell[]) {
  for await (const row of rows) yield cells(row);
}

/** Each list: its head and its rows as they come. What was taken back at a hive is not in it. */
const MADE: Readonly<
  Record<ListName, { readonly head: readonly string[]; rows(db: Db, school: string): AsyncIterable<readonly Cell[]> }>
> = {
  visits: {
    head: [
      'date',
      'site',
      'hive',
      'begun',
      'closed',
      'minutes open',
      'group',
      'supervisor',
      'mood',
      'sides read',
      'stings',
    ],
    rows: (db, school) =>
      ofVisits(db, school, (visit, record) => [
        [
          ...where(visit),
          iso(visit.started_at),
          visit.closed_at && iso(visit.closed_at),
          minutes(record.openedAt, visit.closed_at),
          visit.trainee_group,
          visit.supervisor,
          visit.mood,
          Object.keys(record.sides).length,
          record.stings.length,
        ],
      ]),
  },
  'frame-sides': {
    head: ['date', 'site', 'hive', 'box', 'frame', 'side', ...LETTERS, 'bees', 'queen', 'cells', 'doubtful'],
    rows: (db, school) =>
      ofVisits(db, school, (visit, { sides }) =>
        Object.values(sides).map(({ address, side }) => [
          ...where(visit),
          address.box,
          address.frame,
          address.face,
          ...LETTERS.map((letter) => side.eighths[letter] ?? 0),
          side.bees,
          side.queen,
          side.cells,
          side.doubtful,
        ]),
      ),
  },
  samples: {
    head: ['date', 'site', 'hive', 'what', 'part', 'method', 'of', 'found', 'figure', 'unit'],
    rows: (db, school) =>
      ofVisits(db, school, (visit, { measures }) =>
        measures.map(({ measure }) => [...where(visit), measure.what, partOf(measure), ...measuredCells(measure)]),
      ),
  },
  weights: {
    head: ['date', 'site', 'hive', 'scale', 'kg'],
    rows: (db, school) =>
      mapped(listedWeights(db, school), ({ date, site, hive, scale, kg }) => [date, site, hive, scale, kg]),
  },
  trainees: {
    head: ['name', 'groups', 'mail', 'left'],
    rows: async function* (db, school) {
      yield* mapped(await listedTrainees(db, school), ({ name, groups, mail, retired_at }) => [
        name,
        groups,
        mail,
        retired_at && iso(retired_at).slice(0, 10),
      ]);
    },
  },
  evidence: {
    head: ['day', 'trainee', 'skill', 'level', 'source', 'hive', 'judged by', 'checklist', 'note'],
    rows: (db, school) =>
      mapped(listedEvidence(db, school), (row) => [
        row.day ?? iso(row.at).slice(0, 10),
        row.trainee,
        row.skill,
        row.level,
        row.source,
        row.hive,
        row.judged_by,
        row.version,
        row.note,
      ]),
  },
  weather: {
    head: ['date', 'site', 'low °C', 'high °C', 'rain mm', 'dew point °C'],
    rows: (db, school) =>
      mapped(listedWeather(db, school), (row) => [row.date, row.site, row.low, row.high, row.rain, row.dew_point]),
  },
};

/** A cell that a spreadsheet would take for a formula is told as text. */
const line = (cells: readonly Cell[]): string =>
  `${Papa.unparse([[...cells]], { newline: '\r\n', escapeFormulae: true })}\r\n`;

/**
 * A list of the school as CSV (RFC 4180, UTF-8 with its mark, so that spreadsheets read names right), line by line as it is read.
 *
 * @param name which list
 * @param address from where it is asked for, to be written down
 * @returns lines with their ends, the head first
 */
export async function listAsCsv(
  { db }: Context,
  actor: Actor,
  name: ListName,
  address: string,
): Promise<AsyncGenerator<string>> {
  await audit(db, { school: actor.school, person: actor.id, what: 'records-taken-out', about: `${name}.csv`, address });
  const list = MADE[name];
  return (async function* () {
    yield `\u{feff}${line(list.head)}`;
    for await (const row of list.rows(db, actor.school)) yield line(row);
  })();
}
