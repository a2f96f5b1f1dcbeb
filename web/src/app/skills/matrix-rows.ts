import type { Output, endpoints } from '@brave-comb/contract';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { STANDING_STATES, type StandingState } from '@brave-comb/core/skills';
import { daysBetween } from '@brave-comb/core/units';
import { dateText } from '../ui/format';
import { levelPath } from './level-path';
import { named } from '../language/words';

export type Matrix = Output<(typeof endpoints)['traineeMatrix']>;
type MatrixTrainee = Matrix['groups'][number]['trainees'][number];

/** What the matrix brings out; the rest fades. */
export const MATRIX_FILTERS = ['blocks-sign-off', 'fading', 'nobody'] as const;
export type MatrixFilter = (typeof MATRIX_FILTERS)[number];

/** Days before its last day from which on a skill counts as fading. */
const FADES_WITHIN = 42;

export interface MatrixCell {
  readonly state: StandingState;
  readonly level: SkillLevel | null;
  readonly path: string;
  readonly filled: boolean;
  readonly open: boolean;
  readonly fading: boolean;
  readonly says: string;
}

export type MatrixRow =
  | { readonly kind: 'group'; readonly id: string; readonly name: string }
  | {
      readonly kind: 'trainee';
      readonly id: string;
      readonly name: string;
      readonly group: string;
      readonly open: number;
      readonly cells: readonly MatrixCell[];
    };

/** One cell as it is drawn and read out. */
function cellOf(
  [stateAt, levelAt, until]: MatrixTrainee['standings'][number],
  name: string,
  skill: string,
  today: string,
): MatrixCell {
  const state = STANDING_STATES[stateAt]!;
  const level = SKILL_LEVELS[levelAt] ?? null;
  const held = state === 'shown' || state === 'signed-off';
  const fading = state === 'due-again' || (held && until !== null && daysBetween(today, until) <= FADES_WITHIN);
  return {
    state,
    level,
    path: levelPath(level),
    filled: level === 'can-teach' && !fading,
    open: !held,
    fading,
    says: `${name}, ${skill}: ${named('standing', state)}${level ? `, ${named('skillLevel', level)}` : ''}${until ? $localize`, until ${dateText(until)}` : ''}`,
  };
}

/** The rows of the matrix: each group, then its trainees. */
export function rowsOf(matrix: Matrix, group: string | null): readonly MatrixRow[] {
  return matrix.groups
    .filter(({ id }) => group === null || id === group)
    .flatMap(({ id: groupId, name: groupName, trainees }): MatrixRow[] => [
      { kind: 'group', id: groupId, name: groupName },
      ...trainees.map(({ id, name, standings }): MatrixRow => {
        const cells = standings.map((cell, at) => cellOf(cell, name, matrix.skills[at]?.name ?? '', matrix.today));
        return { kind: 'trainee', id, name, group: groupName, open: cells.filter(({ open }) => open).length, cells };
      }),
    ]);
}

/** Whether a filter brings a cell out; `nobody` has the skills that no trainee has ever shown. */
export function standsOut(cell: MatrixCell, filter: MatrixFilter | null, nobody: boolean): boolean {
  switch (filter) {
    case 'blocks-sign-off':
      return cell.open;
    case 'fading':
      return cell.fading;
    case 'nobody':
      return nobody;
    default:
      return true;
  }
}

/** Weeks of this year that are left to show a skill in; a dash for any opening. */
export const weeksLeft = ({ seasonal, window }: Matrix['skills'][number], today: string): string => {
  if (!seasonal) return '–';
  if (window === null) return '0';
  return window.from > today
    ? $localize`in ${Math.ceil(daysBetween(today, window.from) / 7)}`
    : `${Math.ceil((daysBetween(today, window.to) + 1) / 7)}`;
};
