import type { Said } from '../language';
import { say } from './said';
import { type ColumnRule, type Pasted, mostly } from './pasted';
import { type Doubt, type Reading, type RosterRow, type SettledRows, leaveOut, readRows } from './settle';

export type SchoolRole = 'lead' | 'supervisor' | 'trainee';
export const PEOPLE_FIELDS = ['name', 'first', 'last', 'role', 'group', 'mail', 'emergency'] as const;
export type PeopleField = (typeof PEOPLE_FIELDS)[number];

/** Somebody as a list has them. */
export interface ListedPerson {
  /** Whom of the school it is, for somebody who is there already. */
  readonly is: string | null;
  readonly name: string;
  readonly role: SchoolRole;
  /** Names of their groups. */
  readonly groups: readonly string[];
  readonly mail: string | null;
  readonly emergency: string | null;
}

/** Who is at the school already. */
export interface KnownPerson {
  readonly id: string;
  readonly name: string;
  readonly role: SchoolRole;
}

const [LONGEST_NAME, LONGEST_GROUP, LONGEST_NOTE] = [120, 60, 500];
const MAIL = /^[^\s@,;<>"]+@[^\s@,;<>"]+\.[^\s@,;<>"]+$/;

const ROLES: readonly (readonly [SchoolRole, readonly string[]])[] = [
  ['lead', ['lead', 'lead instructor', 'head', 'course leader', 'leiter', 'leiterin', 'kursleitung', 'responsable']],
  [
    'supervisor',
    ['supervisor', 'instructor', 'tutor', 'teacher', 'mentor', 'coach', 'staff', 'trainer', 'assistant', 'betreuer'],
  ],
  [
    'trainee',
    ['trainee', 'student', 'learner', 'beginner', 'apprentice', 'participant', 'pupil', 'schüler', 'lehrling', 'élève'],
  ],
];
const roleOf = (text: string): SchoolRole | undefined =>
  ROLES.find(([, words]) => words.includes(text.toLowerCase().replace(/s$/, '')))?.[0] ??
  ROLES.find(([, words]) => words.includes(text.toLowerCase()))?.[0];

/** How the columns of a list of people are known. */
export const PEOPLE_COLUMNS: readonly ColumnRule<PeopleField>[] = [
  {
    field: 'mail',
    heads: ['mail', 'email', 'e mail', 'mail address', 'email address', 'e mail address', 'courriel', 'correo'],
    holds: (cells) => mostly(cells, (cell) => MAIL.test(cell)),
  },
  {
    field: 'first',
    heads: ['first', 'first name', 'firstname', 'given name', 'forename', 'vorname', 'prenom', 'nombre de pila'],
  },
  { field: 'last', heads: ['last', 'last name', 'lastname', 'surname', 'family name', 'nachname', 'nom de famille'] },
  {
    field: 'name',
    heads: ['name', 'full name', 'who', 'person', 'trainee', 'trainees', 'student', 'participant', 'nom', 'nombre'],
    holds: (cells) =>
      new Set(cells).size >= 0.8 * cells.length && mostly(cells, (cell) => /^\p{L}\S+\s+\S/u.test(cell)),
  },
  {
    field: 'role',
    heads: ['role', 'roles', 'function', 'job', 'rolle', 'funktion'],
    holds: (cells) => mostly(cells, (cell) => roleOf(cell) !== undefined),
  },
  {
    field: 'group',
    heads: ['group', 'groups', 'team', 'class', 'set', 'cohort', 'gruppe', 'groupe', 'grupo'],
    holds: (cells) =>
      cells.length > 3 && new Set(cells).size <= cells.length / 2 && mostly(cells, (cell) => /^\p{L}/u.test(cell)),
  },
  {
    field: 'emergency',
    heads: ['emergency', 'emergency note', 'allergy', 'allergies', 'health', 'medical', 'notfall'],
  },
];

/** Names as they are compared: without case, accents and doubled spaces. */
const sound = (name: string): string =>
  name.toLowerCase().normalize('NFKD').replaceAll(/\p{M}/gu, '').replaceAll(/\s+/g, ' ').trim();

/** "Koskinen, Nadia" turned round. */
const turned = (name: string): string => {
  const [last, first, ...more] = name.split(',').map((part) => part.trim());
  return first && more.length === 0 ? `${first} ${last}` : name;
};

const nameOf = (cells: Readonly<Record<PeopleField, string>>): string =>
  (cells.name === '' ? `${cells.first} ${cells.last}` : turned(cells.name)).replaceAll(/\s+/g, ' ').trim();

const ROLE_WORD = { lead: say('lead'), supervisor: say('supervisor'), trainee: say('trainee') } as const;

/**
 * Reads a list of people of a course: names in one column or two, roles, groups, mail addresses and emergency notes. Whoever has no role is a
 * trainee. Somebody of a name that the school has already, or that stands in the list twice, is asked about.
 *
 * @param pasted the list
 * @param columns what each column is, `null` for one that is left out
 * @param settled what was said about rows
 * @param known who is at the school
 * @returns every row of the list, in its order
 */
export function readPeopleList(
  pasted: Pasted,
  columns: readonly (PeopleField | null)[],
  settled: SettledRows<PeopleField>,
  known: readonly KnownPerson[],
): readonly RosterRow<PeopleField, ListedPerson>[] {
  const there = new Map(known.map((person) => [sound(person.name), person]));
  const lines = new Map<string, number>();
  return readRows(pasted, columns, settled, PEOPLE_FIELDS, (cells, said, line) => {
    const name = nameOf(cells);
    const doubts: Doubt<PeopleField>[] = [];
    const before = lines.get(sound(name));
    if (name !== '' && before === undefined) lines.set(sound(name), line);
    doubts.push(...ofName(name, said.is === undefined ? there.get(sound(name)) : undefined, before));
    const role = cells.role === '' ? 'trainee' : roleOf(cells.role);
    if (role === undefined) doubts.push(ofRole(cells.role));
    const groups = cells.group
      .split(/[,;/+&]|\sand\s/)
      .map((each) => each.trim())
      .filter((each) => each !== '');
    const long = [...groups.filter((each) => each.length > LONGEST_GROUP)][0];
    if (long !== undefined)
      doubts.push(
        tooLong('group', long, LONGEST_GROUP, { says: say('without-group'), then: { cells: { group: '' } } }),
      );
    if (cells.emergency.length > LONGEST_NOTE) doubts.push(tooLong('emergency', cells.emergency, LONGEST_NOTE));
    if (cells.mail !== '' && !MAIL.test(cells.mail))
      doubts.push({
        id: 'mail',
        field: 'mail',
        says: say('no-mail', { text: cells.mail }),
        answers: [{ says: say('without-mail'), then: { cells: { mail: '' } } }, leaveOut()],
        alike: null,
      });
    const reading: Reading<PeopleField, ListedPerson> = {
      read: {
        is: said.is ?? null,
        name,
        role: role ?? 'trainee',
        groups: [...new Set(groups)],
        mail: cells.mail === '' ? null : cells.mail,
        emergency: cells.emergency === '' ? null : cells.emergency,
      },
      doubts,
    };
    return reading;
  });
}

function ofName(
  name: string,
  there: KnownPerson | undefined,
  before: number | undefined,
): readonly Doubt<PeopleField>[] {
  const doubt = (id: string, says: Said, answers: Doubt<PeopleField>['answers']): Doubt<PeopleField> => ({
    id,
    field: 'name',
    says,
    answers: [...answers, leaveOut()],
    alike: null,
  });
  if (name === '') return [doubt('name', say('no-name'), [])];
  if (name.length > LONGEST_NAME) return [tooLong('name', name, LONGEST_NAME)];
  if (before !== undefined)
    return [
      doubt('twice', say('named-twice', { name, line: before }), [
        { says: say('two-people'), then: { accepted: ['twice', 'there'] } },
      ]),
    ];
  if (there === undefined) return [];
  return [
    doubt('there', say('person-is-there', { name: there.name, as: ROLE_WORD[there.role] }), [
      { says: say('same-person'), then: { is: there.id } },
      { says: say('another-person'), then: { accepted: ['there'] } },
    ]),
  ];
}

const ofRole = (text: string): Doubt<PeopleField> => ({
  id: 'role',
  field: 'role',
  says: say('no-role', { text }),
  answers: [
    ...(['trainee', 'supervisor', 'lead'] as const).map((role) => ({
      says: ROLE_WORD[role],
      then: { cells: { role } },
    })),
    leaveOut<PeopleField>(),
  ],
  alike: `role ${text}`,
});

const tooLong = (
  field: PeopleField,
  cell: string,
  most: number,
  ...answers: Doubt<PeopleField>['answers']
): Doubt<PeopleField> => ({
  id: `long ${field}`,
  field,
  says: say('too-long', { cell: `${cell.slice(0, 40)}…`, most }),
  answers: [...answers, leaveOut()],
  alike: null,
});
