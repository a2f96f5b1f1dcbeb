import type { PlanBoard } from '@brave-comb/contract';
import {
  type Assignments,
  LOW_ODDS,
  type Marginal,
  OBJECTIVE_PARTS,
  type OpeningReason,
  type PlanLock,
  shortTitle,
} from '@brave-comb/core/planning';
import { skillName } from './plan-names';

export interface Token {
  readonly hive: string;
  readonly number: string;
  readonly pinned: boolean;
  /** Against the plan that is compared: in both, only in this one, only in that one. */
  readonly state: 'both' | 'here' | 'there';
  /** What it is mainly for. */
  readonly headline: string;
  /** Width of what it adds and of what it costs, 0 to 1. */
  readonly adds: number;
  readonly costs: number;
  readonly label: string;
}

export interface Cell {
  readonly slot: string;
  /** Null in the row of the staff. */
  readonly group: string | null;
  readonly tokens: readonly Token[];
  readonly supervisor: string;
  /** Why nobody of the row can come. */
  readonly away: string | null;
  readonly unsure: boolean;
}

export interface Row {
  readonly id: string | null;
  readonly name: string;
  readonly about: readonly string[];
  readonly cells: readonly Cell[];
}

export const cellKey = (group: string | null, slot: string) => `${group ?? 'staff'} ${slot}`;
/** An opening's own key: its cell and its hive. */
export const openingKey = (group: string | null, slot: string, hive: string) => `${cellKey(group, slot)} ${hive}`;

const openingsOf = ({ sessions, staff }: Assignments) => [
  ...sessions.flatMap(({ group, slot, hives }) => hives.map((hive) => ({ group, slot, hive }) as const)),
  ...staff.map(({ slot, hive }) => ({ group: null, slot, hive }) as const),
];

/**
 * The board as rows of cells.
 *
 * @param board groups, hives, pins
 * @param names what its things are called, by id
 * @param slots ids of the slots that are shown, in order
 * @param plan what is planned
 * @param other a plan to compare with, null for none
 * @param reasons what each opening adds, as far as it is known
 * @returns one row for each group, and the staff's
 */
export function rowsOf(
  board: PlanBoard,
  names: ReadonlyMap<string, string>,
  slots: readonly string[],
  plan: Assignments,
  other: Assignments | null,
  reasons: readonly OpeningReason[],
): readonly Row[] {
  const numbers = new Map(board.hives.map(({ id, number }) => [id, number]));
  const dues = new Map(board.hives.map(({ id, due }) => [id, due]));
  const fits = new Map(board.slots.map(({ id, fit }) => [id, fit]));
  const reasonOf = new Map(reasons.map((each) => [openingKey(each.group, each.slot, each.hive), each]));
  const sums = reasons.map(({ marginal }) => addsOf(marginal));
  const most = Math.max(1, ...sums);
  const isPinned = pinsOf(board.problem.locks);
  const there = new Set(
    (other === null ? [] : openingsOf(other)).map((each) => openingKey(each.group, each.slot, each.hive)),
  );
  const here = new Set(openingsOf(plan).map((each) => openingKey(each.group, each.slot, each.hive)));
  const shown = [
    ...openingsOf(plan),
    ...(other === null ? [] : openingsOf(other)).filter(
      (each) => !here.has(openingKey(each.group, each.slot, each.hive)),
    ),
  ];
  const byCell = new Map<string, (typeof shown)[number][]>();
  for (const each of shown) {
    const key = cellKey(each.group, each.slot);
    byCell.set(key, [...(byCell.get(key) ?? []), each]);
  }
  const leads = new Map(
    [...(other?.sessions ?? []), ...plan.sessions].map((each) => [cellKey(each.group, each.slot), each.supervisor]),
  );

  const tokenOf = (group: string | null, slot: string, hive: string): Token => {
    const key = openingKey(group, slot, hive);
    const reason = reasonOf.get(key);
    const number = numbers.get(hive) ?? '?';
    const headline = reason === undefined ? '' : headlineOf(reason, dues.get(hive) ?? null, board.skills);
    const state = other === null || (here.has(key) && there.has(key)) ? 'both' : here.has(key) ? 'here' : 'there';
    const pinned = isPinned(group, slot, hive);
    return {
      hive,
      number,
      pinned,
      state,
      headline,
      adds: reason === undefined ? 0 : addsOf(reason.marginal) / most,
      costs: reason === undefined ? 0 : (addsOf(reason.marginal) - reason.marginal.total) / most,
      label: [
        $localize`Hive ${number}`,
        group === null ? $localize`Staff` : (names.get(group) ?? ''),
        names.get(slot) ?? '',
        headline,
        pinned ? $localize`fixed` : '',
        state === 'here' ? $localize`would leave` : state === 'there' ? $localize`would come` : '',
      ]
        .filter(Boolean)
        .join(', '),
    };
  };
  const cellOf = (group: string | null, slot: string): Cell => ({
    slot,
    group,
    tokens: (byCell.get(cellKey(group, slot)) ?? []).map(({ hive }) => tokenOf(group, slot, hive)),
    supervisor: names.get(leads.get(cellKey(group, slot)) ?? '')?.split(' ')[0] ?? '',
    away: group === null ? null : (board.away[`${group} ${slot}`] ?? null),
    unsure: (fits.get(slot) ?? 0) < LOW_ODDS,
  });
  return [
    ...board.groups.map(({ id, name, size, openSkills }): Row => ({
      id,
      name,
      about: [$localize`${size} trainees`, $localize`${openSkills} skills open`],
      cells: slots.map((slot) => cellOf(id, slot)),
    })),
    {
      id: null,
      name: $localize`Staff`,
      about: [$localize`alone`, $localize`care only`],
      cells: slots.map((slot) => cellOf(null, slot)),
    },
  ];
}

/** Sum of what speaks for an opening. */
const addsOf = ({ parts }: Marginal) => OBJECTIVE_PARTS.reduce((sum, part) => sum + Math.max(0, parts[part]), 0);

function pinsOf(locks: readonly PlanLock[]): (group: string | null, slot: string, hive: string) => boolean {
  return (group, slot, hive) =>
    locks.some((lock) =>
      lock.staff === true
        ? group === null && lock.slot === slot && lock.hive === hive
        : lock.group === group &&
          lock.slot === slot &&
          ((lock.hives ?? []).length === 0 || lock.hives?.includes(hive) === true),
    );
}

function headlineOf({ marginal, skills }: OpeningReason, due: string | null, names: PlanBoard['skills']): string {
  const [first] = skills;
  const care = marginal.parts.care;
  if (due !== null && care > 0.5 && care >= (first?.points ?? 0)) return shortTitle(due);
  if (first !== undefined) return skillName(first.skill, names);
  return care > 0.5 ? $localize`its turn` : '';
}

/**
 * The rows with those that did not change taken from the rows before, so that only what changed is drawn again.
 *
 * @param before rows as they were
 * @param now rows as they are
 * @returns the new rows, made of old ones, and their cells, where they are alike
 */
export function keepAlike(before: readonly Row[], now: readonly Row[]): readonly Row[] {
  const old = new Map(before.map((row) => [row.id, row]));
  return now.map((row) => {
    const was = old.get(row.id);
    if (was === undefined) return row;
    const cells = row.cells.map((cell, at) => {
      const known = was.cells[at];
      return known !== undefined && alike(known, cell) ? known : cell;
    });
    const kept = cells.length === was.cells.length && cells.every((cell, at) => cell === was.cells[at]);
    return kept && row.name === was.name && row.about.join() === was.about.join() ? was : { ...row, cells };
  });
}

const alike = (a: Cell, b: Cell): boolean =>
  a.slot === b.slot &&
  a.supervisor === b.supervisor &&
  a.away === b.away &&
  a.unsure === b.unsure &&
  a.tokens.length === b.tokens.length &&
  a.tokens.every((token, at) => {
    const other = b.tokens[at]!;
    return (
      token.hive === other.hive &&
      token.label === other.label &&
      token.adds === other.adds &&
      token.costs === other.costs
    );
  });
