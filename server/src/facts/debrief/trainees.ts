import type { Text } from '@brave-comb/core/language';
import type { Debrief } from '@brave-comb/contract';
import { LETTERS, type Job } from '@brave-comb/core/inspection';
import { jobsByFrame } from '@brave-comb/core/planning';
import { wrongEighths } from '@brave-comb/core/practice';
import { type Checklist, levelRank, type ReadingPair, skillOf } from '@brave-comb/core/skills';
import { meanOf } from '@brave-comb/core/statistics';
import type { NamedVisit } from '../../records/inspection';
import type { DemonstrationRow } from '../../records/skills';
import type { ColonyRead } from '../inspection';

type Row = Debrief['groups'][number]['trainees'][number];
type Judged = Omit<Row['judged'][number], 'skill'> & { readonly skill: Text };
export type Trainee = Omit<Row, 'judged'> & { readonly judged: readonly Judged[] };

/** When each frame of the box was first read on a side: by then it was in hand. */
function liftedAt({ record, box }: Pick<ColonyRead, 'record' | 'box'>): ReadonlyMap<number, string> {
  const first = new Map<number, string>();
  const note = (frame: number, at: string) => {
    const known = first.get(frame);
    if (known === undefined || at < known) first.set(frame, at);
  };
  for (const { address, at } of Object.values(record.sides)) if (address.box === box.id) note(address.frame, at);
  for (const { address, at } of record.traineeReadings) if (address.box === box.id) note(address.frame, at);
  return first;
}

/** What the trainees were judged by, and all that they have shown. */
interface TraineeFacts {
  readonly checklist: Checklist;
  readonly shown: readonly DemonstrationRow[];
}

/** What each trainee of a visit did, was judged in, and how far off the own reading was. */
export function traineeRows(
  visit: NamedVisit,
  read: ColonyRead,
  trainees: readonly { readonly id: string; readonly name: string }[],
  { checklist, shown }: TraineeFacts,
  pairs: readonly ReadingPair[],
  runs: ReadonlyMap<string, number>,
  nameOf: (id: string) => string,
): readonly Trainee[] {
  const frames = read.box.frames;
  const roles = jobsByFrame({ rota: visit.rota ?? [], given: read.record.roles, lifted: liftedAt(read), frames });
  return trainees.map(({ id, name }): Trainee => {
    const own = shown.filter(({ trainee }) => trainee === id);
    return {
      id,
      name,
      roles: [...(roles.get(id) ?? Array.from({ length: frames }, (): Job | null => null))],
      judged: own.filter((each) => each.visit === visit.id).map((each) => judgedRow(each, own, checklist, nameOf)),
      off: offOf(pairs.filter(({ trainee }) => trainee === id)),
      withoutFrame: runs.get(id) ?? 0,
    };
  });
}

/** A judgement of the visit beside the last one before it. */
function judgedRow(
  row: DemonstrationRow,
  own: readonly DemonstrationRow[],
  checklist: Checklist,
  nameOf: (id: string) => string,
): Judged {
  const before = own
    .filter(({ skill, at, visit }) => skill === row.skill && at < row.at && visit !== row.visit)
    .toSorted((a, b) => a.at.getTime() - b.at.getTime())
    .at(-1);
  return {
    skillId: row.skill,
    skill: skillOf(checklist, row.skill)?.name ?? row.skill,
    before: before?.level ?? null,
    after: row.level,
    by: row.judged_by === null ? '' : nameOf(row.judged_by),
    prompt: row.prompt,
    note: row.note,
  };
}

/** Whether a judgement went up. */
export const wentUp = ({ before, after }: Pick<Judged, 'before' | 'after'>): boolean =>
  levelRank(after) > (before === null ? -1 : levelRank(before));

/** Eighths off on the mean, and the content that was most off on all sides together. */
function offOf(pairs: readonly ReadingPair[]): Trainee['off'] {
  if (pairs.length === 0) return null;
  const by = LETTERS.map((letter) => ({
    letter,
    by: meanOf(pairs.map(({ read, reference }) => (read[letter] ?? 0) - (reference[letter] ?? 0))),
  }));
  const most = by.reduce((worst, each) => (Math.abs(each.by) > Math.abs(worst.by) ? each : worst));
  const moved = pairs.map(({ read, reference }) => wrongEighths(read, reference));
  return { eighths: meanOf(moved), letter: most.by === 0 ? null : most.letter, by: most.by, sides: pairs.length };
}
