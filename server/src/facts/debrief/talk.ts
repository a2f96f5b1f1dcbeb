import type { Debrief } from '@brave-comb/contract';
import type { Text } from '@brave-comb/core/language';
import { levelRank } from '@brave-comb/core/skills';
import { say } from '../../words';
import { clockAt } from '../../dates';
import type { ColonyRead } from '../inspection';
import { type Group, type GroupGaps, type VisitFacts, type Wrong, toldOnce } from './lines';
import { wentUp } from './trainees';

/** A part of the talk, about a minute long, and what the group is asked at its end. */
export type TalkPart = Omit<Debrief['talk'][number], 'lines' | 'ask'> & {
  readonly lines: readonly Text[];
  readonly ask: Text | null;
};

/** A part is a minute at a walking pace: so many sentences, and nobody hears more. */
const MOST = 8;
/** Steps up that are told one by one for a group; the rest of it is named in one sentence. */
const STEPS = 3;

/** Everything that the talk rests on. */
export interface TalkFacts {
  readonly visits: readonly { readonly facts: VisitFacts; readonly read: ColonyRead }[];
  readonly groups: readonly Group[];
  readonly wrong: readonly Wrong[];
  readonly gaps: readonly GroupGaps[];
  readonly made: readonly { readonly due: string; readonly hive: string; readonly question: Text }[];
}

/**
 * The debrief in whole sentences to be said aloud, in five parts of about a minute: what was done, what was found, what went well,
 * what to learn from, what comes next. Names come first, clock times in words, and of a person who went up twice the higher step.
 */
export function talk({ visits, groups, wrong, gaps, made }: TalkFacts): readonly TalkPart[] {
  return [
    { part: 'did', lines: visits.map(({ facts }) => didLine(facts)), ask: null },
    { part: 'found', lines: visits.map(foundLine), ask: say('ask-found') },
    { part: 'well', lines: wellLines(groups), ask: say('ask-well') },
    { part: 'learn', lines: learnLines(wrong, gaps), ask: say('ask-learn') },
    {
      part: 'next',
      lines: made.length === 0 ? [say('talk-nothing-due')] : made.slice(0, MOST).map((each) => say('talk-due', each)),
      ask: say('ask-next'),
    },
  ];
}

function didLine({ visit, record }: VisitFacts): Text {
  const clock = (at: string) => clockAt(visit.zone, new Date(at));
  return say('talk-group', {
    group: visit.group_name,
    hive: visit.hive_number,
    supervisor: visit.supervisor_name.split(' ')[0] ?? '',
    from: record.openedAt === null ? null : clock(record.openedAt),
    to: record.closed === null ? null : clock(record.closed.at),
    sides: Object.keys(record.sides).length,
  });
}

function foundLine({ facts: { visit }, read }: TalkFacts['visits'][number]): Text {
  const hive = visit.hive_number;
  const { nest, nestSides, record } = read;
  if (!nest.known) return say('talk-not-read', { hive });
  const eggs = nestSides.some((side) => (side.eighths.E ?? 0) > 0 || side.trace.includes('E'));
  return say('talk-nest', {
    hive,
    bees: nest.framesOfBees === null ? null : Math.round(nest.framesOfBees.value),
    brood: Math.round(nest.brood.value),
    eggs,
    queen: record.queen !== null,
    cells: nestSides.filter(({ cells }) => cells > 0).length,
  });
}

interface Step {
  readonly name: string;
  readonly skill: Text;
  readonly level: Group['trainees'][number]['judged'][number]['after'];
}

/** The highest step of each trainee of a group, over all hives that it opened. */
function stepsOf(groups: readonly Group[]): readonly Step[] {
  const best = new Map<string, Step>();
  for (const { id, name, judged } of groups.flatMap(({ trainees }) => trainees))
    for (const { skill, after } of judged.filter(wentUp)) {
      const known = best.get(id);
      if (!known || levelRank(after) > levelRank(known.level)) best.set(id, { name, skill, level: after });
    }
  return [...best.values()].sort((a, b) => levelRank(b.level) - levelRank(a.level));
}

function wellLines(groups: readonly Group[]): readonly Text[] {
  const names = [...new Set(groups.map(({ group }) => group))];
  const lines = names.flatMap((group) => {
    const own = groups.filter((each) => each.group === group);
    const steps = stepsOf(own);
    const told = steps.slice(0, names.length > 2 ? STEPS - 1 : STEPS);
    const rest = steps.slice(told.length).map(({ name }) => name);
    return [
      ...told.map((step) => say('talk-step', step)),
      ...(rest.length > 0 ? [say('talk-steps-too', { group, names: rest })] : []),
    ];
  });
  const near = [
    ...new Set(
      groups.flatMap(({ trainees }) =>
        trainees.filter(({ off }) => off !== null && off.eighths <= 1).map(({ name }) => name),
      ),
    ),
  ];
  if (lines.length === 0 && near.length === 0) return [say('talk-no-step')];
  return [...lines, ...(near.length > 0 ? [say('talk-near', { names: near })] : [])];
}

/** Every incident is told, whatever the clock says; what is left of the minute is for what was not done. */
function learnLines(wrong: readonly Wrong[], gaps: readonly GroupGaps[]): readonly Text[] {
  const incidents = wrong.length === 0 ? [say('nothing-went-wrong')] : wrong.map(({ text }) => text);
  return [...incidents, ...needLines(gaps).slice(0, Math.max(0, MOST - incidents.length))];
}

/** Who had no frame, of each group the skill that most lack, and who reads a side first next time. */
function needLines(gaps: readonly GroupGaps[]): readonly Text[] {
  const silent = [...new Set(gaps.flatMap((each) => each.silent))];
  const lines = gaps.flatMap(({ group, without, skills }) => [
    ...without.map(({ name, run }) => say('talk-no-frame', { name, run })),
    ...skills.slice(0, 1).map((each) => say('talk-need', { group, ...each })),
  ]);
  return [...toldOnce(lines), ...(silent.length > 0 ? [say('talk-read-first', { names: silent })] : [])];
}
