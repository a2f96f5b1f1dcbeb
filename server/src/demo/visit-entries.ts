import type { NewEntry } from '@brave-comb/contract';
import type { DemoVisit } from '@brave-comb/demo';
import { type BoxLayer, type Stack, nestBoxes, partsAbove } from '@brave-comb/core/equipment';
import { type EntryBody, SKILL_LEVELS, parseSide } from '@brave-comb/core/inspection';
import { DEFAULT_CHECKLIST } from '@brave-comb/core/skills';
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
      kind: 'outside seen',
      when: 'before',
      look: { traffic: 'steady', pollenIn: true, deadBees: false, intruders: false, note: '' },
    },
    { kind: 'smoke given', place: 'entrance' },
    ...parts.map((part): EntryBody => ({ kind: 'part taken off', part })),
    ...superReadings(visit, superBoxes),
    ...visit.frames.flatMap((frame, index): EntryBody[] =>
      (['low', 'high'] as const).flatMap((face) => {
        const side = frame[face];
        return side
          ? [
              {
                kind: 'frame side recorded',
                address: { box: box.id, frame: index + 1, face },
                side,
                seen: null,
              } as const,
            ]
          : [];
      }),
    ),
    { kind: 'mood noted', mood: visit.mood },
    ...Array.from({ length: visit.stings ?? 0 }, (): EntryBody => ({ kind: 'sting counted', person: null })),
    ...judgements(visit, group, at),
    ...(visit.note ? [{ kind: 'note written', text: visit.note } as const] : []),
    ...[...parts].reverse().map((part): EntryBody => ({ kind: 'part put back', part })),
    { kind: 'visit closed', reason: 'question answered', note: '' },
  ];
  const gap = (25 * 60_000) / bodies.length;
  return bodies.map((body, index) => ({
    id: uuid(),
    at: new Date(at.getTime() + Math.round(index * gap)).toISOString(),
    body: body,
  }));
}

const superReadings = (visit: DemoVisit, boxes: readonly BoxLayer[]): EntryBody[] =>
  boxes.flatMap((box, index) => {
    const [honey, nectar] = visit.supers?.[index] ?? [0, 0];
    if (honey + nectar === 0) return [];
    const side = parseSide(`${honey}H ${nectar}N *C`);
    return Array.from({ length: box.frames }, (_, frame) => frame + 1).flatMap((frame) =>
      (['low', 'high'] as const).map((face): EntryBody => ({
        kind: 'frame side recorded',
        address: { box: box.id, frame, face },
        side,
        seen: null,
      })),
    );
  });

/** Each visit judges a few skills of a few trainees; who comes later in the group and later in the season is further on. */
function judgements(visit: DemoVisit, { trainees, ahead }: DemoGroup, at: Date): EntryBody[] {
  const week = Math.floor((at.getTime() - SEASON_START) / (7 * 86_400_000));
  const hive = Number(visit.hive);
  const { skills } = DEFAULT_CHECKLIST;
  return trainees.flatMap((trainee, index): EntryBody[] =>
    [0, 1, 2, 3].map((turn) => {
      const skill = skills[(hive * 3 + index * 5 + turn * 7 + week) % skills.length]!;
      const hard = skill.phase === 'read' || skill.phase === 'judge' ? 1 : 0;
      const level = Math.max(0, Math.min(4, Math.floor((week + index + turn) / 4) + ahead - hard));
      return { kind: 'skill judged', trainee, skill: skill.id, level: SKILL_LEVELS[level]! };
    }),
  );
}
