import type { ReadingAgreement } from '../skills';
import { readingHabits } from '../skills';
import { meanOf } from '../statistics';
import { OF_LATE, type Progress } from './progress';
import { TOPICS, type TopicId, topicOf } from './topics';
import { say } from './said';
import type { Text } from '../language';

/** Where somebody of a group stands. */
export interface GroupMember {
  readonly trainee: string;
  readonly progress: readonly Progress[];
  /** Hidden readings at the hive. */
  readonly readings: ReadingAgreement;
  /** Skills that are still open and can be practised indoors. */
  readonly open: readonly string[];
}

/** One station of a session indoors. */
export interface Station {
  readonly topic: TopicId;
  readonly minutes: number;
  /** How it is practised together. */
  readonly how: Text;
  /** How weak the group is, 0 knows it to 1 knows nothing. */
  readonly weakness: number;
  readonly why: readonly Text[];
  /** Pairs: somebody strong with somebody weak. */
  readonly pairs: readonly (readonly string[])[];
}

/** What is forgotten or wrong weighs as it is; what was never tried counts half, since nobody knows. */
const UNTRIED = 0.5;
/** What a skill that is still open adds. */
const OPEN = 0.25;

const weaknessOf = (member: GroupMember, topic: TopicId): number => {
  const { answers, rightOfLate, known } = member.progress.find((each) => each.topic === topic)!;
  const own = answers === 0 ? UNTRIED : 1 - (rightOfLate ?? 0) * (0.5 + 0.5 * known);
  const open = topicOf(topic).skills.filter((skill) => member.open.includes(skill)).length;
  return Math.min(1, own + (open > 0 ? OPEN : 0));
};

/**
 * A session indoors from what a group is weakest at.
 *
 * @param members of the group, at least one
 * @param minutes of the session, above 0
 * @param stations how many, 1 and more
 * @returns stations with the time shared by weakness; the weakest first; no two of the same view while there are others
 * @throws RangeError without members or minutes
 */
export function indoorPlan(members: readonly GroupMember[], minutes: number, stations = 3): readonly Station[] {
  if (members.length === 0) throw new RangeError('A plan needs at least one trainee.');
  if (!(minutes > 0)) throw new RangeError('A plan needs minutes above 0.');
  const weak = TOPICS.map(({ id, place }) => ({
    id,
    place,
    weakness: meanOf(members.map((member) => weaknessOf(member, id))),
  })).sort((a, b) => b.weakness - a.weakness);
  const chosen: typeof weak = [];
  for (const each of weak) if (!chosen.some(({ place }) => place === each.place)) chosen.push(each);
  for (const each of weak) if (!chosen.includes(each)) chosen.push(each);
  const taken = chosen.slice(0, stations);
  const all = taken.reduce((sum, { weakness }) => sum + weakness, 0);
  return taken.map(({ id, weakness }) => ({
    topic: id,
    minutes: Math.max(5, Math.round((minutes * (all > 0 ? weakness / all : 1 / taken.length)) / 5) * 5),
    how: topicOf(id).station,
    weakness,
    why: whyWeak(members, id),
    pairs: pairsOf(members, id),
  }));
}

function whyWeak(members: readonly GroupMember[], topic: TopicId): readonly Text[] {
  const own = members.map((member) => member.progress.find((each) => each.topic === topic)!);
  const tried = own.filter(({ answers }) => answers > 0);
  const late = tried.map(({ answers, rightOfLate }) => ({ all: Math.min(OF_LATE, answers), share: rightOfLate ?? 0 }));
  const [all, right] = [
    late.reduce((sum, each) => sum + each.all, 0),
    Math.round(late.reduce((sum, each) => sum + each.all * each.share, 0)),
  ];
  const open = members.filter((member) => topicOf(topic).skills.some((skill) => member.open.includes(skill))).length;
  const habits = topic.startsWith('comb-') ? members.flatMap(({ readings }) => readingHabits(readings)) : [];
  return [
    ...(all === 0 ? [say('nobody-tried-yet')] : [say('right-answers-late', { right, all })]),
    ...(tried.length > 0 && tried.length < own.length
      ? [say('never-tried', { trainees: own.length - tried.length })]
      : []),
    ...(open > 0 ? [say('skill-open', { open })] : []),
    ...habits.slice(0, 1).map((habit) => say('at-the-hive', { says: habit.says })),
  ];
}

/** The strongest with the weakest; three together when the number is odd. */
function pairsOf(members: readonly GroupMember[], topic: TopicId): readonly (readonly string[])[] {
  const order = members
    .map((member) => ({ trainee: member.trainee, weakness: weaknessOf(member, topic) }))
    .sort((a, b) => a.weakness - b.weakness || a.trainee.localeCompare(b.trainee))
    .map(({ trainee }) => trainee);
  const pairs: string[][] = [];
  while (order.length > 1) pairs.push([order.shift()!, order.pop()!]);
  const [left] = order;
  if (left) pairs[0] = [...(pairs[0] ?? []), left];
  return pairs;
}
