import { say } from '../../words';
import { type Text, inOne, sameText } from '@brave-comb/core/language';
import type { Debrief } from '@brave-comb/contract';
import { type SideAddress, type VisitRecord, readClock, sideText } from '@brave-comb/core/inspection';
import { withoutFrameText } from '@brave-comb/core/planning';
import { clockAt } from '../../dates';
import type { NamedVisit } from '../../records/inspection';
import { type Trainee, wentUp } from './trainees';

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

/** What nobody did: those without a frame in hand, no reading given, skills that most still have to show. */
export function nobodyLines(
  groups: readonly Group[],
  openIn: (trainees: readonly string[]) => readonly { readonly name: Text; readonly open: readonly string[] }[],
): readonly Line[] {
  const lines = groups.flatMap(({ group, trainees }) => {
    const without = trainees.filter(({ withoutFrame }) => withoutFrame > 1);
    const silent = trainees.filter(({ off }) => off === null);
    const shown = trainees.flatMap(({ judged }) => judged.map(({ skill }) => skill));
    const open = openIn(trainees.map(({ id }) => id))
      .filter(
        (each) => each.open.length >= trainees.length * MUCH && !shown.some((skill) => sameText(skill, each.name)),
      )
      .slice(0, NAMED);
    return [
      ...without.map(({ name, withoutFrame }) => ({
        lead: name,
        text: say('first-next-time', { run: withoutFrameText(withoutFrame) }),
      })),
      ...open.map(({ name, open: who }) => ({
        lead: group,
        text: say('nobody-showed', { skill: name, open: who.length, of: trainees.length }),
      })),
      ...(silent.length > 0 && silent.length < trainees.length
        ? [{ lead: group, text: say('no-own-reading', { names: silent.map(({ name }) => name) }) }]
        : []),
    ];
  });
  // A group that opened two hives is told once.
  return [...new Map(lines.map((line) => [JSON.stringify(line), line])).values()];
}

/** The debrief in sentences, one after another: what was done, who went up, what went wrong, what comes next. */
export function aloudLines({
  groups,
  wrong,
  nobody,
  made,
}: {
  readonly groups: readonly Group[];
  readonly wrong: readonly Wrong[];
  readonly nobody: readonly Line[];
  readonly made: readonly { readonly text: Text }[];
}): readonly Text[] {
  return [
    ...groups.flatMap((group) => {
      // One step up for each: more is not heard.
      const up = group.trainees.flatMap(({ name, judged }) =>
        judged
          .filter(wentUp)
          .slice(0, 1)
          .map(({ skill, after }) => ({ name, skill, level: after })),
      );
      const near = group.trainees.filter(({ off }) => off !== null && off.eighths <= 1).map(({ name }) => name);
      return [
        say('group-at-hive', {
          group: group.group,
          hive: group.hive,
          supervisor: group.supervisor.name,
          says: group.says,
        }),
        ...(up.length > 0 ? [say('step-up', { up })] : []),
        ...(near.length > 0 ? [say('read-within-eighth', { near })] : []),
      ];
    }),
    ...(nobody.length > 0 ? [say('not-yet-done', { lines: nobody })] : []),
    wrong.length === 0 ? say('nothing-went-wrong') : say('went-wrong', { texts: wrong.map(({ text }) => text) }),
    ...(made.length > 0 ? [say('comes-next', { texts: made.map(({ text }) => text) })] : []),
    say('first-next-time-asked'),
  ];
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
