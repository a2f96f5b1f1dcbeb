import { counted } from '@brave-comb/core/words';
import type { Sentences, Text, Way } from '@brave-comb/core/language';
import { upperFirst } from '@brave-comb/core/units';
import type { ServerSentences } from './said';

/** A sentence within another: without its full stop. */
const within = (text: Text, w: Way): string => w.text(text).replace(/\.$/, '');

/** Sentences of the server in English. */
export const serverSentences: Sentences<ServerSentences> = {
  lock: ({ why, to, date }, w) => `${w.text(why)}, until ${w.day(to, date)}.`,
  'leave-alone': ({ why, to, date }, w) => `Leave alone: ${w.text(why)}, until ${w.day(to, date)}.`,
  'better-left': ({ why, to, date }, w) => `Better left until ${w.day(to, date)}: ${w.text(why)}.`,
  'disease-suspected': ({ sick }, w) => `Disease suspected: ${w.text(sick)}`,
  asked: ({ title, question }, w) => {
    const asks = w.text(title);
    return `${asks}${asks.endsWith('?') ? '' : ':'} ${w.text(question)}`;
  },
  'super-of': ({ date, today }, w) => `super of ${w.day(date, today)}`,
  sting: ({ who, hive, count, reaction }, w) => {
    const after = reaction ? `, ${w.name('reaction', reaction)}` : who === null ? '' : ', nobody asked after it';
    return `Sting, ${who ?? 'somebody'}, hive ${hive}${count > 1 ? `, number ${count}` : ''}${after}.`;
  },
  incident: ({ what, hive, text }, w) =>
    `${upperFirst(w.name('incident', what))}, hive ${hive}${text ? `: ${text}` : ''}.`,
  'shut-late': ({ hive, minutes }) => `Hive ${hive} shut ${minutes} min late.`,
  'closed-parts-off': ({ hive, parts }) => `Hive ${hive} closed with parts off: ${parts.join(', ')}.`,
  overruled: ({ hive, guard, reason }, w) => `Overruled at hive ${hive}: ${w.name('guard', guard)}. ${reason}`,
  hive: ({ hive }) => `Hive ${hive}`,
  'at-hive': ({ hive }) => `Hive ${hive}:`,
  'two-readings': ({ side }, w) => `Two readings of ${w.text(side)}.`,
  'side-doubtful': ({ side }, w) => `${upperFirst(w.text(side))} is doubtful.`,
  'visit-not-closed': 'The visit is not closed.',
  'first-next-time': ({ run }, w) => `${w.text(run)}: first next time.`,
  'nobody-showed': ({ skill, open, of }, w) => `${w.text(skill)}: nobody, ${open} of ${of} have it open.`,
  'no-own-reading': ({ names }) => `No own reading: ${names.join(', ')}.`,
  'group-at-hive': ({ group, hive, supervisor, says }, w) =>
    `${group} at hive ${hive}, with ${supervisor}. ${w.text(says)}`,
  'step-up': ({ up }, w) =>
    `A step up: ${up.map(({ name, skill, level }) => `${name}: ${w.text(skill)}, ${w.name('skillLevel', level)}`).join('; ')}.`,
  'read-within-eighth': ({ near }) => `Read within an eighth: ${near.join(', ')}.`,
  'not-yet-done': ({ lines }, w) =>
    `Not yet done: ${lines.map(({ lead, text }) => `${w.text(lead)}, ${within(text, w)}`).join('; ')}.`,
  'nothing-went-wrong': 'Nothing went wrong.',
  'went-wrong': ({ texts }, w) => `What went wrong, without blame: ${texts.map((text) => w.text(text)).join(' ')}`,
  'comes-next': ({ texts }, w) => `Next: ${texts.map((text) => w.text(text)).join('; ')}.`,
  'first-next-time-asked': 'What would each of you do first next time?',
  sides: ({ count }) => counted(count, 'side'),
  'roles-swapped': ({ count }) => `${counted(count, 'role')} swapped`,
  stopped: ({ reason }, w) => `stopped: ${w.name('stopReason', reason)}`,
  'open-since': ({ time }) => `open since ${time} UTC`,
  'levels-went-up': ({ count }) => `${counted(count, 'level')} went up`,
  judged: ({ count }) => `${count} judged`,
  'records-whole': ({ hives }) => `Hive records ${hives.join(', ')} are whole`,
  'not-closed': ({ hives }) => `Hive ${hives.join(', ')} is not closed`,
  'close-visit-first': 'Close the visit first.',
  'two-readings-at': ({ side, hive }, w) => `${upperFirst(w.text(side))} of hive ${hive} has two readings`,
  'no-two-readings': 'No side has two readings',
  'and-more': ({ count }) => `and ${count} more`,
  'settle-reading': 'Settle which reading counts.',
  'nothing-wrong': 'Nothing went wrong',
  'all-wrong': ({ texts }, w) => texts.map((text) => within(text, w)).join('; '),
  'whole-hive': 'the whole hive',
  'voice-note': 'voice note',
  'frames-times': ({ frames, letter, kg }, w) =>
    `${frames} frames ${letter === 'H' ? 'honey' : 'nectar'} × ${w.kg(kg)}`,
  'so-many-kg': ({ kg }, w) => w.kg(kg),
  'sides-read': ({ count }) => `${counted(count, 'side')} read`,
  'half-an-eighth': 'half an eighth a side',
  'area-source': ({ frame, dm2 }, w) =>
    `${w.name('frameKind', frame)}: ${dm2} dm² both sides. Honey 0.17 kg a dm² side, nectar six tenths of it: common practice.`,
  'not-known': 'not known',
  'mating-flight': ({ from, to }) =>
    `A young queen may be out mating at this hour (${from} to ${to} o’clock): stand clear of the entrance, move no hive, and open after ${to} o’clock if it can wait.`,
  'opened-last': ({ sick }, w) => `Disease suspected: ${w.text(sick)}. Opened last, tools washed, no frame leaves it.`,
  'experienced-hands': ({ temper }) => `Temper ${temper} of 5 last time: experienced hands at the frames.`,
  'weighs-about': ({ part, kg, lift }, w) => `${part} weighs about ${w.kg(kg, 0)}: ${w.name('lift', lift)}.`,
  'opened-much': ({ over }, w) => `Opened much lately: over the limit of ${w.list(over)}.`,
  'judge-by-thermometer': 'no forecast: judge by the thermometer at the hive',
  'late-in-the-year': 'late in the year',
  'at-hour': ({ why, time }, w) =>
    `${why === null ? 'warm, dry and light enough' : w.name('atTheHive', why)} at ${time}`,
  'sting-reaction-reported': 'Sting reaction reported',
  'to-a-doctor': ({ count }) => `Reacted beyond a sting, to a doctor: ${count}`,
  'ask-stung-now': ({ count }) => `Stung, to be asked now: ${count}`,
  'stung-watched': ({ count }) => `Stung, under watch: ${count}`,
  'bees-ask-closed': 'The bees ask to be closed',
  'open-too-long': ({ minutes, allowed }) => `Open ${minutes} min, allowed ${allowed}`,
  'bees-agitated': 'The bees are agitated',
  'two-readings-of': ({ sides }, w) => `Two readings of ${sides.map((side) => w.text(side)).join(', ')}`,
  incidents: ({ count }) => `${counted(count, 'incident')} noted`,
  'doubtful-frames': ({ frames }) => `Doubtful: ${frames.join(', ')}`,
  'parts-off': ({ parts }) => `Closed with parts off: ${parts.join(', ')}`,
  'questions-for-you': ({ count }) => `${counted(count, 'question')} for you`,
  'walk-them-away': 'Walk them away from the hives, veil stays on until clear.',
  'call-now': 'Hard to breathe, swollen face or faint: call now. Short of breath sits up, faint lies flat.',
  'adrenaline-pen': 'Adrenaline pen if they have one: use it as its label says, outer thigh, note the time.',
  'meet-at-the-gate':
    'One goes to the gate to meet the ambulance, one stays; the others close the hive: crown board and roof will do.',
  'read-the-place': 'Say the place, read it out as it stands here.',
  'lift-straight': ({ part, kg, lift }, w) =>
    `${part} ${w.kg(kg, 0)}, ${w.name('lift', lift)}. Straight back, onto a stand.`,
  'hive-lively': ({ hive }) => `Hive ${hive} is lively.`,
  'veils-at-gate': 'Veils on at the gate.',
  walk: 'Walk',
  'behind-stand': ({ stands }, w) => `behind stand ${w.list(stands)}.`,
  'stung-or-unwell': 'Stung, unwell?',
  'say-so': 'Say so at once.',
  limits: ({ kg, seated }, w) =>
    `${kg === null ? 'Lifts nothing' : `Lifts at most ${w.kg(kg)}`}${seated ? ', works sitting' : ''}.`,
  'part-to-lift': ({ part, kg, lift }, w) =>
    `${part}, ${w.kg(kg, 0)}: ${w.name('lift', lift)}${lift === 'by-frames' ? ', into a spare box' : ''}`,
  turn: ({ from, to, role }, w) => `frames ${from}–${to}: ${w.name('role', role)}`,
  'pin-cannot-come': ({ group, slot, why }, w) =>
    `${w.text(group)} cannot come ${w.text(slot)}: ${w.text(why)}. Choose other hours, or change when they can come.`,
  'pin-cannot-be-kept': ({ rules }, w) =>
    `This pin cannot be kept. ${rules.map((rule) => w.text(rule)).join(' ') || 'Another pin, or what people were told for today, stands against it.'}`,
  'plan-cannot-be-held': ({ rules }, w) =>
    `This plan cannot be held: ${rules.map((rule) => w.text(rule)).join(' ')} Change it or plan again.`,
  'poll-suggested': ({ skill }, w) => `Could you do this alone: ${w.text(skill)}?`,
  'debrief-sent-back': ({ day, hive }, w) => `Debrief of ${w.text(day)}, hive ${w.text(hive)}: something is missing`,
  'list-to-begin-with': 'The list to begin with',
  'rule-not-met': ({ skill, standing }, w) =>
    `“${w.text(skill)}” is ${w.text(standing)}. Say why it is signed all the same, or leave it out.`,
  'skills-open': ({ count, first }, w) =>
    `${count === 1 ? '1 skill is' : `${count} skills are`} still open: ${first.map((name) => w.text(name)).join('; ')}${count > first.length ? ' and more' : ''}. Show or sign them first.`,
  'typical-year': ({ name }) => `typical year of ${name}`,
  'last-year-smoothed': 'the last year’s weather here, smoothed',
  'rough-guess':
    'a rough guess from latitude, height and the land around, 3 °C either way: dates may be weeks off. Import a typical year, or wait for a year of observations',
  'stay-shut': ({ when, why }, w) => `${when} hives stay shut: ${why === null ? 'weather' : w.name('hinders', why)}`,
  'fit-for': ({ when, depth, why, turns, broodMinutes }, w) =>
    `${when} fit for ${w.name('fitFor', depth)}${why ? `, no deeper for ${w.name('hinders', why)}` : ''}${turns ? `; ${w.name('hinders', turns.why)} turns it at ${turns.at}` : ''}${broodMinutes > 0 ? `; a brood frame may be out ${broodMinutes} min` : ''}`,
};
