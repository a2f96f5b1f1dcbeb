import type { NewEntry } from '@brave-comb/contract';
import { type BoxLayer, type Stack, nestBoxes, partsAbove } from '@brave-comb/core/equipment';
import { type EntryBody, type FrameSide, type Letter, SKILL_LEVELS, parseSide } from '@brave-comb/core/inspection';
import { DEFAULT_CHECKLIST } from '@brave-comb/core/skills';
import type { DemoVisit } from '@brave-comb/demo';
import { DAY } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';

/** Days from the season's first session, to let trainees get better. */
const SEASON_START = Date.parse('2026-04-05T00:00:00Z');

/** Who opened the hive, and how much help they have left behind. */
export interface DemoGroup {
  readonly trainees: readonly string[];
  readonly ahead: number;
}

/** A demo visit as the entries that a device would have made, some seconds apart. */
export function visitEntries(
  visit: DemoVisit,
  stack: Stack,
  superBoxes: readonly BoxLayer[],
  group: DemoGroup,
  at: Date,
): NewEntry[] {
  const box = nestBoxes(stack)[0]!;
  const parts = partsAbove(stack, box.id).map((part) => part.id);
  const bodies: EntryBody[] = [
    {
      kind: 'outside-seen',
      when: 'before',
      look: { traffic: 'steady', pollenIn: true, deadBees: false, intruders: false, note: '' },
    },
    { kind: 'smoke-given', place: 'entrance' },
    ...parts.map((part): EntryBody => ({ kind: 'part-taken-off', part })),
    ...superReadings(visit, superBoxes),
    ...visit.frames.flatMap((frame, index): EntryBody[] =>
      (['low', 'high'] as const).flatMap((face) => {
        const side = frame[face];
        return side
          ? [
              {
                kind: 'frame-side-recorded',
                address: { box: box.id, frame: index + 1, face },
                side,
                seen: null,
              } as const,
            ]
          : [];
      }),
    ),
    ...hiddenReadings(visit, box.id, group, at),
    ...(visit.washed
      ? [{ kind: 'measured', measure: { what: 'mites-on-bees', method: 'alcohol-wash', ...visit.washed } } as const]
      : []),
    { kind: 'mood-noted', mood: visit.mood },
    ...Array.from({ length: visit.stings ?? 0 }, (): EntryBody => ({ kind: 'sting-counted', person: null })),
    ...judgements(visit, group, at),
    ...(visit.note ? [{ kind: 'note-written', text: visit.note } as const] : []),
    ...[...parts].reverse().map((part): EntryBody => ({ kind: 'part-put-back', part })),
    { kind: 'visit-closed', reason: 'question-answered', note: '' },
  ];
  const gap = (25 * 60_000) / bodies.length;
  return bodies.map((body, index) => ({
    id: uuid(),
    at: new Date(at.getTime() + Math.round(index * gap)).toISOString(),
    body: body,
  }));
}

/** Some trainees of the group read a side of the nest before they hear what it holds: each with a habit of their own. */
function hiddenReadings(visit: DemoVisit, box: string, { trainees, ahead }: DemoGroup, at: Date): EntryBody[] {
  const turn = Math.floor(at.getTime() / DAY);
  const nest = visit.frames.flatMap(({ low }, frame) =>
    low && (low.eighths.S ?? 0) >= 2 ? [{ frame, side: low }] : [],
  );
  return nest.slice(0, 4).flatMap(({ frame, side }, place): EntryBody[] => {
    const reader = (turn + place * 3) % trainees.length;
    const person = trainees[reader];
    if (person === undefined) return [];
    const eighths = misread(side.eighths, HABITS[(reader + ahead) % HABITS.length]!, turn + place);
    return [
      {
        kind: 'side-read-by-trainee',
        person,
        address: { box, frame: frame + 1, face: 'low' },
        side: { ...side, eighths },
      },
    ];
  });
}

/** What somebody takes for something else, and how often: one in so many sides is read right. */
const HABITS: readonly (readonly [from: Letter, to: Letter, right: number])[] = [
  ['E', 'S', 3],
  ['N', 'C', 2],
  ['L', 'E', 2],
  ['P', 'H', 3],
  ['S', 'H', 2],
];

function misread(
  eighths: FrameSide['eighths'],
  [from, to, right]: (typeof HABITS)[number],
  turn: number,
): FrameSide['eighths'] {
  if (turn % right === 0) return turn % 2 === 0 ? shifted(eighths, 'H', 'N') : eighths;
  return shifted(turn % 5 === 0 ? shifted(eighths, 'S', 'L') : eighths, from, to);
}

/** One eighth of one thing taken for another, where there is any. */
function shifted(eighths: FrameSide['eighths'], from: Letter, to: Letter): FrameSide['eighths'] {
  const there = eighths[from] ?? 0;
  if (there === 0) return eighths;
  const { [from]: _, ...others } = eighths;
  return { ...others, ...(there > 1 ? { [from]: there - 1 } : {}), [to]: (eighths[to] ?? 0) + 1 };
}

const superReadings = (visit: DemoVisit, boxes: readonly BoxLayer[]): EntryBody[] =>
  boxes.flatMap((box, index) => {
    const [honey, nectar] = visit.supers?.[index] ?? [0, 0];
    if (honey + nectar === 0) return [];
    const side = parseSide(`${honey}H ${nectar}N *C`);
    return Array.from({ length: box.frames }, (_, frame) => frame + 1).flatMap((frame) =>
      (['low', 'high'] as const).map((face): EntryBody => ({
        kind: 'frame-side-recorded',
        address: { box: box.id, frame, face },
        side,
        seen: null,
      })),
    );
  });

/** Each visit judges a few skills of a few trainees; who comes later in the group and later in the season is further on. */
function judgements(visit: DemoVisit, { trainees, ahead }: DemoGroup, at: Date): EntryBody[] {
  const week = Math.floor((at.getTime() - SEASON_START) / (7 * DAY));
  const hive = Number(visit.hive);
  const { skills } = DEFAULT_CHECKLIST;
  return trainees.flatMap((trainee, index): EntryBody[] =>
    [0, 1, 2, 3].map((turn) => {
      const skill = skills[(hive * 3 + index * 5 + turn * 7 + week) % skills.length]!;
      const hard = skill.phase === 'read' || skill.phase === 'judge' ? 1 : 0;
      const level = Math.max(0, Math.min(4, Math.floor((week + index + turn) / 4) + ahead - hard));
      return { kind: 'skill-judged', trainee, skill: skill.id, level: SKILL_LEVELS[level]! };
    }),
  );
}
