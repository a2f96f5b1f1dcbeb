import { say } from '../../words';
import { inOne, type Sayable } from '@brave-comb/core/language';
import type { Debrief } from '@brave-comb/contract';
import { sideText } from '@brave-comb/core/inspection';
import { runWithoutFrame } from '@brave-comb/core/planning';
import { DEBRIEF_PARTS } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { dateAt, iso } from '../../dates';
import { notFound } from '../../problem';
import { followUpsOfSession } from '../../records/care';
import { lastSignature, sentBackOf } from '../../records/debrief';
import {
  lastSeqOfSession,
  type NamedVisit,
  namedVisitsOfSession,
  questionsFor,
  rotasOf,
  visitedSessions,
} from '../../records/inspection';
import { peopleOf, housePracticeOf, traineesOf } from '../../records/people';
import { demonstrationsOf, readingPairsOfVisit } from '../../records/skills';
import { readColony } from '../inspection';
import { talk } from './talk';
import { openSkills, schoolStandings } from '../skills';
import {
  nobodyLines,
  gapsOf,
  openLines,
  type Group,
  type VisitFacts,
  type Wrong,
  visitSays,
  wrongLines,
} from './lines';
import { traineeRows, wentUp } from './trainees';

const SESSIONS = 12;
const QUESTIONS = 200;

/** A session afterwards, by trainee; the latest one that somebody may see, when none is named. `null` while there is none. */
/** A debrief whose follow-ups are not in words yet. */
export type DebriefTold = Sayable<Debrief>;

export async function debrief(
  context: Context,
  actor: Actor,
  session: string | undefined,
): Promise<DebriefTold | null> {
  const { db } = context;
  const sessions = await visitedSessions(db, actor, SESSIONS);
  const about = session === undefined ? sessions[0] : sessions.find(({ id }) => id === session);
  if (!about && session !== undefined) throw notFound('session');
  if (!about) return null;
  const visits = await namedVisitsOfSession(db, actor, about.id);
  const trainees = await traineesOf(
    db,
    actor.school,
    visits.map(({ trainee_group }) => trainee_group),
  );
  const people = trainees.map(({ id }) => id);
  const [practice, skills, shown, questions, signature, sentBack, made, revision] = await Promise.all([
    housePracticeOf(db, actor.school),
    schoolStandings(context, actor.school, people),
    demonstrationsOf(db, actor.school, people),
    questionsFor(db, actor, QUESTIONS),
    lastSignature(db, actor.school, about.id),
    sentBackOf(db, actor.school, about.id),
    followUpsOfSession(db, actor.school, about.id),
    lastSeqOfSession(db, actor.school, about.id),
  ]);
  const seen = await Promise.all(visits.map((visit) => seenVisit(context, visit, practice.openMinutes)));
  const groups = seen.map(({ facts, read, pairs, runs }): Group => {
    const { visit, record, nameOf } = facts;
    const own = trainees.filter(({ group }) => group === visit.trainee_group);
    return {
      visit: visit.id,
      hive: visit.hive_number,
      group: visit.group_name,
      supervisor: { id: visit.supervisor, name: visit.supervisor_name },
      openedAt: record.openedAt,
      closedAt: record.closed?.at ?? null,
      says: visitSays(facts, record.roles.length),
      frames: read.box.frames,
      trainees: [...traineeRows(visit, read, own, { checklist: skills.checklist, shown }, pairs, runs, nameOf)],
    };
  });
  const wrong = seen.flatMap(({ facts }) => wrongLines(facts)).sort((a, b) => a.at.localeCompare(b.at));
  const gaps = gapsOf(groups, (ids) => openSkills(skills, ids).map(({ skill, open }) => ({ name: skill.name, open })));
  const followUps = made.map(({ question, due, hive }) => ({ due, text: inOne([say('at-hive', { hive }), question]) }));
  const opened = seen.flatMap(({ facts }) => facts.record.openedAt ?? []).sort();
  const closed = seen.flatMap(({ facts }) => facts.record.closed?.at ?? []).sort();
  return {
    session: about.id,
    day: dateAt(about.zone, about.starts_at),
    zone: about.zone,
    site: about.site,
    from: opened[0] ?? null,
    to: closed.at(-1) ?? null,
    revision,
    groups,
    toSign: toSign(
      groups,
      seen.map(({ facts }) => facts),
      wrong,
    ),
    signed: signature
      ? { by: signature.by_name, at: iso(signature.at), outdated: signature.revision !== revision }
      : null,
    sentBack: sentBack.map(({ to_name, by_name, at, note }) => ({ to: to_name, by: by_name, at: iso(at), note })),
    wrong,
    nobody: [...nobodyLines(gaps)],
    open: seen.flatMap(({ facts }) =>
      openLines(
        facts,
        questions.filter((each) => each.visit === facts.visit.id && each.answer === null).map(({ text }) => text),
      ),
    ),
    made: followUps,
    notes: seen.flatMap(({ facts: { record, nameOf } }) =>
      record.notes.map(({ by, text }) => ({ lead: nameOf(by), text })),
    ),
    talk: talk({ visits: seen, groups, wrong, gaps, made }).map((part) => ({ ...part, lines: [...part.lines] })),
    sessions: sessions.map(({ id, starts_at, zone, groups: names }) => ({
      id,
      day: dateAt(zone, starts_at),
      groups: names,
    })),
  };
}

/** A visit with what a debrief rests on: its record, hidden readings, and who had no frame in hand for how long. */
async function seenVisit(context: Context, visit: NamedVisit, allowedMinutes: number) {
  const { db } = context;
  const [read, pairs, rotas] = await Promise.all([
    readColony(db, visit),
    readingPairsOfVisit(db, visit.id),
    // This visit is among them.
    rotasOf(db, visit.school, [visit.trainee_group], new Date(visit.started_at.getTime() + 1)),
  ]);
  const given = read.record.roles;
  const there = rotas.map(({ id, rota }) => {
    const all = rota.flatMap(({ roles }) => Object.entries(roles));
    const here = id === visit.id ? given : [];
    return {
      there: new Set([...all.flatMap(([, people]) => people), ...here.map(({ person }) => person)]),
      held: new Set([
        ...all.filter(([role]) => role === 'frames').flatMap(([, people]) => people),
        ...here.filter(({ role }) => role === 'frames').map(({ person }) => person),
      ]),
    };
  });
  const present = there.at(-1)?.there ?? new Set<string>();
  const runs = new Map([...present].map((person) => [person, runWithoutFrame(there, person)]));
  const { record } = read;
  const ids = [
    ...record.notes.map(({ by }) => by),
    ...record.stings.flatMap(({ person }) => person ?? []),
    ...record.judgements.map(({ by }) => by),
  ];
  const names = new Map((await peopleOf(db, visit.school, [...new Set(ids)])).map(({ id, name }) => [id, name]));
  const facts: VisitFacts = { visit, record, allowedMinutes, nameOf: (id) => names.get(id) ?? 'somebody' };
  return { facts, read, pairs, runs };
}

type ToSign = Sayable<Debrief['toSign'][number]>;

/** What has to be read through before the signature, and what bars it. */
function toSign(groups: readonly Group[], visits: readonly VisitFacts[], wrong: readonly Wrong[]): ToSign[] {
  const up = groups.flatMap(({ trainees }) => trainees.flatMap(({ judged }) => judged.filter(wentUp))).length;
  const judged = groups.flatMap(({ trainees }) => trainees.flatMap((each) => each.judged)).length;
  const open = visits.filter(({ record }) => record.closed === null);
  const sides = visits.reduce((sum, { record }) => sum + Object.keys(record.sides).length, 0);
  const double = visits.find(({ record }) => record.conflicts.length > 0);
  const [conflict] = double?.record.conflicts ?? [];
  const doubles = visits.reduce((sum, { record }) => sum + record.conflicts.length, 0);
  const says: Readonly<Record<(typeof DEBRIEF_PARTS)[number], Omit<ToSign, 'part'>>> = {
    levels: {
      text: say('levels-went-up', { count: up }),
      detail: say('judged', { count: judged }),
      bars: null,
      visit: null,
    },
    records: {
      text:
        open.length === 0
          ? say('records-whole', { hives: groups.map(({ hive }) => hive) })
          : say('not-closed', { hives: open.map(({ visit }) => visit.hive_number) }),
      detail: say('sides', { count: sides }),
      bars: open.length === 0 ? null : say('close-visit-first'),
      visit: open[0]?.visit.id ?? null,
    },
    readings: {
      text:
        double && conflict
          ? say('two-readings-at', {
              side: sideText(conflict.address, double.visit.stack),
              hive: double.visit.hive_number,
            })
          : say('no-two-readings'),
      detail: doubles > 1 ? say('and-more', { count: doubles - 1 }) : '',
      bars: double ? say('settle-reading') : null,
      visit: double?.visit.id ?? null,
    },
    wrong: {
      text: wrong.length === 0 ? say('nothing-wrong') : say('all-wrong', { texts: wrong.map(({ text }) => text) }),
      detail: '',
      bars: null,
      visit: null,
    },
  };
  return DEBRIEF_PARTS.map((part) => ({ part, ...says[part] }));
}
