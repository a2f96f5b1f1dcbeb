import { say } from '../../words';
import { type Text, inOne, sameText } from '@brave-comb/core/language';
import type { Debrief } from '@brave-comb/contract';
import { type SideAddress, type VisitRecord, readClock, sideText } from '@brave-comb/core/inspection';
import { withoutFrameText } from '@brave-comb/core/planning';
import { clockAt } from '../../dates';
import type { NamedVisit } from '../../records/inspection';
import type { Trainee } from './trainees';

type Row = Debrief['groups'][number];
export type Group = Omit<Row, 'says' | 'trainees'> & { readonly says: Text; readonly trainees: readonly Trainee[] };
export interface Line {
  readonly lead: Text;
  readonly text: Text;
}
/** What went wrong, and when. */
export interface Wrong {
  readonly at: string;
  readonly text: Text;
}

export interface VisitFacts {
  readonly visit: NamedVisit;
  readonly record: VisitRecord;
  readonly allowedMinutes: number;
  readonly nameOf: (id: string) => string;
}

/** What went wrong in a visit, as it happened: stings, incidents, time overdrawn, warnings overruled. */
export function wrongLines({ visit, record, allowedMinutes, nameOf }: VisitFacts): readonly Wrong[] {
  const hive = visit.hive_number;
  const stung = new Map<string, number>();
  const stings = record.stings.map(({ at, person }) => {
    stung.set(person ?? '', (stung.get(person ?? '') ?? 0) + 1);
    const count = stung.get(person ?? '')!;
    const asked = record.stingsAskedAfter.filter((each) => each.person === person && each.at >= at).at(-1);
    const who = person === null ? null : nameOf(person);
    return { at, text: say('sting', { who, hive, count, reaction: asked?.reaction ?? null }) };
  });
  const incidents = record.incidents.map(({ at, what, text }) => ({
    at,
    text: say('incident', { what, hive, text }),
  }));
  const closed = record.closed?.at ?? null;
  const clock = readClock(
    record.openedAt === null ? null : Date.parse(record.openedAt),
    closed === null ? null : Date.parse(closed),
    closed === null ? visit.started_at.getTime() : Date.parse(closed),
    allowedMinutes,
  );
  const late = closed === null ? 0 : Math.round(-clock.left);
  return [
    ...stings,
    ...incidents,
    ...(late >= 1 && closed !== null ? [{ at: closed, text: say('shut-late', { hive, minutes: late }) }] : []),
    ...(record.partsOff.length > 0 && closed !== null
      ? [
          {
            at: closed,
            text: say('closed-parts-off', { hive, parts: record.partsOff }),
          },
        ]
      : []),
    ...record.overrides.map(({ at, guard, reason }) => ({
      at,
      text: say('overruled', { hive, guard, reason }),
    })),
  ].sort((a, b) => a.at.localeCompare(b.at));
}

/** What is left open: readings that differ, doubtful sides, questions without an answer. */
export function openLines({ visit, record }: VisitFacts, unanswered: readonly string[]): readonly Line[] {
  const named = (address: SideAddress) => sideText(address, visit.stack);
  const lead = say('hive', { hive: visit.hive_number });
  const doubtful = Object.values(record.sides).filter(({ side }) => side.doubtful);
  return [
    ...record.conflicts.map(({ address }) => ({
      lead,
      text: say('two-readings', { side: named(address) }),
    })),
    ...doubtful.map(({ address }) => ({ lead, text: say('side-doubtful', { side: named(address) }) })),
    ...unanswered.map((text) => ({ lead, text })),
    ...(record.closed === null ? [{ lead, text: say('visit-not-closed') }] : []),
  ];
}

/** Skills that are open for so much of a group are named when nobody showed them. */
const MUCH = 0.5;
const NAMED = 2;

/** What a group has still to do: who had no frame in hand, who gave no own reading, skills that most still have to show. */
export interface GroupGaps {
  readonly group: string;
  readonly without: readonly { readonly name: string; readonly run: number }[];
  readonly skills: readonly { readonly skill: Text; readonly open: number; readonly of: number }[];
  readonly silent: readonly string[];
}

/** What nobody did, group by group. */
export const gapsOf = (
  groups: readonly Group[],
  openIn: (trainees: readonly string[]) => readonly { readonly name: Text; readonly open: readonly string[] }[],
): readonly GroupGaps[] =>
  groups.map(({ group, trainees }) => {
    const silent = trainees.filter(({ off }) => off === null).map(({ name }) => name);
    const shown = trainees.flatMap(({ judged }) => judged.map(({ skill }) => skill));
    return {
      group,
      without: trainees
        .filter(({ withoutFrame }) => withoutFrame > 1)
        .map(({ name, withoutFrame }) => ({ name, run: withoutFrame })),
      skills: openIn(trainees.map(({ id }) => id))
        .filter(
          (each) => each.open.length >= trainees.length * MUCH && !shown.some((skill) => sameText(skill, each.name)),
        )
        .slice(0, NAMED)
        .map(({ name, open }) => ({ skill: name, open: open.length, of: trainees.length })),
      silent: silent.length < trainees.length ? silent : [],
    };
  });

/** The same line once: a group that opened two hives lacks the same at both. */
export const toldOnce = <L>(lines: readonly L[]): readonly L[] => [
  ...new Map(lines.map((line) => [JSON.stringify(line), line])).values(),
];

/** The same as lines to be read. */
export function nobodyLines(gaps: readonly GroupGaps[]): readonly Line[] {
  const lines = gaps.flatMap(({ group, without, skills, silent }): Line[] => [
    ...without.map(({ name, run }) => ({ lead: name, text: say('first-next-time', { run: withoutFrameText(run) }) })),
    ...skills.map((each) => ({ lead: group, text: say('nobody-showed', each) })),
    ...(silent.length > 0 ? [{ lead: group, text: say('no-own-reading', { names: silent }) }] : []),
  ]);
  return toldOnce(lines);
}

/** What a visit says of itself in one line. */
export function visitSays({ visit, record }: VisitFacts, rolesSwapped: number): Text {
  const sides = Object.keys(record.sides).length;
  return inOne(
    [
      say('sides', { count: sides }),
      ...(rolesSwapped > 0 ? [say('roles-swapped', { count: rolesSwapped })] : []),
      ...(record.closed && record.closed.reason !== 'question-answered'
        ? [say('stopped', { reason: record.closed.reason })]
        : []),
      ...(record.closed
        ? []
        : [
            say('open-since', {
              time: clockAt(visit.zone, record.openedAt === null ? visit.started_at : new Date(record.openedAt)),
            }),
          ]),
    ],
    ', ',
  );
}
