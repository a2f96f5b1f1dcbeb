import { say } from './said';
import { Unfit } from '../language';
import Papa from 'papaparse';
import { JOBS, SKILL_LEVELS, type SkillLevel } from '../inspection';
import { PHASES } from '../season';
import { COLONY_THINGS, type HoldingTerm, type WordedSkill, SKILL_PHASES, SKILL_RISKS } from '../skills';
import { spoken } from '../units';
import type { BadLine } from './weather-csv';

/** Parts of a list within one cell. */
const APART = ' | ';
const join = (parts: readonly string[]): string => parts.map((part) => part.replaceAll(/[\\|]/g, '\\$&')).join(APART);
/** Parts of a cell; `\\|` within a part is no border. */
const split = (cell: string): readonly string[] =>
  (cell.match(/(?:\\.|[^|\\])+/g) ?? [])
    .map((part) => part.trim().replaceAll(/\\([\\|])/g, '$1'))
    .filter((part) => part !== '');

type SoundsLike = `sounds like: ${SkillLevel}`;
/** The column that says what a level sounds like. In files ids are written as words, and read either way. */
const soundsLike = (level: SkillLevel) => `sounds like: ${spoken(level)}` as SoundsLike;

/** Columns of a checklist's file; only `id`, `name` and `phase` must be there. */
const CHECKLIST_COLUMNS = [
  'id',
  'name',
  'phase',
  'shown by',
  'faults',
  'needs',
  'season',
  'colony',
  'gear',
  'role',
  'risk',
  'gate',
  'indoors',
  'level',
  'times',
  'days',
  'colonies',
  'assessors',
  'lead',
  'months',
  'from practice',
  'within',
  'from',
  ...SKILL_LEVELS.map(soundsLike),
] as const;
type Column = (typeof CHECKLIST_COLUMNS)[number];
type Row = Readonly<Record<Column, string>>;

/**
 * A checklist as a table for a spreadsheet, one skill a line.
 *
 * @param skills skills in their order, in words
 * @returns text with a head; what is a list in a cell is parted by `|`, a bar within a part is written `\\|`
 */
export function checklistCsv(skills: readonly WordedSkill[]): string {
  const rows = skills.map((skill): Row => {
    const { rule, levels } = skill;
    const sounds = Object.fromEntries(SKILL_LEVELS.map((level) => [soundsLike(level), levels[level] ?? '']));
    return {
      id: skill.id,
      name: skill.name,
      phase: skill.phase,
      'shown by': skill.shownBy,
      faults: join(skill.faults),
      needs: join(skill.needs),
      season: skill.season === null ? 'any' : join(skill.season.map(spoken)),
      colony: join(skill.colony.map(spoken)),
      gear: join(skill.gear),
      role: skill.role,
      risk: skill.risk ?? '',
      gate: skill.gate ? 'yes' : 'no',
      indoors: skill.indoors ?? '',
      level: spoken(rule.level),
      times: `${rule.times}`,
      days: `${rule.days}`,
      colonies: `${rule.colonies}`,
      assessors: `${rule.assessors}`,
      lead: rule.lead ? 'yes' : 'no',
      months: rule.months === null ? 'for good' : `${rule.months}`,
      'from practice': `${rule.indoors}`,
      within: rule.within === null ? '' : `${rule.within}`,
      from: join(skill.from),
      ...(sounds as Readonly<Record<SoundsLike, string>>),
    };
  });
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true, columns: [...CHECKLIST_COLUMNS] });
}

/**
 * Reads a checklist from a table. Lines that cannot be read are told with what to do; the others are kept.
 *
 * @param text the file's text; comma, semicolon or tab
 * @returns skills in their order, and the lines that were left out
 * @throws Unfit when the head lacks a needed column or there is no line
 * @example readChecklistCsv('id,name,phase\nfinds-eggs,finds eggs,read').skills[0].rule.times // 1
 */
export function readChecklistCsv(text: string): {
  readonly skills: readonly WordedSkill[];
  readonly bad: readonly BadLine[];
} {
  const { data, meta } = Papa.parse<Partial<Record<string, string>>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    delimitersToGuess: [',', ';', '\t'],
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const lacking = (['id', 'name', 'phase'] as const).filter((column) => !meta.fields?.includes(column));
  if (lacking.length > 0) throw new Unfit(say('head-lacks', { columns: lacking }));
  const rows = data
    .map((row, index) => ({ row, line: index + 2 }))
    .filter(({ row }) => Object.values(row).some((cell) => typeof cell === 'string' && cell.trim() !== ''));
  if (rows.length === 0) throw new Unfit(say('no-skills'));
  const skills: WordedSkill[] = [];
  const bad: BadLine[] = [];
  for (const { row, line } of rows) {
    try {
      skills.push(readSkill((column) => (row[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '')));
    } catch (error) {
      if (!(error instanceof Unfit)) throw error;
      bad.push({ line, message: error.says });
    }
  }
  return { skills, bad };
}

type Cell = (column: Column) => string;

function readSkill(cell: Cell): WordedSkill {
  const id = cell('id').toLowerCase();
  if (!/^[a-z0-9-]{1,60}$/.test(id)) throw new Unfit(say('no-id', { cell: cell('id') }));
  if (cell('name') === '') throw new Unfit(say('no-name', { id }));
  const season = cell('season');
  return {
    id,
    name: cell('name'),
    phase: oneOf('phase', cell('phase'), SKILL_PHASES),
    shownBy: cell('shown by') || cell('name'),
    faults: split(cell('faults')),
    needs: split(cell('needs')),
    season: season === '' || season === 'any' ? null : split(season).map((each) => oneOf('season', each, PHASES)),
    colony: split(cell('colony')).map((each) => oneOf('colony', each, COLONY_THINGS)),
    gear: split(cell('gear')),
    role: oneOf('role', cell('role') || 'everybody', [...JOBS, 'everybody'] as const),
    risk: cell('risk') === '' ? null : oneOf('risk', cell('risk'), SKILL_RISKS),
    gate: yes('gate', cell('gate')),
    indoors: cell('indoors') || null,
    rule: {
      level: oneOf('level', cell('level') || 'alone', SKILL_LEVELS),
      times: whole('times', cell('times') || '1', 1, 20),
      days: whole('days', cell('days') || '1', 1, 20),
      colonies: whole('colonies', cell('colonies') || '1', 1, 10),
      assessors: whole('assessors', cell('assessors') || '1', 1, 5),
      lead: yes('lead', cell('lead')),
      months: holdingTerm(cell('months')),
      indoors: whole('from practice', cell('from practice') || '0', 0, 20),
      within: cell('within') === '' ? null : eighths(cell('within')),
    },
    levels: Object.fromEntries(
      SKILL_LEVELS.flatMap((level) => {
        const says = cell(soundsLike(level));
        return says === '' ? [] : [[level, says]];
      }),
    ),
    from: split(cell('from')),
  };
}

function oneOf<const T extends readonly string[]>(column: Column, text: string, of: T): T[number] {
  const found = of.find((each) => each === text.toLowerCase().replaceAll(' ', '-'));
  if (found === undefined) throw new Unfit(say('none-of', { text, column, of: of.map(spoken) }));
  return found;
}

function whole(column: Column, text: string, least: number, most: number): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < least || number > most)
    throw new Unfit(say('no-whole-number', { text, column, least, most }));
  return number;
}

function holdingTerm(text: string): HoldingTerm {
  if (text === 'season') return text;
  return text === 'for good' ? null : whole('months', text || '12', 1, 120);
}

function eighths(text: string): number {
  const number = Number(text.replace(',', '.'));
  if (!(number >= 0.25 && number <= 4)) throw new Unfit(say('no-eighths', { text }));
  return number;
}

function yes(column: Column, text: string): boolean {
  if (text !== '' && text !== 'yes' && text !== 'no') throw new Unfit(say('yes-or-no', { text, column }));
  return text === 'yes';
}
