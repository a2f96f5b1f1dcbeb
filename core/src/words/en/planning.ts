import { counted } from './counted';
import type { Sentences } from '../../language';
import type { CommonKit, JobKit, SpareKit } from '../../planning';
import type { PlanningSentences } from '../../planning/said';

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
  buckets: () => 'lidded scrap buckets',
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
  'wrong-instance': ({ instance, name }) => `The plan is for "${instance}", not "${name}".`,
  'wrong-worth': ({ stated, worth }) => `The plan states ${stated}, it is worth ${worth}.`,
  'worth-over-bound': ({ worth, bound }) => `The plan is worth ${worth}, more than the bound it states, ${bound}.`,
  'cannot-come': ({ who, slot }) => `${who} cannot come at ${slot}.`,
  'hive-count': ({ group, count, slot, most }) => `${group} opens ${count} hives at ${slot}, 1 to ${most} are allowed.`,
  'hive-repeated': ({ group, slot }) => `${group} opens the same hive twice at ${slot}.`,
  'session-too-long': ({ group, minutes, slot, has }) =>
    `${group} needs ${minutes} minutes at ${slot}, which has ${has}.`,
  'too-lively': ({ hive, temper, group, most }) => `${hive} has temper ${temper}, ${group} may open up to ${most}.`,
  'other-place': ({ hive, slot }) => `${hive} does not stand where ${slot} is held.`,
  'suspect-last': ({ hive, group }) => `${hive} is suspect and must be the last that ${group} opens.`,
  'suspect-senior': ({ hive, supervisor }) => `${hive} is suspect and ${supervisor} is not senior.`,
  'too-many-sessions': ({ group, count, most }) => `${group} has ${count} sessions, at most ${most} are allowed.`,
  'group-twice': ({ group, slot }) => `${group} has two sessions at ${slot}.`,
  'gap-too-short': ({ group, first, second, gapDays }, w) =>
    `${group} comes on ${w.text(first)} and on ${w.text(second)}, ${gapDays} days apart at least.`,
  'several-groups': ({ supervisor, groups, slot }) => `${supervisor} takes ${groups} groups at ${slot}.`,
  'two-places-at-once': ({ supervisor, slot }) => `${supervisor} is at two apiaries at once at ${slot}.`,
  'too-few-suits': ({ needed, slot, there }) => `${needed} suits are needed at ${slot}, there are ${there}.`,
  'staff-visits': ({ count, slot, most }) => `Staff open ${count} hives at ${slot}, at most ${most}.`,
  'staff-minutes': ({ minutes, slot, have }) => `Staff need ${minutes} minutes at ${slot}, they have ${have}.`,
  'staff-suspects': ({ slot }) => `Staff open more than one suspect hive at ${slot}.`,
  'too-early': ({ hive, day, from }, w) => `${hive} is opened on ${w.text(day)}, not before ${w.text(from)}.`,
  'rests-since-last': ({ hive, lastOpened, restDays }, w) =>
    `${hive} was opened on ${w.text(lastOpened)} and rests ${restDays} days.`,
  'hive-shared': ({ hive, slot }) => `${hive} is opened twice at ${slot}.`,
  'rests-between': ({ hive, first, second, restDays }, w) =>
    `${hive} is opened on ${w.text(first)} and on ${w.text(second)} and rests ${restDays} days.`,
  'pinned-staff': ({ hive, slot }) => `Staff do not open ${hive} at ${slot}, which is fixed.`,
  'pinned-session': ({ group, slot }) => `${group} has no session at ${slot}, which is fixed.`,
  'pinned-hive': ({ group, hive, slot }) => `${group} does not open ${hive} at ${slot}, which is fixed.`,
  'pinned-supervisor': ({ supervisor, group, slot }) =>
    `${supervisor} is not with ${group} at ${slot}, which is fixed.`,
  'low-odds': ({ group, slot, tenths }) => `${group}, ${slot}: fit in ${tenths} of 10 forecasts.`,
  'too-few-sessions': ({ group, held, wanted }) => `${group} has ${held} of ${wanted} sessions.`,
  'comes-late': ({ group, day, lateAfter }, w) => `${group} comes on ${w.text(day)}, later than ${w.text(lateAfter)}.`,
  'little-time-over': ({ group, slot, left }) => `${group}, ${slot}: ${left} minutes left over.`,
  'no-supervisor': 'There is no supervisor.',
  'too-long-for-now': ({ hive, minutes, left }) => `${hive} takes ${minutes} minutes, ${left} are left.`,
  'others-worth-more': ({ hive, minutes }) =>
    `${hive} takes ${minutes} minutes; the others are worth more in the time.`,
  'adds-nothing': ({ hive }) => `${hive} would add nothing today.`,
  'group-session-today': 'The group has a session today.',
  'comes-by-hand': ({ date }, w) => `has a session made by hand on ${w.weekday(date)}`,
  'opened-by-hand': ({ date }, w) => `It is opened in a session made by hand on ${w.weekday(date)}.`,
  'leads-by-hand': 'leads a session made by hand then',
  'opened-today': 'It is opened today, as people were told.',
  'not-weekday': 'not on this weekday',
  'not-these-hours': 'not at these hours',
  'too-heavy': ({ kg, able }, w) => `${w.kg(kg)} to lift, ${able} can`,
  'pins-differ': 'Two fixed slots name different supervisors for the same session.',
  'was-forbidden': ({ group, slot, hive }) =>
    `${[group ?? 'Staff', slot, hive].filter((part) => part !== null).join(', ')} is excluded.`,
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
  'for-due': ({ title }) => `${title}, due now`,
  'for-practice': ({ skills }, w) =>
    `To practise: ${skills.map(({ name, seated }) => `${w.text(name)}${seated ? ', seated' : ''}`).join(', ')}`,
  'kit-common': ({ kit, groups }) => COMMON[kit](groups),
  'kit-job': ({ kit, count }) => JOB[kit][count === 1 ? 0 : 1],
  'kit-spare': ({ kit }) => SPARE[kit],
  'without-frame': ({ run }) =>
    run === 1 ? 'no frame in hand' : `no frame in hand, ${TIMES[run] ?? `${run} times`} running`,
};
