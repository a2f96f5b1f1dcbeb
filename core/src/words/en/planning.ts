import type { Sentences } from '../../language';
import type { CommonKit, CompassPoint, JobKit, SpareKit } from '../../planning';
import type { PlanningSentences } from '../../planning/said';
import type { Hopeless, Trouble } from '../../planning';

/** What things are called, by their ids. */
export const planningNames = {
  hopeless: {
    'no-slots': 'no slots',
    'no-fit-hours': 'no fit hours',
    'no-groups': 'no groups',
    'no-supervisors': 'no supervisors',
    'nobody-can-come': 'nobody can come',
    'no-hive-can-be-opened': 'no hive can be opened',
  } satisfies Record<Hopeless, string>,
  sessionStatus: {
    planned: 'planned',
    held: 'held',
    'called-off': 'called off',
  },
  compass: {
    north: 'north',
    'north-east': 'north-east',
    east: 'east',
    'south-east': 'south-east',
    south: 'south',
    'south-west': 'south-west',
    west: 'west',
    'north-west': 'north-west',
  } satisfies Record<CompassPoint, string>,
  planTrouble: {
    late: 'late',
    'broken-rule': 'broken rule',
    'due-not-met': 'due not met',
    'low-odds': 'low odds',
    'too-few-sessions': 'too few sessions',
    'no-time-to-spare': 'no time to spare',
  } satisfies Record<Trouble['kind'], string>,
};

const counted = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;
const moodOn = (mood: number, visits: number): string =>
  `mood ${mood.toFixed(1)} on ${visits === 1 ? 'one visit' : `${visits} visits`}`;
const TIMES = ['', '', 'second time', 'third time', 'fourth time', 'fifth time'];
const COMMON: Readonly<Record<CommonKit, (groups: number) => string>> = {
  smokers: () => 'smokers, one spare',
  fuel: (groups) => `handfuls of fuel, ${groups + 1} lighters`,
  'hive-tools': (groups) => `hive tools, ${groups} with a hook`,
  veils: () => 'veils, 2 spare',
  gloves: () => 'pairs of gloves',
  cloths: () => 'cover cloths',
  stands: () => 'stands or upturned covers',
  buckets: () => 'scrap buckets with lids',
  'first-aid': () => 'first-aid bag, emergency card',
};
const JOB: Readonly<Record<JobKit, readonly [string, string]>> = {
  super: ['super, drawn combs', 'supers, drawn combs'],
  foundation: ['frame of foundation', 'frames of foundation'],
  'queen-cage': ['queen cage', 'queen cages'],
  'marking-pen': ['marking pen of the year', 'marking pens of the year'],
  'mite-wash': ['mite wash kit', 'mite wash kits'],
  feeder: ['feeder, filled', 'feeders, filled'],
  magnifier: ['magnifier', 'magnifiers'],
  matchsticks: ['bag of matchsticks', 'bags of matchsticks'],
};
const SPARE: Readonly<Record<SpareKit, string>> = {
  foundation: 'two frames of foundation',
  feeder: 'a feeder, filled',
};

/** Sentences of the room, from their facts. */
export const planningSentences: Sentences<PlanningSentences> = {
  day: ({ day }) => `day ${day}`,
  'plan-answers-not': ({ instance, name }) => `The plan answers "${instance}", not "${name}".`,
  'plan-states-worth': ({ objective, objective2 }) => `The plan states ${objective}, it is worth ${objective2}.`,
  'plan-worth-more-than': ({ objective, bound }) =>
    `The plan is worth ${objective}, more than the bound it states, ${bound}.`,
  'cannot-come': ({ who, slot }) => `${who} cannot come at ${slot}.`,
  'opens-hives-allowed': ({ group, openedCount, slot, maxHives }) =>
    `${group} opens ${openedCount} hives at ${slot}, 1 to ${maxHives} are allowed.`,
  'opens-same-hive-twice': ({ group, slot }) => `${group} opens the same hive twice at ${slot}.`,
  'needs-minutes-which': ({ group, minutes, slot, minutes2 }) =>
    `${group} needs ${minutes} minutes at ${slot}, which has ${minutes2}.`,
  'temper-may-open-up': ({ hive, temper, group, maxTemper }) =>
    `${hive} has temper ${temper}, ${group} may open up to ${maxTemper}.`,
  'does-not-stand-where': ({ hive, slot }) => `${hive} does not stand where ${slot} is held.`,
  'suspect-must-last-opens': ({ hive, group }) => `${hive} is suspect and must be the last that ${group} opens.`,
  'suspect-not-senior': ({ hive, supervisor }) => `${hive} is suspect and ${supervisor} is not senior.`,
  'sessions-most-allowed': ({ group, ownCount, sessions }) =>
    `${group} has ${ownCount} sessions, at most ${sessions} are allowed.`,
  'two-sessions': ({ group, slot }) => `${group} has two sessions at ${slot}.`,
  'comes-day-day-days': ({ group, day, day2, gapDays }, w) =>
    `${group} comes on ${w.text(day)} and on ${w.text(day2)}, ${gapDays} days apart at least.`,
  'takes-groups': ({ id, taken, slot }) => `${id} takes ${taken} groups at ${slot}.`,
  'two-apiaries-once': ({ id, slot }) => `${id} is at two apiaries at once at ${slot}.`,
  'suits-needed-there': ({ people, slot, suits }) => `${people} suits are needed at ${slot}, there are ${suits}.`,
  'staff-open-hives-most': ({ visitsCount, slot, staffVisits }) =>
    `Staff open ${visitsCount} hives at ${slot}, at most ${staffVisits}.`,
  'staff-need-minutes-they': ({ minutes, slot, staffMinutes }) =>
    `Staff need ${minutes} minutes at ${slot}, they have ${staffMinutes}.`,
  'staff-open-more-than': ({ slot }) => `Staff open more than one suspect hive at ${slot}.`,
  'opened-day-not-before': ({ hive, day, noOpenBefore }, w) =>
    `${hive} is opened on ${w.text(day)}, not before ${w.text(noOpenBefore)}.`,
  'opened-day-rests-days': ({ hive, lastOpened, restDays }, w) =>
    `${hive} was opened on ${w.text(lastOpened)} and rests ${restDays} days.`,
  'opened-twice': ({ hive, slot }) => `${hive} is opened twice at ${slot}.`,
  'opened-day-day-rests': ({ hive, day, day2, restDays }, w) =>
    `${hive} is opened on ${w.text(day)} and on ${w.text(day2)} and rests ${restDays} days.`,
  'staff-do-not-open': ({ hive, slot }) => `Staff do not open ${hive} at ${slot}, which is pinned.`,
  'no-session-which-pinned': ({ group, slot }) => `${group} has no session at ${slot}, which is pinned.`,
  'does-not-open-which': ({ group, hive, slot }) => `${group} does not open ${hive} at ${slot}, which is pinned.`,
  'not-which-pinned': ({ supervisor, group, slot }) =>
    `${supervisor} is not with ${group} at ${slot}, which is pinned.`,
  'fit-forecasts': ({ group, slot, round }) => `${group}, ${slot}: fit in ${round} of 10 forecasts.`,
  sessions: ({ group, held, wanted }) => `${group} has ${held} of ${wanted} sessions.`,
  'comes-day-later-than': ({ group, day, lateAfter }, w) =>
    `${group} comes on ${w.text(day)}, later than ${w.text(lateAfter)}.`,
  'minutes-left-over': ({ group, slot, left }) => `${group}, ${slot}: ${left} minutes left over.`,
  'there-no-supervisor': 'There is no supervisor.',
  'takes-minutes-left': ({ hive, minutes, max }) => `${hive} takes ${minutes} minutes, ${max} are left.`,
  'takes-minutes-others-worth': ({ hive, minutes }) =>
    `${hive} takes ${minutes} minutes; the others are worth more in the time.`,
  'would-add-nothing-today': ({ hive }) => `${hive} would add nothing today.`,
  'entrance-faces-stand-behind': ({ faces, behind, metres }, w) =>
    `Entrance faces ${w.name('compass', faces)}: stand to the ${w.name('compass', behind)}, behind the hive. Nobody within ${metres} m before it.`,
  'mind-flight-lane-or': ({ inTheWayCount, inTheWay }) =>
    `Mind ${inTheWayCount === 1 ? 'hive' : 'hives'} ${inTheWay.join(', ')}: flight lane or lid close by.`,
  'no-clear-place-group': ({ noPlaceCount, metres }) =>
    `No clear place for ${noPlaceCount} of the group: they wait ${metres} m behind and change over.`,
  'group-session-today': 'The group has a session today.',
  'opened-today-people-were': 'It is opened today, as people were told.',
  'not-weekday': 'not on this weekday',
  'not-these-hours': 'not at these hours',
  'kg-lift-can': ({ round, able }) => `${round} kg to lift, ${able} can`,
  'two-pins-name-different': 'Two pins name different supervisors for the same session.',
  'was-forbidden': ({ group, slot, hive }) =>
    `${[group ?? 'Staff', slot, hive].filter((part) => part !== null).join(', ')} was forbidden.`,
  'due-not-opened': ({ hive, again, by, other }, w) =>
    `${hive} is due ${again ? 'again ' : ''}by ${w.text(by)} and is not opened${other ? ' for it' : ''}.`,
  'due-opened-late': ({ hive, again, by, after }, w) =>
    `${hive} is due ${again ? 'again ' : ''}by ${w.text(by)} and is opened on ${w.text(after)}.`,
  'why-due': ({ daysLeft, questions }) => {
    const when =
      daysLeft < 0
        ? `${counted(-daysLeft, 'day')} late`
        : daysLeft === 0
          ? 'last day today'
          : `${counted(daysLeft, 'day')} left`;
    return `Due, ${when}${questions > 1 ? `, ${questions} questions in all` : ''}`;
  },
  'why-skill': ({ trainees, of, name }, w) =>
    `${trainees === of ? `All ${trainees}` : `${trainees} of ${of}`} still open: ${w.text(name)}`,
  'why-opened': ({ times, limit }) => `Opened ${counted(times, 'time')} in 30 days, limit ${limit}`,
  'why-nothing-to-lift': 'Nothing to lift',
  'why-calmest': ({ of, mood, visits }) => `Calmest of ${of}: ${moodOn(mood, visits)}`,
  'why-lively': ({ mood, visits }) => `Lively, ${moodOn(mood, visits)}: veils at the gate`,
  'why-easy': ({ mood, visits }) => `Easy, ${moodOn(mood, visits)}`,
  'for-its-turn': 'Its turn: opened seldom',
  'for-due': ({ title }) => `${title}, in its days`,
  'for-practice': ({ skills }, w) =>
    `To practise: ${skills.map(({ name, seated }) => `${w.text(name)}${seated ? ', sitting' : ''}`).join(', ')}`,
  'kit-common': ({ kit, groups }) => COMMON[kit](groups),
  'kit-job': ({ kit, count }) => JOB[kit][count === 1 ? 0 : 1],
  'kit-spare': ({ kit }) => SPARE[kit],
  'without-frame': ({ run }) =>
    run === 1 ? 'no frame in hand' : `no frame in hand, ${TIMES[run] ?? `${run} times`} running`,
};
