import { BRINGS, type Bring, type MiteSchool } from '@brave-comb/core/care';
import { counted, ordinal, spokenTime } from '@brave-comb/core/words';
import type { Sentences, Text, Way } from '@brave-comb/core/language';
import { upperFirst } from '@brave-comb/core/units';
import type { ServerSentences } from './said';

/** A sentence within another: without its full stop. */
const within = (text: Text, w: Way): string => w.text(text).replace(/\.$/, '');

/** "2 × feeder", "1.9 L thin syrup". */
function broughtAlong({ what, amount }: Bring, w: Way): string {
  const name = w.name('bring', what);
  if (BRINGS[what] === 'litres') return `${w.litres(amount, 1)} ${name}`;
  return BRINGS[what] === 'kg' ? `${w.kg(amount, 2)} ${name}` : `${amount} × ${name}`;
}

const MITES_KEPT_DOWN: Readonly<Record<MiteSchool, string>> = {
  sample: 'Mites are counted first, and treated over the limit.',
  calendar: 'Every colony is treated after the harvest and again when it has no brood.',
  'drone-comb': 'Drone comb is cut out sealed while the brood grows; what is counted then decides the rest.',
  'brood-break': 'All brood is taken out in summer; what is counted then decides the rest.',
};

const CALLED_OFF_BECAUSE = {
  weather: ' because of the weather',
  bees: ' because of the bees',
  'nobody-leads': ' because nobody can lead it',
  other: '',
} as const;

/** Sentences of the server in English. */
export const serverSentences: Sentences<ServerSentences> = {
  'invitation-mail-subject': ({ school }) => `Your way in at ${school}`,
  'invitation-mail': ({ name, school, by }) =>
    `Hello ${name},\n\n${by} has set you up at ${school}. Choose a password by this link; it is good once and for seven days. Pass it on to nobody: whoever opens it comes in as you.`,
  'lost-password-subject': ({ school }) => `A new password at ${school}`,
  'lost-password-mail': ({ name, school }) =>
    `Hello ${name},\n\nsomebody, you we hope, asked for a new password at ${school}. This link is good once and for seven days. If it was not you, do nothing: your password stays as it is.`,
  'rule-swarm-looks': ({ days }) =>
    `While swarms may leave, every comb edge is looked along every ${counted(days, 'day')}. Nobody removes a cell before the supervisor has seen it.`,
  'rule-no-swarm-looks': () => 'Queen cells are not hunted here: looks follow the season.',
  'rule-looks': ({ days }) => `In the high season a hive is looked into about every ${counted(days, 'day')}.`,
  'rule-rest': ({ days }) => `After frames came out a hive rests for ${counted(days, 'day')}.`,
  'rule-load': ({ openings, minutes, stings }) =>
    `In thirty days a hive bears at most ${counted(openings, 'opening')}, ${minutes} min and ${counted(stings, 'sting')}.`,
  'rule-least-food': ({ least, to }, w) => `Below ${w.kg(least)} of food a colony is fed up to ${w.kg(to)}.`,
  'rule-winter-food': ({ kg }, w) => `A full-sized colony goes into winter with ${w.kg(kg)} of food.`,
  'rule-space': ({ tenths }) => `A box is added once bees cover ${tenths} in 10 of the frames.`,
  'rule-boxes': ({ boxes }) => `A full colony lives in ${boxes === 1 ? 'one brood box' : 'two brood boxes'}.`,
  'rule-stimulates': () => 'Thin syrup is given before the main flow to drive brood.',
  'rule-lift': ({ one, two }, w) => `One person lifts up to ${w.kg(one)}, two up to ${w.kg(two)}.`,
  'rule-open-for': ({ minutes }) => `A hive lies open for ${minutes} min at most.`,
  'rule-group': ({ most }) => `At most ${counted(most, 'trainee')} stand at one hive.`,
  'rule-mites': ({ school }) => MITES_KEPT_DOWN[school],
  'rule-combs': ({ combs }) => `By next spring we want ${counted(combs, 'drawn comb')}.`,
  'rule-weather': ({ warmth, heat, gust }, w) =>
    `For a full inspection: ${w.celsius(warmth)} to ${w.celsius(heat)} in the shade, gusts up to ${w.figure('speed', gust)} ${w.unit('speed')}.`,
  'seen-on-frames': ({ frames, elsewhere }, w) =>
    [
      ...(frames.length > 0 ? [`${frames.length === 1 ? 'frame' : 'frames'} ${w.list(frames)}`] : []),
      ...(elsewhere ? ['in another box'] : []),
    ].join(', and '),
  lock: ({ why, to, date }, w) => `${w.text(why)}, until ${w.day(to, date)}.`,
  'leave-alone': ({ why, to, date }, w) => `Leave alone: ${w.text(why)}, until ${w.day(to, date)}.`,
  'better-left': ({ why, to, date }, w) => `Better left until ${w.day(to, date)}: ${w.text(why)}.`,
  'disease-suspected': ({ sick }, w) => `Disease suspected: ${w.text(sick)}`,
  asked: ({ title, question }, w) => {
    const asks = w.text(title);
    return `${asks}${asks.endsWith('?') ? '' : ':'} ${w.text(question)}`;
  },
  'bring-along': ({ brings }, w) => brings.map((bring) => broughtAlong(bring, w)).join(', '),
  'worked-enough': ({ openings, limit }) => `Opened ${openings} times in thirty days, limit ${limit}: let it rest`,
  'may-swarm': ({ from, to, today }, w) => `May swarm ${w.day(from, today)} to ${w.day(to, today)}`,
  'sharp-of-late': ({ temper }) => `Temper ${temper} of 5 lately: veil on before the first smoke`,
  'lies-in-hive': ({ medicine }) => `In the hive: ${medicine}`,
  'young-queen-lays-by': ({ to, today }, w) => `young queen, should lay by ${w.day(to, today)}`,
  'queen-never-seen': 'not seen yet',
  'queen-seen-on': ({ date, today }, w) => (date === today ? 'seen today' : `seen ${w.day(date, today)}`),
  'eggs-seen-on': ({ date, today }, w) => (date === today ? 'eggs today' : `eggs on ${w.day(date, today)}`),
  'nothing-to-foresee-from':
    'No visit of the last four months counted bees and read the brood: there is nothing to forecast from. One full inspection gives a forecast.',
  'colony-in-words': ({ boxes, frames, supers, origin, since }, w) =>
    `${boxes === 1 ? 'One box' : `${boxes} boxes`} of ${frames} frames, ${supers === 0 ? 'no super' : counted(supers, 'super')}. ${upperFirst(w.text(origin))}, here since ${w.date(since)}.`,
  'treatment-worked': ({ share, before, after, controls }, w) =>
    `${share > 0 ? `took ${share} % of the mites` : 'did not hold the mites'}: ${before.mites} on ${before.bees} bees on ${w.date(before.date)}, ${after.mites} on ${after.bees} on ${w.date(after.date)}${controls > 0 ? `, held against ${controls === 1 ? 'one untreated colony' : `${controls} untreated colonies`}` : ', no untreated colony counted'}`,
  'queen-in-words': ({ year, colour, season }, w) =>
    year === null
      ? 'The year of its queen is not known.'
      : `Queen of ${year}, ${colour ? `marked ${w.name('queenColour', colour)}` : 'not marked'}, in her ${ordinal(season!)} season.`,
  'comb-stood': ({ box, frame, elsewhere }) => (elsewhere ? `was ${frame} in the ${box}` : `was ${frame}`),
  'comb-came': 'came since',
  'super-of': ({ date, today }, w) => `super of ${w.day(date, today)}`,
  sting: ({ who, hive, count, reaction }, w) => {
    const after = reaction ? `, ${w.name('reaction', reaction)}` : who === null ? '' : ', nobody asked after it';
    return `Sting, ${who ?? 'somebody'}, hive ${hive}${count > 1 ? `, number ${count}` : ''}${after}.`;
  },
  incident: ({ what, hive, text }, w) =>
    `${upperFirst(w.name('incident', what))}, hive ${hive}${text ? `: ${text}` : ''}.`,
  'shut-late': ({ hive, minutes }) => `Hive ${hive} closed ${minutes} min late.`,
  'closed-parts-off': ({ hive, parts }) => `Hive ${hive} closed with parts off: ${parts.join(', ')}.`,
  overruled: ({ hive, guard, reason }, w) => `Caution overridden at hive ${hive}: ${w.name('guard', guard)}. ${reason}`,
  hive: ({ hive }) => `Hive ${hive}`,
  'at-hive': ({ hive }) => `Hive ${hive}:`,
  'two-readings': ({ side }, w) => `Two readings of ${w.text(side)}.`,
  'side-doubtful': ({ side }, w) => `${upperFirst(w.text(side))} is doubtful.`,
  'visit-not-closed': 'The visit is not closed.',
  'first-next-time': ({ run }, w) => `${w.text(run)}: first next time.`,
  'nobody-showed': ({ skill, open, of }, w) => `${w.text(skill)}: nobody did this; ${open} of ${of} still need it.`,
  'no-own-reading': ({ names }) => `No own reading: ${names.join(', ')}.`,
  'nothing-went-wrong': 'No incidents.',
  'talk-group': ({ group, hive, supervisor, from, to, sides }) => {
    if (from === null) return `${group} did not open hive ${hive}.`;
    const end = to === null ? 'and it is still open' : `and closed it at ${spokenTime(to)}`;
    return `${group} opened hive ${hive} with ${supervisor} at ${spokenTime(from)} ${end}. ${sides === 0 ? 'No side was read.' : `${counted(sides, 'side')} ${sides === 1 ? 'was' : 'were'} read.`}`;
  },
  'talk-not-read': ({ hive }) => `Hive ${hive}: no side of the nest was read, so nothing is said of it.`,
  'talk-nest': ({ hive, bees, brood, eggs, queen, cells }) => {
    const nest = [
      ...(bees === null ? [] : [bees === 0 ? 'less than a frame of bees' : `about ${counted(bees, 'frame')} of bees`]),
      brood === 0
        ? 'less than a frame of brood'
        : `${bees === null || bees === 0 ? `about ${counted(brood, 'frame')}` : brood} of brood`,
    ].join(' and ');
    const seen = eggs
      ? `We saw eggs${queen ? ' and the queen herself' : ''}.`
      : `${queen ? 'We saw the queen; no' : 'No'} eggs were noted.`;
    const found = cells === 0 ? '' : ` There were queen cells or cups on ${counted(cells, 'side')}.`;
    return `Hive ${hive} has ${nest}. ${seen}${found}`;
  },
  'talk-step': ({ name, skill, level }, w) => {
    const does = w.text(skill);
    const steps = {
      'saw-it': `${name} has now seen how it is done: ${does}.`,
      helped: `${name}, with help, ${does}.`,
      'with-a-word': `${name}, with a prompt, ${does}.`,
      alone: `${name} ${does}, alone now.`,
      'can-teach': `${name} ${does}, and can now teach it.`,
    };
    return steps[level];
  },
  'talk-steps-too': ({ group, names }, w) => `In ${group}, ${w.list(names)} went up a level too.`,
  'talk-near': ({ names }, w) => `${w.list(names)} read a side to within an eighth.`,
  'talk-no-step': 'No level went up this time. What was seen still counts.',
  'talk-no-frame': ({ name, run }) =>
    `${name} has had no frame in hand for ${counted(run, 'visit')}, and goes first next time.`,
  'talk-need': ({ group, skill, open, of }, w) =>
    `${open === of ? `All ${of}` : `${open} of ${of}`} in ${group} still have to show this: ${w.text(skill)}.`,
  'talk-read-first': ({ names }, w) =>
    `Next time, before the supervisor says a word: ${w.list(names)}, give your own reading.`,
  'talk-due': ({ due, hive, question }, w) => {
    const asks = w.text(question);
    return `Hive ${hive}, by ${w.weekday(due)}: ${asks}${/[.?!]$/.test(asks) ? '' : '.'}`;
  },
  'talk-nothing-due': 'Nothing is put down yet for next time.',
  'ask-found': 'Before I go on: what surprised you?',
  'ask-well': 'What made it go well?',
  'ask-learn': 'What would you do differently?',
  'ask-next': 'What would each of you do first next time?',
  sides: ({ count }) => counted(count, 'side'),
  'roles-swapped': ({ count }) => `${counted(count, 'role')} swapped`,
  stopped: ({ reason }, w) => `stopped: ${w.name('stopReason', reason)}`,
  'open-since': ({ time }, w) => `open since ${w.clock(time)}`,
  'levels-went-up': ({ count }) => `${counted(count, 'level')} went up`,
  judged: ({ count }) => `${count} judged`,
  'records-whole': ({ hives }) => `Hive records ${hives.join(', ')} are whole`,
  'not-closed': ({ hives }) => `Hive ${hives.join(', ')} is not closed`,
  'close-visit-first': 'Close the visit first.',
  'two-readings-at': ({ side, hive }, w) => `${upperFirst(w.text(side))} of hive ${hive} has two readings`,
  'no-two-readings': 'No side has two readings',
  'and-more': ({ count }) => `and ${count} more`,
  'settle-reading': 'Settle which reading counts.',
  'nothing-wrong': 'No incidents',
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
  'opened-much': ({ over }, w) => `Opened a lot lately: over the limit of ${w.list(over)}.`,
  'judge-by-thermometer': 'no forecast: judge by the thermometer at the hive',
  'late-in-the-year': 'late in the year',
  'at-hour': ({ why, time }, w) =>
    `${why === null ? 'warm, dry and light enough' : w.name('atTheHive', why)} at ${w.clock(time)}`,
  'sting-reaction-reported': 'Sting reaction reported',
  'to-a-doctor': ({ count }) => `Reaction beyond the sting, see a doctor: ${count}`,
  'ask-stung-now': ({ count }) => `Stung, ask now: ${count}`,
  'stung-watched': ({ count }) => `Stung, being watched: ${count}`,
  'bees-ask-closed': 'Bees are defensive: close up',
  'open-too-long': ({ minutes, allowed }) => `Open ${minutes} min, allowed ${allowed}`,
  'bees-agitated': 'The bees are agitated',
  'two-readings-of': ({ sides }, w) => `Two readings of ${sides.map((side) => w.text(side)).join(', ')}`,
  incidents: ({ count }) => `${counted(count, 'incident')} noted`,
  'doubtful-frames': ({ frames }) => `Doubtful: ${frames.join(', ')}`,
  'parts-off': ({ parts }) => `Closed with parts off: ${parts.join(', ')}`,
  'questions-for-you': ({ count }) => `${counted(count, 'question')} for you`,
  'walk-them-away': 'Walk them away from the hives, veil stays on until clear.',
  'call-now': 'Trouble breathing, swollen face or faint: call now. Short of breath: sit up. Faint: lie flat.',
  'adrenaline-pen': 'Adrenaline pen if they have one: use it as its label says, outer thigh, note the time.',
  'meet-at-the-gate':
    'One goes to the gate to meet the ambulance, one stays; the others close the hive: crown board and roof will do.',
  'read-the-place': 'Say where you are: read it out as written here.',
  'lift-straight': ({ part, kg, lift }, w) =>
    `${part} ${w.kg(kg, 0)}, ${w.name('lift', lift)}. Straight back, onto a stand.`,
  'hive-lively': ({ hive }) => `Hive ${hive} is lively.`,
  'veils-at-gate': 'Veils on at the gate.',
  walk: 'Walk',
  'behind-stand': ({ stands }, w) => `behind stand ${w.list(stands)}.`,
  'stung-or-unwell': 'Stung, unwell?',
  'say-so': 'Say so at once.',
  limits: ({ kg, seated }, w) =>
    `${kg === null ? 'Lifts nothing' : `Lifts at most ${w.kg(kg)}`}${seated ? ', works seated' : ''}.`,
  'part-to-lift': ({ part, kg, lift }, w) =>
    `${part}, ${w.kg(kg, 0)}: ${w.name('lift', lift)}${lift === 'by-frames' ? ', into a spare box' : ''}`,
  turn: ({ from, to, role }, w) => `frames ${from}–${to}: ${w.name('role', role)}`,
  'pin-cannot-come': ({ group, slot, why }, w) =>
    `${w.text(group)} cannot come ${w.text(slot)}: ${w.text(why)}. Choose another slot, or change when they can come.`,
  'pin-cannot-be-kept': ({ rules }, w) =>
    `This slot cannot be fixed. ${rules.map((rule) => w.text(rule)).join(' ') || 'It conflicts with another fixed slot or with what people were told for today.'}`,
  'plan-cannot-be-held': ({ rules }, w) =>
    `This plan cannot be held: ${rules.map((rule) => w.text(rule)).join(' ')} Change it or plan again.`,
  'poll-suggested': ({ skill }, w) => `Could you do this alone: ${w.text(skill)}?`,
  'mend-in-review': 'Correct it in the visit review or assess it in the passport.',
  'debrief-sent-back': ({ day, hive }, w) => `Debrief of ${w.text(day)}, hive ${w.text(hive)}: something is missing`,
  hived: ({ as }, w) => `Hived as ${w.name('newColony', as)}`,
  'queen-begins': ({ start }, w) => `Queen: ${w.name('queenStart', start)}`,
  treated: ({ medicine, doses, repeatAfter, removeAfter, withdrawal, supersAllowed }) =>
    [
      medicine,
      doses > 1 && repeatAfter ? `${doses} doses, every ${counted(repeatAfter, 'day')}` : '',
      removeAfter ? `out after ${counted(removeAfter, 'day')}` : '',
      withdrawal === null ? 'withdrawal not entered' : `withdrawal ${counted(withdrawal, 'day')}`,
      supersAllowed ? 'allowed with supers on' : '',
    ]
      .filter(Boolean)
      .join(', '),
  'treatment-taken-out': ({ medicine }) => `${medicine ?? 'Treatment'} taken out`,
  fed: ({ kg, what }, w) => `${w.kg(kg)} of ${w.name('feed', what)}`,
  'patty-given': ({ kg }, w) => `${w.kg(kg)} of protein patty`,
  'super-put-on': ({ kg }, w) => `Super on, holds ${w.kg(kg)}`,
  ordered: ({ what }) => `Ordered by the inspector: ${what}`,
  suspicion: ({ of }) => `Suspicion of ${of}`,
  'kept-for': ({ aim }, w) => `Kept for: ${w.name('colonyAim', aim)}`,
  'trait-seen': ({ trait }, w) => `Noted: ${w.name('trait', trait)}`,
  'weather-answer-gap': ({ hours, name }) => `The weather service left out ${hours} hours of ${name} in a row.`,
  'weather-status': ({ status }) => `The weather service answered with status ${status}.`,
  'weather-left-out': ({ missing }, w) =>
    `The weather service left out ${w.list(missing.map((figure) => w.name('weatherFigure', figure)))}: usual values are used.`,
  'weather-filled': ({ filled }) =>
    filled === 1
      ? '1 missing value was filled from the hours around it.'
      : `${filled} missing values were filled from the hours around them.`,
  'weather-spread':
    'The weather service tells some days for three or six hours at a time: they were spread over their hours.',
  'weather-made-up':
    'This weather is made up: no service is set. Look at a real forecast before anybody goes, and ask whoever runs the server to name a service.',
  'weather-no-collection':
    'The weather service offers no collection that can be asked for a point and tells temperature, wind and rain: name one in WEATHER_FORECAST and WEATHER_OBSERVED.',
  'weather-silent': 'The weather service did not answer.',
  'no-newer-forecast': 'The weather service has no newer forecast yet.',
  'forecast-not-come': 'A newer forecast has been requested and has not arrived yet.',
  'no-earlier-forecast': 'No earlier forecast is kept.',
  'older-forecast': ({ hours }) =>
    `Still in use: the forecast of ${hours >= 48 ? `${Math.round(hours / 24)} days` : counted(hours, 'hour')} ago, with wider odds.`,
  'scale-status': ({ status }) => `The scale service answered with status ${status}.`,
  'scale-not-there': ({ scale }) => `The scale service has no weights of a scale called ${scale}.`,
  'scale-elsewhere': 'The scale service sent us to another address: it is not followed.',
  'planning-died':
    'Planning ended unexpectedly several times. Plan fewer days or groups at once, or tell whoever runs this server.',
  'plan-unreadable': 'This plan was asked for by another version of the application and cannot be read. Plan again.',
  'pins-not-kept': 'The fixed slots cannot all be kept. Undo one of those named on the board, then plan again.',
  'comb-place': ({ hive, box, place }) => `hive ${hive}, ${box}, place ${place}`,
  'comb-box': ({ hive, box }) => `hive ${hive}, ${box}`,
  'comb-new': 'new',
  calendar: ({ school }) => `Brave Comb: ${school}`,
  'group-hive-supervisor': ({ group, hive, supervisor }) => `${group}: hive ${hive}, with ${supervisor}`,
  'weather-decides': 'Weather decides on the day: look at the day sheet before you leave.',
  bring: ({ what }, w) => `Bring: ${w.text(what)}`,
  'hive-at-site': ({ hive, site }) => `Hive ${hive}, ${site}:`,
  'works-sitting': 'works seated',
  'lifts-up-to': ({ kg }, w) => `lifts up to ${w.kg(kg)}`,
  'answer-first': 'Answer first, then you see how the others did.',
  'answered-by-a-visit': 'Answered by a visit',
  'sky-of-the-day': ({ high, rain }, w) =>
    `up to ${w.celsius(high, 0)}${rain >= 0.5 ? `, ${w.rain(rain, 1)} rain` : ', dry'}`,
  weekday: ({ date }, w) => w.weekday(date),
  slot: ({ date, from, to }, w) => `${w.weekday(date)}, ${w.clock(from)}–${w.clock(to)}`,
  hives: ({ numbers }) => `${numbers.length === 1 ? 'hive' : 'hives'} ${numbers.join(', ')}`,
  'leads-elsewhere': 'leads another session then',
  'group-elsewhere': 'has another session then',
  'hand-weather': ({ depth, tenths }, w) =>
    `The hours are fit for ${w.name('depth', depth)} in ${tenths} of 10 forecasts.`,
  'hand-group': ({ group, why }, w) => `${group}: ${w.text(why)}.`,
  'hand-leader': ({ name, why }, w) => `${name}: ${w.text(why)}.`,
  'hand-leader-twice': ({ name }) => `${name} would lead two groups at once.`,
  'hand-empty-hive': ({ number, site }) => `No colony lives in hive ${number ?? '?'} at ${site}.`,
  'hand-hive-planned': ({ number, when }, w) => `Hive ${number ?? '?'} is opened on ${w.text(when)} too.`,
  'opened-on': ({ date }, w) => `is opened on ${w.text(date)} too`,
  'hand-turns': ({ why, at }, w) => `turns ${at}${why === null ? '' : `: ${w.text(why)}`}`,
  'session-off': ({ group, when, why }, w) =>
    `${group}: ${w.text(when)} does not take place${CALLED_OFF_BECAUSE[why]}.`,
  'session-on-again': ({ group, told }, w) => `${group}: takes place after all, ${w.text(told)}`,
  'session-told': ({ when, site, hives, supervisor }, w) =>
    `${w.text(when)} at ${site}, ${w.text(hives)}, with ${supervisor ?? 'a supervisor'}`,
  'session-called-off': ({ group, when }, w) => `${group ?? 'A group'}: called off, ${w.text(when)}`,
  'session-new': ({ group, told }, w) => `${group ?? 'A group'}: new, ${w.text(told)}`,
  'session-moved': ({ group, from, told }, w) => `${group ?? 'A group'}: moved from ${w.text(from)} to ${w.text(told)}`,
  'session-changed': ({ group, when, hives, supervisor, wereHives, wasWith }, w) =>
    `${group ?? 'A group'}: ${w.text(when)} now ${w.text(hives)}, with ${supervisor ?? 'a supervisor'} (was ${w.text(wereHives)}, ${wasWith ?? 'a supervisor'})`,
  'staff-alone': ({ what, when, site, hive }, w) =>
    `Staff alone: ${what === 'new' ? 'new' : 'called off'}, ${w.text(when)} at ${site}, hive ${hive}`,
  'sessions-changed': ({ count }) =>
    count === 1 ? 'Your session has changed' : `${count} of your sessions have changed`,
  'claim-turned-down': ({ skill }, w) => `Your claim was declined: ${w.text(skill)}`,
  'showings-turned-down': ({ count }) => `${counted(count, 'showing')} of your passport were declined`,
  'claim-stays': ({ day }, w) =>
    `It was about ${w.day(day)}. It stays in your passport; show the skill again and claim it again.`,
  'showings-stay': 'They stay in your passport; show the skills again here.',
  'turned-down-by': ({ who, reason }) => `${who}: ${reason}`,
  'list-to-begin-with': 'The list to begin with',
  'rule-not-met': ({ skill, standing }, w) =>
    `“${w.text(skill)}” is ${w.text(standing)}. Say why it is signed off anyway, or leave it out.`,
  'skills-open': ({ count, first }, w) =>
    `${count === 1 ? '1 skill is' : `${count} skills are`} still open: ${first.map((name) => w.text(name)).join('; ')}${count > first.length ? ' and more' : ''}. Show or sign them off first.`,
  'typical-year': ({ name }) => `typical year of ${name}`,
  'last-year-smoothed': 'the last year’s weather here, smoothed',
  'rough-guess': (_facts, w) =>
    `a rough guess from latitude, height and the land around, ${w.degrees(3)} either way: dates may be weeks off. Import a typical year, or wait for a year of observations`,
  'stay-shut': ({ from, to, why }, w) =>
    `${w.clock(from)}–${w.clock(to)} hives stay closed: ${why === null ? 'weather' : w.name('hinders', why)}`,
  'fit-for': ({ from, to, depth, why, turns, broodMinutes }, w) =>
    `${w.clock(from)}–${w.clock(to)} fit for ${w.name('depthLook', depth)}${why ? `, no deeper for ${w.name('hinders', why)}` : ''}${turns ? `; ${w.name('hinders', turns.why)} ends it at ${w.clock(turns.at)}` : ''}${broodMinutes > 0 ? `; a brood frame may be out ${broodMinutes} min` : ''}`,
};
