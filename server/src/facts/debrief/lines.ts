import { type Sayable, type Text, inOne } from '@brave-comb/core/language';
import type { Debrief } from '@brave-comb/contract';
import { type SideAddress, type VisitRecord, readClock, sideText } from '@brave-comb/core/inspection';
import { withoutFrameText } from '@brave-comb/core/planning';
import { upperFirst, spoken } from '@brave-comb/core/units';
import { iso } from '../../dates';
import type { NamedVisit } from '../../records/inspection';
import { wentUp } from './trainees';

type Group = Debrief['groups'][number];
type Line = Debrief['open'][number];

export interface VisitFacts {
  readonly visit: NamedVisit;
  readonly record: VisitRecord;
  readonly allowedMinutes: number;
  readonly nameOf: (id: string) => string;
}

const plural = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What went wrong in a visit, as it happened: stings, incidents, time overdrawn, warnings overruled. */
export function wrongLines({ visit, record, allowedMinutes, nameOf }: VisitFacts): Debrief['wrong'] {
  const hive = `hive ${visit.hive_number}`;
  const stung = new Map<string, number>();
  const stings = record.stings.map(({ at, person }) => {
    const who = person === null ? 'somebody' : nameOf(person);
    stung.set(who, (stung.get(who) ?? 0) + 1);
    const count = stung.get(who)!;
    const asked = record.stingsAskedAfter.filter((each) => each.person === person && each.at >= at).at(-1);
    const after = asked ? `, ${spoken(asked.reaction)}` : person === null ? '' : ', nobody asked after it';
    return { at, text: `Sting, ${who}, ${hive}${count > 1 ? `, number ${count}` : ''}${after}.` };
  });
  const incidents = record.incidents.map(({ at, what, text }) => ({
    at,
    text: `${what[0]!.toUpperCase()}${what.slice(1)}, ${hive}${text ? `: ${text}` : ''}.`,
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
    ...(late >= 1 && closed !== null ? [{ at: closed, text: `Hive ${visit.hive_number} shut ${late} min late.` }] : []),
    ...(record.partsOff.length > 0 && closed !== null
      ? [{ at: closed, text: `Hive ${visit.hive_number} closed with parts off: ${record.partsOff.join(', ')}.` }]
      : []),
    ...record.overrides.map(({ at, guard, reason }) => ({
      at,
      text: `Overruled at ${hive}: ${spoken(guard)}. ${reason}`,
    })),
  ].sort((a, b) => a.at.localeCompare(b.at));
}

/** What is left open: readings that differ, doubtful sides, questions without an answer. */
export function openLines({ visit, record }: VisitFacts, unanswered: readonly string[]): readonly Line[] {
  const named = (address: SideAddress) => sideText(address, visit.stack);
  const lead = `Hive ${visit.hive_number}`;
  const doubtful = Object.values(record.sides).filter(({ side }) => side.doubtful);
  return [
    ...record.conflicts.map(({ address }) => ({
      lead,
      text: `Two readings of ${named(address)}.`,
    })),
    ...doubtful.map(({ address }) => ({ lead, text: `${upperFirst(named(address))} is doubtful.` })),
    ...unanswered.map((text) => ({ lead, text })),
    ...(record.closed === null ? [{ lead, text: 'The visit is not closed.' }] : []),
  ];
}

/** Skills that are open for so much of a group are named when nobody showed them. */
const MUCH = 0.5;
const NAMED = 2;

/** What nobody did: those without a frame in hand, no reading given, skills that most still have to show. */
export function nobodyLines(
  groups: readonly Group[],
  openIn: (trainees: readonly string[]) => readonly { readonly name: string; readonly open: readonly string[] }[],
): readonly Line[] {
  const lines = groups.flatMap(({ group, trainees }) => {
    const without = trainees.filter(({ withoutFrame }) => withoutFrame > 1);
    const silent = trainees.filter(({ off }) => off === null);
    const shown = new Set(trainees.flatMap(({ judged }) => judged.map(({ skill }) => skill)));
    const open = openIn(trainees.map(({ id }) => id))
      .filter((each) => each.open.length >= trainees.length * MUCH && !shown.has(each.name))
      .slice(0, NAMED);
    return [
      ...without.map(({ name, withoutFrame }) => ({
        lead: name,
        text: `${withoutFrameText(withoutFrame)}: first next time.`,
      })),
      ...open.map(({ name, open: who }) => ({
        lead: group,
        text: `${name}: nobody, ${who.length} of ${trainees.length} have it open.`,
      })),
      ...(silent.length > 0 && silent.length < trainees.length
        ? [{ lead: group, text: `No own reading: ${silent.map(({ name }) => name).join(', ')}.` }]
        : []),
    ];
  });
  // A group that opened two hives is told once.
  return [...new Map(lines.map((line) => [`${line.lead} ${line.text}`, line])).values()];
}

/** The debrief in sentences, one after another: what was done, who went up, what went wrong, what comes next. */
export function aloudLines({
  groups,
  wrong,
  nobody,
  made,
}: Pick<Debrief, 'groups' | 'wrong' | 'nobody'> & Pick<Sayable<Debrief>, 'made'>): readonly Text[] {
  return [
    ...groups.flatMap((group) => {
      // One step up for each: more is not heard.
      const up = group.trainees.flatMap(({ name, judged }) =>
        judged
          .filter(wentUp)
          .slice(0, 1)
          .map(({ skill, after }) => `${name}: ${skill}, ${spoken(after)}`),
      );
      const near = group.trainees.filter(({ off }) => off !== null && off.eighths <= 1).map(({ name }) => name);
      return [
        `${group.group} at hive ${group.hive}, with ${group.supervisor.name}. ${group.says}`,
        ...(up.length > 0 ? [`A step up: ${up.join('; ')}.`] : []),
        ...(near.length > 0 ? [`Read within an eighth: ${near.join(', ')}.`] : []),
      ];
    }),
    ...(nobody.length > 0
      ? [`Not yet done: ${nobody.map(({ lead, text }) => `${lead}, ${text.replace(/\.$/, '')}`).join('; ')}.`]
      : []),
    wrong.length === 0
      ? 'Nothing went wrong.'
      : `What went wrong, without blame: ${wrong.map(({ text }) => text).join(' ')}`,
    ...(made.length > 0
      ? [
          inOne(
            [
              'Next: ',
              inOne(
                made.map(({ text }) => text),
                '; ',
              ),
              '.',
            ],
            '',
          ),
        ]
      : []),
    'What would each of you do first next time?',
  ];
}

/** What a visit says of itself in one line. */
export function visitSays({ visit, record }: VisitFacts, rolesSwapped: number): string {
  const sides = Object.keys(record.sides).length;
  return [
    plural(sides, 'side'),
    ...(rolesSwapped > 0 ? [`${plural(rolesSwapped, 'role')} swapped`] : []),
    ...(record.closed && record.closed.reason !== 'question-answered' ? [`stopped: ${record.closed.reason}`] : []),
    ...(record.closed
      ? []
      : [
          `open since ${iso(record.openedAt === null ? visit.started_at : new Date(record.openedAt)).slice(11, 16)} UTC`,
        ]),
  ].join(', ');
}
