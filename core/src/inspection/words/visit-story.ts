import { type Stack, changeText } from '../../equipment';
import { roundTo, spoken } from '../../units';
import { CHECKS } from '../visit/checks';
import { CONTENTS } from '../side/contents';
import { DEFECTS } from '../visit/defects';
import { MOODS } from '../visit/entries';
import { FINDINGS } from '../visit/findings';
import { type SideAddress, sideKey, sideText } from '../side/frame-side';
import { readMeasure } from '../visit/measures';
import { outsideSays } from '../visit/outside';
import { readingGap, scoreGuess } from '../judging/prediction';
import { type VisitRecord, latestFindings } from '../visit/record';
import { ROLES } from '../visit/roles';
import { formatSide } from '../side/shorthand';
import { REACTION_TEXT } from '../visit/sting-watch';
import { temperScore } from '../visit/signs';
import { DEPTH_WORDS } from '../closing/steps';
import { spotText } from '../visit/spots';
import { type Text, inOne } from '../../language';

export interface ToldLine {
  readonly text: Text;
  /** Something that must not be overlooked. */
  readonly warns: boolean;
}

/** A visit in words, part by part. */
export interface ToldPart {
  readonly title: string;
  readonly lines: readonly ToldLine[];
}

type SideText = (address: SideAddress) => string;
const said = (text: Text, warns = false): ToldLine => ({ text, warns });
const minutes = (seconds: number) => `${roundTo(seconds / 60, 1)} min`;
const letters = (of: readonly (keyof typeof CONTENTS)[]) =>
  of.map((letter) => CONTENTS[letter]).join(', ') || 'nothing';
const plural = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;

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
    ['Before and around', before(record, name)],
    ['Smoke and time', smokeAndTime(record)],
    ['Mood and stings', moodAndStings(record, name)],
    ['Looked for', lookedFor(record, name, frameText)],
    ['Measured', measured(record)],
    ['Parts and combs', partsAndCombs(record)],
    ['Predicted, read first', predicted(record, name, frameText)],
    [
      'Overruled',
      record.overrides.map(({ guard, reason, by }) => said(`${spoken(guard)}: ${reason} (${name(by)})`, true)),
    ],
    [
      'Asked',
      record.questions.map(({ text, person, by, spot }) =>
        said(`${text} (${name(person ?? by)}${spot ? `, ${spotText(spot)}` : ''})`),
      ),
    ],
    ['Notes', record.notes.map(({ text }) => said(text))],
  ];
  return parts.filter(([, lines]) => lines.length > 0).map(([title, lines]) => ({ title, lines }));
}

function before(record: VisitRecord, name: (id: string) => string): readonly ToldLine[] {
  const jobs = ROLES.flatMap((role) => {
    const people = record.roles.filter((each) => each.role === role).map(({ person }) => name(person));
    return people.length > 0 ? [`${role} ${people.join(' and ')}`] : [];
  });
  const veils = record.checks.filter(({ check, ok }) => check === 'veil' && ok);
  const not = record.checks.filter(({ ok }) => !ok);
  return [
    ...(record.depth ? [said(inOne(['Went as deep as:', DEPTH_WORDS[record.depth]]))] : []),
    ...(jobs.length > 0 ? [said(`By hand: ${jobs.join('; ')}`)] : []),
    ...(veils.length > 0 ? [said(`${plural(veils.length, 'veil')} seen shut by somebody else`)] : []),
    ...not.map(({ check, person }) =>
      said(`${CHECKS[check].says}${person ? ` (${name(person)})` : ''}: no. ${CHECKS[check].otherwise}`, true),
    ),
    ...(['before', 'after'] as const).flatMap((when) => {
      const look = record.outside[when];
      if (!look) return [];
      const pollen = look.pollens?.length
        ? `, pollen ${look.pollens.map(spoken).join(' and ')}`
        : look.pollenIn === true
          ? ', pollen in'
          : '';
      const entrance = look.entrance ? `, entrance ${spoken(look.entrance)}` : '';
      return [
        said(
          `Outside ${when}: ${look.traffic === null ? 'traffic not looked at' : `traffic ${look.traffic}`}${pollen}${entrance}${look.note ? `. ${look.note}` : ''}`,
        ),
        ...(when === 'before' ? outsideSays(look).map((text) => said(text)) : []),
      ];
    }),
  ];
}

function smokeAndTime(record: VisitRecord): readonly ToldLine[] {
  const { openedAt, closed, smoke, exposures } = record;
  const open = openedAt && closed ? (Date.parse(closed.at) - Date.parse(openedAt)) / 1000 : null;
  const places = [...new Set(smoke.map(({ place }) => place))].map(
    (place) => `${spoken(place)} ${smoke.filter((each) => each.place === place).length}`,
  );
  const longest = exposures.toSorted((a, b) => b.seconds - a.seconds)[0];
  return [
    ...(open !== null && open > 0 ? [said(`Open ${minutes(open)}`)] : []),
    ...(longest ? [said(`Longest out: frame ${longest.frame} of ${longest.box}, ${minutes(longest.seconds)}`)] : []),
    ...(smoke.length > 0 ? [said(`Smoke ${plural(smoke.length, 'time')}: ${places.join(', ')}`)] : []),
    ...record.tipped.map((box) => said(`${box} lay on its side`, true)),
  ];
}

function moodAndStings(record: VisitRecord, name: (id: string) => string): readonly ToldLine[] {
  const open = record.openedAt && record.closed ? Date.parse(record.closed.at) - Date.parse(record.openedAt) : 600_000;
  const score = temperScore(
    record.moods.map(({ mood }) => mood),
    record.signs,
    Math.max(1, open / 60_000),
  );
  const signs = [...new Set(record.signs.map(({ sign }) => sign))].map(
    (sign) => `${spoken(sign)} ${record.signs.filter((each) => each.sign === sign).length}`,
  );
  const stung = [...new Set(record.stings.map(({ person }) => person))].map((person) => {
    const count = record.stings.filter((each) => each.person === person).length;
    const answer = record.stingsAskedAfter.findLast((each) => each.person === person);
    return said(
      inOne([
        `${plural(count, 'sting')}:`,
        `${person ? name(person) : 'nobody named'}${answer || person ? ',' : ''}`,
        ...(answer ? ['then', REACTION_TEXT[answer.reaction]] : person ? ['not asked after'] : []),
      ]),
      answer ? answer.reaction !== 'well' && answer.reaction !== 'local-swelling' : false,
    );
  });
  const moods = record.moods.map(({ mood }) => MOODS[mood - 1]).filter((mood, index, all) => mood !== all[index - 1]);
  return [
    ...(score !== null ? [said(`Temper ${score} of 5${score >= 4 ? ': not for beginners' : ''}`, score >= 4)] : []),
    ...(moods.length > 0 ? [said(`Mood: ${moods.join(', then ')}`)] : []),
    ...(signs.length > 0 ? [said(`Signs: ${signs.join(', ')}`)] : []),
    ...stung,
    ...record.incidents.map(({ what, person, text }) =>
      said(`${spoken(what)}${person ? `, ${name(person)}` : ''}${text ? `: ${text}` : ''}`, true),
    ),
  ];
}

function lookedFor(record: VisitRecord, name: (id: string) => string, frameText: SideText): readonly ToldLine[] {
  const latest = latestFindings(record);
  const found = latest.filter((each) => each.found);
  const not = latest.filter((each) => !each.found);
  const sure = not.flatMap((each) => each.sure ?? []);
  const least = sure.length > 0 ? `, at least ${Math.min(...sure)} in 100 sure` : '';
  return [
    ...found.map((each) =>
      said(
        `Found: ${FINDINGS[each.finding].name}${each.count === null ? '' : `, ${each.count}`}${each.spot ? `, ${spotText(each.spot)}` : ''}${each.sure === null ? '' : `, ${each.sure} in 100 sure`}. ${FINDINGS[each.finding].then}`,
        true,
      ),
    ),
    ...(not.length > 0
      ? [said(`Looked for, not found${least}: ${not.map(({ finding }) => FINDINGS[finding].name).join('; ')}`)]
      : []),
    ...record.doubts.map(({ address, sound, found: what, by }) =>
      said(
        `Looked again at ${frameText(address)}: ${sound ? 'sound after all' : 'still in doubt'}${what ? `, ${what}` : ''} (${name(by)})`,
        !sound,
      ),
    ),
    ...(record.queenMark ? [said(`Queen's mark: ${record.queenMark.colour}`)] : []),
    ...record.confirmed.map(({ address, letter, there, at }) =>
      said(
        `${CONTENTS[letter]} on ${frameText(address)}: ${there ? 'there' : 'not there'}, confirmed afterwards (${at.slice(0, 10)})`,
      ),
    ),
  ];
}

const measured = (record: VisitRecord): readonly ToldLine[] => [
  ...record.measures.map(({ measure }) => {
    const { says, asks, level } = readMeasure(measure);
    return said(asks ? inOne([says, asks], '. ') : says, level === 'act');
  }),
  ...Object.entries(record.summaries).map(([box, { seams, brood, food, drawn, bare, note }]) => {
    const figures = [
      ['seams', seams],
      ['brood', brood],
      ['food', food],
      ['drawn', drawn],
      ['bare', bare],
    ].flatMap(([what, count]) => (count === null ? [] : [`${what} ${count}`]));
    return said(`${box} from above: ${figures.join(', ')}${note ? `. ${note}` : ''}`);
  }),
];

const partsAndCombs = (record: VisitRecord): readonly ToldLine[] => [
  ...record.stackChanges.map(({ change, reason }) => said(`${changeText(change)}${reason ? `: ${reason}` : ''}`)),
  ...record.moves.map(({ comb, to, reason }) => {
    const where = to.in === 'store' ? to.store : to.in === 'hive' ? 'another hive' : `${to.box}, place ${to.place}`;
    return said(`Comb ${comb.label} to ${where}${reason ? `: ${reason}` : ''}`);
  }),
  ...record.defects.map(({ part, defect, forNow, until }) =>
    said(`${DEFECTS[defect].name}, ${part}; for now: ${forNow || 'nothing'}; repair by ${spoken(until)}`, true),
  ),
  ...record.strayCombs.map(({ place, part, content, cause, removed }) =>
    said(
      `Stray comb ${spoken(place)}, ${part}: ${spoken(content)}, ${removed ? 'removed' : 'left'}; cause: ${spoken(cause)}`,
    ),
  ),
  ...(record.queenAccounted ? [said(`Queen at closing: ${spoken(record.queenAccounted.how)}`)] : []),
];

function predicted(record: VisitRecord, name: (id: string) => string, frameText: SideText): readonly ToldLine[] {
  const guesses = record.guesses.flatMap(({ person, address, letters: guess }) => {
    const read = record.sides[sideKey(address)];
    if (!read) return [];
    const { score } = scoreGuess(guess, read.side);
    return [said(`${name(person)}, ${frameText(address)}: ${letters(guess)} (${Math.round(score * 10)} of 10)`)];
  });
  const readings = record.traineeReadings.flatMap(({ person, address, side }) => {
    const read = record.sides[sideKey(address)];
    if (!read) return [];
    const { off } = readingGap(side, read.side);
    return [
      said(`${name(person)} read ${frameText(address)} first: ${formatSide(side)}, ${plural(off, 'eighth')} off`),
    ];
  });
  return [...guesses, ...readings];
}
