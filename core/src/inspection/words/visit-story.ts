import { type Stack, changeText } from '../../equipment';
import { type Text, inOne, named } from '../../language';
import { roundTo } from '../../units';
import { DEPTH_WORDS } from '../closing/steps';
import { readingGap, scoreGuess } from '../judging/prediction';
import { say } from '../said';
import { type SideAddress, sideKey, sideText } from '../side/frame-side';
import { formatSide } from '../side/shorthand';
import { MOODS } from '../entries/bees';
import { readMeasure } from '../visit/measures';
import { outsideSays } from '../visit/outside';
import { type VisitRecord, latestFindings } from '../entries/record';
import { JOBS } from '../visit/jobs';
import { temperScore } from '../visit/signs';
import { spotText } from '../visit/spots';
import { REACTION_TEXT } from '../visit/sting-watch';

export interface ToldLine {
  readonly text: Text;
  /** Something that must not be overlooked. */
  readonly warns: boolean;
}

/** A visit in words, part by part. */
export interface ToldPart {
  readonly title: Text;
  readonly lines: readonly ToldLine[];
}

type SideText = (address: SideAddress) => Text;
const said = (text: Text, warns = false): ToldLine => ({ text, warns });
const minutes = (seconds: number) => roundTo(seconds / 60, 1);
/** How often each comes, in the order in which it first did. */
const tally = <Each extends string>(all: readonly Each[]) =>
  [...new Set(all)].map((each) => ({ each, count: all.filter((other) => other === each).length }));

/**
 * A visit as it is read afterwards: who did what, what was looked for and measured, what was moved, guessed, overruled.
 *
 * @param record the visit
 * @param name name of a person by id
 * @param stack the hive, to tell the wall from a neighbour
 * @returns parts with at least one line, in the order of the work
 * @example toldVisit(recordOf([]), () => '') // []
 */
export function toldVisit(record: VisitRecord, name: (id: string) => string, stack: Stack = []): readonly ToldPart[] {
  const frameText: SideText = (address) => sideText(address, stack);
  const parts: readonly (readonly [string, readonly ToldLine[]])[] = [
    ['before-and-around', before(record, name)],
    ['smoke-and-time', smokeAndTime(record)],
    ['mood-and-stings', moodAndStings(record, name)],
    ['looked-for', lookedFor(record, name, frameText)],
    ['measured', measured(record)],
    ['parts-and-combs', partsAndCombs(record)],
    ['predicted', predicted(record, name, frameText)],
    [
      'overruled',
      record.overrides.map(({ guard, reason, by }) =>
        said(say('told-overruled', { guard, reason, by: name(by) }), true),
      ),
    ],
    [
      'asked',
      record.questions.map(({ text, person, by, spot }) =>
        said(say('told-asked', { text, who: name(person ?? by), spot: spot ? spotText(spot) : null })),
      ),
    ],
    ['notes', record.notes.map(({ text }) => said(text))],
  ];
  return parts
    .filter(([, lines]) => lines.length > 0)
    .map(([part, lines]) => ({ title: named('storyPart', part), lines }));
}

function before(record: VisitRecord, name: (id: string) => string): readonly ToldLine[] {
  const jobs = JOBS.flatMap((role) => {
    const people = record.roles.filter((each) => each.role === role).map(({ person }) => name(person));
    return people.length > 0 ? [{ role, people }] : [];
  });
  const veils = record.checks.filter(({ check, ok }) => check === 'veil' && ok);
  const not = record.checks.filter(({ ok }) => !ok);
  return [
    ...(record.depth ? [said(say('told-depth', { depth: DEPTH_WORDS[record.depth] }))] : []),
    ...(jobs.length > 0 ? [said(say('told-jobs', { jobs }))] : []),
    ...(veils.length > 0 ? [said(say('told-veils', { count: veils.length }))] : []),
    ...not.map(({ check, person }) => said(say('told-not', { check, person: person ? name(person) : null }), true)),
    ...(['before', 'after'] as const).flatMap((when) => {
      const look = record.outside[when];
      if (!look) return [];
      return [
        said(
          say('told-outside', {
            when,
            traffic: look.traffic,
            pollens: look.pollens ?? [],
            pollenIn: look.pollenIn === true,
            entrance: look.entrance ?? null,
            note: look.note,
          }),
        ),
        ...(when === 'before' ? outsideSays(look).map((text) => said(text)) : []),
      ];
    }),
  ];
}

function smokeAndTime(record: VisitRecord): readonly ToldLine[] {
  const { openedAt, closed, smoke, exposures } = record;
  const open = openedAt && closed ? (Date.parse(closed.at) - Date.parse(openedAt)) / 1000 : null;
  const places = tally(smoke.map(({ place }) => place)).map(({ each, count }) => ({ place: each, count }));
  const longest = exposures.toSorted((a, b) => b.seconds - a.seconds)[0];
  return [
    ...(open !== null && open > 0 ? [said(say('told-open', { minutes: minutes(open) }))] : []),
    ...(longest
      ? [said(say('told-longest-out', { frame: longest.frame, box: longest.box, minutes: minutes(longest.seconds) }))]
      : []),
    ...(smoke.length > 0 ? [said(say('told-smoke', { count: smoke.length, places }))] : []),
    ...record.tipped.map((box) => said(say('told-tipped', { box }), true)),
  ];
}

function moodAndStings(record: VisitRecord, name: (id: string) => string): readonly ToldLine[] {
  const open = record.openedAt && record.closed ? Date.parse(record.closed.at) - Date.parse(record.openedAt) : 600_000;
  const score = temperScore(
    record.moods.map(({ mood }) => mood),
    record.signs,
    Math.max(1, open / 60_000),
  );
  const signs = tally(record.signs.map(({ sign }) => sign)).map(({ each, count }) => ({ sign: each, count }));
  const stung = [...new Set(record.stings.map(({ person }) => person))].map((person) => {
    const count = record.stings.filter((each) => each.person === person).length;
    const answer = record.stingsAskedAfter.findLast((each) => each.person === person);
    return said(
      say('told-stung', {
        count,
        who: person ? name(person) : null,
        then: answer ? REACTION_TEXT[answer.reaction] : null,
      }),
      answer ? answer.reaction !== 'well' && answer.reaction !== 'local-swelling' : false,
    );
  });
  const moods = record.moods.map(({ mood }) => MOODS[mood - 1]!).filter((mood, index, all) => mood !== all[index - 1]);
  return [
    ...(score !== null ? [said(say('told-temper', { score }), score >= 4)] : []),
    ...(moods.length > 0 ? [said(say('told-moods', { moods }))] : []),
    ...(signs.length > 0 ? [said(say('told-signs', { signs }))] : []),
    ...stung,
    ...record.incidents.map(({ what, person, text }) =>
      said(say('told-incident', { what, who: person ? name(person) : null, text }), true),
    ),
  ];
}

function lookedFor(record: VisitRecord, name: (id: string) => string, frameText: SideText): readonly ToldLine[] {
  const latest = latestFindings(record);
  const found = latest.filter((each) => each.found);
  const not = latest.filter((each) => !each.found);
  const sure = not.flatMap((each) => each.sure ?? []);
  const least = sure.length > 0 ? Math.min(...sure) : null;
  return [
    ...found.map((each) =>
      said(
        say('told-found', {
          finding: each.finding,
          count: each.count,
          spot: each.spot ? spotText(each.spot) : null,
          sure: each.sure,
        }),
        true,
      ),
    ),
    ...(not.length > 0 ? [said(say('told-not-found', { findings: not.map(({ finding }) => finding), least }))] : []),
    ...record.doubts.map(({ address, sound, found: what, by }) =>
      said(say('told-doubt', { side: frameText(address), sound, found: what, by: name(by) }), !sound),
    ),
    ...(record.queenMark ? [said(say('told-queen-mark', { colour: record.queenMark.colour }))] : []),
    ...record.confirmed.map(({ address, letter, there, at }) =>
      said(say('told-confirmed', { side: frameText(address), letter, there, date: at.slice(0, 10) })),
    ),
  ];
}

const measured = (record: VisitRecord): readonly ToldLine[] => [
  ...record.measures.map(({ measure }) => {
    const { says, asks, level } = readMeasure(measure);
    return said(asks ? inOne([says, asks], '. ') : says, level === 'act');
  }),
  ...Object.entries(record.summaries).map(([box, { seams, brood, food, drawn, bare, note }]) =>
    said(say('told-from-above', { box, figures: { seams, brood, food, drawn, bare }, note })),
  ),
];

const partsAndCombs = (record: VisitRecord): readonly ToldLine[] => [
  ...record.stackChanges.map(({ change, reason }) =>
    said(say('told-with-reason', { what: changeText(change), reason })),
  ),
  ...record.moves.map(({ comb, to, reason }) => {
    const where =
      to.in === 'store'
        ? named('combStore', to.store)
        : to.in === 'hive'
          ? say('told-another-hive')
          : say('told-place', { box: to.box, place: to.place });
    return said(say('told-with-reason', { what: say('told-comb-moved', { label: comb.label, where }), reason }));
  }),
  ...record.defects.map(({ part, defect, forNow, until }) =>
    said(say('told-defect', { defect, part, forNow, until }), true),
  ),
  ...record.strayCombs.map(({ place, part, content, cause, removed }) =>
    said(say('told-stray', { place, part, content, removed, cause })),
  ),
  ...(record.queenAccounted ? [said(say('told-queen-accounted', { how: record.queenAccounted.how }))] : []),
];

function predicted(record: VisitRecord, name: (id: string) => string, frameText: SideText): readonly ToldLine[] {
  const guesses = record.guesses.flatMap(({ person, address, letters: guess }) => {
    const read = record.sides[sideKey(address)];
    if (!read) return [];
    const { score } = scoreGuess(guess, read.side);
    return [
      said(
        say('told-guess', {
          side: frameText(address),
          who: name(person),
          letters: guess,
          tenths: Math.round(score * 10),
        }),
      ),
    ];
  });
  const readings = record.traineeReadings.flatMap(({ person, address, side }) => {
    const read = record.sides[sideKey(address)];
    if (!read) return [];
    const { off } = readingGap(side, read.side);
    return [said(say('told-read-first', { side: frameText(address), who: name(person), says: formatSide(side), off }))];
  });
  return [...guesses, ...readings];
}
