import { counted, ordinal } from './counted';
import type { PracticeSentences } from '../../practice/said';
import type { Sentences } from '../../language';
import type { Find } from '../../practice';

const FOUND: Readonly<Record<Find, readonly [one: string, many: string]>> = {
  eggs: ['egg', 'eggs'],
  'two-eggs': ['cell with two eggs', 'cells with two eggs'],
  queen: ['queen', 'queens'],
  sunken: ['sunken or perforated capping', 'sunken or perforated cappings'],
};
const seen = (there: boolean): string => (there ? 'seen' : 'not seen');
/** Parts that are called otherwise than by their name on the hive. */
const PARTS: Readonly<Record<string, string>> = {
  roof: 'roof',
  'crown-board': 'crown board',
  excluder: 'excluder',
};

/** Sentences of the room, from their facts. */
export const practiceSentences: Sentences<PracticeSentences> = {
  'part-back': ({ part }) => `${PARTS[part] ?? part} back on`,
  'part-off': ({ part }) => `${PARTS[part] ?? part} off`,
  'cells-on-frames': ({ cells, frames }, w) => `Queen cells: ${w.text(cells)}, frame ${frames.join(', ')}`,
  seen: ({ eggs, larvae, queen }) => `Eggs ${seen(eggs)}, larvae ${seen(larvae)}, queen ${seen(queen)}`,
  'of-found': ({ hits, there, find }) => `${hits} of ${there} ${FOUND[find][there === 1 ? 0 : 1]} found.`,
  'none-there': ({ find }) => `There was no ${FOUND[find][0]} on this side.`,
  'none-rightly': ({ find }) => `Rightly so: no ${FOUND[find][0]} on this side.`,
  'comb-sound': 'The comb was sound.',
  'call-doubtful-costs-second-look': 'To call it doubtful costs a second look; that is never wrong at the hive.',
  'it-showed': ({ truth, seen }, w) => `It showed ${w.name('trouble', truth)}. ${w.text(seen)}`,
  'taken-something-harmless-carried-frames': 'Taken for something harmless, it is spread by frames, tools and gloves.',
  'something-else': ({ wrong }, w) =>
    `${w.number(wrong)} ${wrong === 1 ? 'touch was' : 'touches were'} something else.`,
  'frames-read': ({ framesRead, frames }, w) => `${w.number(framesRead)} of ${w.number(frames)} frames read`,
  'bees-on': ({ frames }, w) => `Bees on ${w.number(frames, 1)} frames`,
  'bees-counted': 'Bees not counted',
  'brood-on': ({ frames }, w) => `Brood on ${w.number(frames, 1)} frames`,
  'queen-cells': 'No queen cells',
  'kg-food-nest': ({ value, superKg }, w) =>
    `${w.kg(value, 1)} of food in the nest${superKg === null ? '' : `, ${w.kg(superKg, 1)} in the supers`}`,
  'empty-bare': ({ frames }, w) => `${w.number(frames, 1)} frames empty or bare`,
  'nectar-among-brood-frame': ({ frames }) => `Nectar among the brood, frame ${frames.join(', ')}`,
  'stray-comb-seen': ({ place, content }, w) =>
    `Stray comb ${w.name('strayPlace', place)}: ${w.name('strayContent', content)}`,
  'queen-in-season': ({ season }) => `The queen is in her ${ordinal(season)} season`,
  'fed-thin': ({ days }) => `Thin syrup given ${days} days ago`,
  'mark-seen-on': ({ mark, frames }, w) =>
    `${w.name('mark', mark)} on ${frames.length === 1 ? 'frame' : 'frames'} ${w.list(frames)}`,
  'pollen-on': ({ frames }, w) => `Pollen: ${w.number(frames, 1)} frames`,
  'robbers-at-entrance': 'Robbers fight at the entrance',
  'wasps-at-entrance': ({ aMinute, past }, w) =>
    `${w.number(aMinute)} wasps a minute at the entrance${past ? ', past the guards' : ''}`,
  'mites-washed': ({ mites, bees }) => `${mites} mites washed off ${bees} bees`,
  'tempers-were': ({ tempers }) => `Temper at the last looks: ${tempers.join(', ')} of 5`,
  'doubtful-frame': ({ frames }) => `Doubtful, frame ${frames.join(', ')}`,
  'no-super-on': 'No super on',
  'supers-on': ({ supers }, w) => `${w.number(supers)} ${supers === 1 ? 'super' : 'supers'} on`,
  'in-bloom': ({ plants }, w) => `In bloom: ${plants.map((each) => w.text(each)).join(', ')}`,
  'nothing-bloom': 'Nothing in bloom',
  'next-days-poor-flying': ({ poorDays }, w) => `${w.number(poorDays)} of the next 7 days poor for flying`,
  'nights-down-to': ({ low }, w) => `Nights down to ${w.celsius(low, 0)} ahead`,
  'expected-now': ({ bees, brood, days }, w) =>
    `${counted(days, 'day')} ago its look led to expect about ${w.number(bees, 1)} frames of bees and ${w.number(brood, 1)} of brood now`,
  'nobody-judged-colony': 'Nobody judged this colony.',
  'another-school': 'Other practice',
  'due-well-but-something-presses': 'That is due as well, but something presses more.',
  'record-says-otherwise': 'The record says otherwise.',
  'one-brood-box-cool-spring': 'One brood box, a cool spring day: a look under the lid only.',
  'one-brood-box-warm-calm': 'One brood box, warm and calm: the whole nest.',
  'brood-box-super-over-excluder': 'A brood box with a super over an excluder: the whole nest.',
  'brood-box-dummy-board-two': 'A brood box with a dummy board, two supers over an excluder: the whole nest.',
  'frames-together-their-order': 'Frames together in their order',
  'veils-lit-smoker-come-before': 'Veils and a lit smoker come before anything is touched.',
  'open-without-smoke-minutes-wait': 'Open without smoke and a minute’s wait, and the guards come out.',
  'without-gap-outermost-frame-bees': 'Without the gap of the outermost frame bees and the queen are rolled.',
  'doubtful-frame-looked-again-before': 'A doubtful frame is looked at again before the hive is shut.',
  'part-comes-off-only-once': 'A part comes off only once what lies on it is off.',
  'inside-out-part-goes-back': 'From the inside out: a part goes back only once what lies under it is in its place.',
  'in-order': 'In order.',
  'pairs-stand-wrong-way-round': ({ turned, pairs }, w) =>
    `${w.number(turned)} of ${w.number(pairs)} pairs are the wrong way round.`,
  'eighths-off': ({ by, content }, w) => {
    const what = w.text(content);
    const many = /\b(eggs|larvae)$/.test(what);
    const off = by > 0 ? (many ? 'many' : 'much') : many ? 'few' : 'little';
    return `Too ${off} ${what}: ${Math.abs(by).toFixed(1)} eighths.`;
  },
  overlooked: ({ contents }, w) => `Missed: ${contents.map((each) => w.text(each)).join(', ')}.`,
  'not-there': ({ contents }, w) => `Marked but not present: ${contents.map((each) => w.text(each)).join(', ')}.`,
  'to-go': ({ framesToGo }, w) => `${w.number(framesToGo)} ${framesToGo === 1 ? 'frame' : 'frames'} to go.`,
  'seen-where': ({ id, where }, w) => `${w.name('evidence', id)}: ${w.text(where)}`,
  'nothing-read-on-that-side': 'Nothing was read on that side: choose another one.',
  'photo-asked-no-more': 'That photo is no longer asked: choose another one.',
  better: ({ answer }, w) => `Better: ${w.name('stopAnswer', answer)}.`,
  'even-outside-look': 'Not even an outside look.',
  'as-deep-as': ({ depth }, w) => `As deep as "${w.name('depthLook', depth)}".`,
  'nothing-forbids-full-opening': 'Nothing forbids a full inspection.',
  'what-forbids-more': ({ hindrances }, w) =>
    `What forbids more: ${hindrances.map((each) => w.text(each)).join(', ')}.`,
  'too-deep-hour-would-hurt': 'Too deep: that hour would hurt them.',
  'too-careful-lesson-lost': 'Too careful: a lesson lost.',
  'given-up-look-without-clock': 'Given up: look at it without the clock, then try the next one.',
  'nobody-tried-yet': 'Nobody tried it yet.',
  'right-answers-late': ({ right, all }, w) => `Right in ${w.number(right)} of ${w.number(all)} answers of late.`,
  'never-tried': ({ trainees }, w) => `${w.number(trainees)} never tried it.`,
  'skill-open': ({ open }, w) =>
    `${w.number(open)} ${open === 1 ? 'trainee has' : 'trainees have'} a skill of it open.`,
  'at-the-hive': ({ says }, w) => `At the hive: ${w.text(says)}`,
  'nobody-answered-yet': 'Nobody answered yet.',
  'not-ready-of': ({ notReady, all }, w) => `Not ready: ${w.number(notReady)} of ${w.number(all)}.`,
  'still-ready': ({ notReady, all }, w) => `Still not ready: ${w.number(notReady)} of ${w.number(all)}.`,
  'ready-before-after': ({ before, ofBefore, after, ofAfter }) =>
    `Not ready: ${before} of ${ofBefore} before, ${after} of ${ofAfter} after.`,
  gained: ({ gained }, w) => `${w.number(gained)} gained.`,
  'less-sure-than-before-ask': ({ lost }, w) =>
    `${w.number(lost)} ${lost === 1 ? 'is' : 'are'} less sure than before: ask why.`,
  'open-floor-shines-nothing': 'open, the floor shines, nothing in it',
  'open-one-thin-white-rod': 'open, one thin white rod on the floor',
  'open-two-thin-white-rods': 'open, two thin white rods',
  'open-small-white-comma-milky': 'open, a small white comma in a milky pool',
  'open-fat-white-ring-fills': 'open, a fat white ring that fills the floor',
  'lid-flat-tan-dry-level': 'capping, flat and tan, dry, level with its neighbours',
  'lid-bee-chews-her-way': 'capping, a bee chews her way through it',
  'lid-high-domed-like-bullet': 'capping, high and domed like a bullet, a wide cell',
  'open-packed-dull-coloured-half': 'open, packed dull and coloured, half full',
  'open-wet-glitter': 'open, a wet glitter',
  'lid-pale-wax-lies-what': 'capping, pale wax that lies on what is under it',
  'cell-yet-only-pressed-wax': 'no cell yet, only pressed wax',
  'grey-furred-eaten-through': 'grey and furred or eaten through',
  'lid-dark-sunken-greasy': 'capping, dark, sunken and greasy',
  'lid-sunken-ragged-hole': 'capping, sunken with a ragged hole',
  'lid-white-pupa-eyes-looks': 'no capping, a white pupa with eyes looks out',
  'open-yellowish-larva-lies-twisted': 'open, a yellowish larva lies twisted along the wall',
  'open-hard-chalky-lump': 'open, a hard chalky lump',
  'lid-domed-narrow-worker-cell': 'capping, domed, in a narrow worker cell among flat ones',
  'lids-sunken-dark-greasy-some': 'Cappings sunken, dark or greasy, some with a ragged hole; brood spotty.',
  'stop-matchstick-test-supervisor-close':
    'Stop. Ropiness (matchstick) test by a supervisor, close, entrance small, nothing leaves this hive. Foul brood is notifiable in many places: the inspector decides.',
  'open-larvae-off-their-place': 'Open larvae off their place, yellow to brown, without the pearly shine.',
  'close-call-supervisor-may-notifiable':
    'Close and call the supervisor. It may be a notifiable foul brood: the inspector decides.',
  'hard-white-grey-lumps-open': 'Hard white or grey lumps in open cells and under perforated cappings.',
  'chalk-brood-most-likely-dry':
    'Chalkbrood, most likely: dry, warm and strong cures more than anything else. Look again in two weeks.',
  'pupae-uncapped-lines-patches-their':
    'Pupae uncapped in lines or patches, their eyes to be seen; the cells’ rims raised.',
  'wax-moth-under-lids-if': 'Wax moth under the cappings if in lines; mites if scattered. Count mites before deciding.',
  'domed-lids-scattered-among-flat': 'Domed cappings scattered among flat ones, in worker cells.',
  'queen-runs-out-sperm-workers':
    'The queen runs out of sperm, or workers lay: look for eggs, one or several, and for the queen.',
  'two-more-eggs-cell-walls': 'Two and more eggs in a cell, on the walls as well as the floor.',
  'laying-workers-if-walls-queen':
    'Laying workers if on the walls and no queen; a young queen in her first week does it on the floor.',
};
