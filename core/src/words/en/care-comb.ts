import { counted } from './counted';
import type { CombSentences } from '../../care';
import type { DefectId, StrayCause } from '../../inspection';
import type { Sentences } from '../../language';
import { spoken } from '../../units';

const frames = (list: readonly number[], of: (parts: readonly number[]) => string): string =>
  `${list.length === 1 ? 'frame' : 'frames'} ${of(list)}`;

const MEND: Readonly<Record<StrayCause, string>> = {
  'gap-too-wide': 'measure the gap and change the part that leaves it',
  'missing-frame': 'fill the place with a frame or a dummy',
  'slack-frames': 'push the frames tight',
  'empty-rim': 'take the rim off',
  'heat-collapse': 'shade the hive and give wired comb',
  'earlier-visit': 'lift straight and slowly next time',
  'not-known': 'find the gap that made it',
};
const WHY: Readonly<Record<StrayCause, string>> = {
  'gap-too-wide': 'the gap there is too wide',
  'missing-frame': 'a frame or the dummy is missing',
  'slack-frames': 'the frames stand slack',
  'empty-rim': 'an empty rim is on',
  'heat-collapse': 'comb went soft in the heat',
  'earlier-visit': 'it was broken at an earlier visit',
  'not-known': 'nobody knows why yet',
};
const MENDING: Readonly<Record<DefectId, string>> = {
  gap: 'close the gap',
  rot: 'cut out or change the rotten wood',
  escape: 'change the worn escape',
  joint: 'fix the loose joint',
  leak: 'it leaks',
  frame: 'change the broken frame',
  mesh: 'change the torn mesh or bent grid',
  tight: 'plane it where it sticks',
  stand: 'it rocks or sinks',
};

/** What is said of comb where none should be, of worn comb, of bare frames, and of the parts of the hive. */
export const combSentences: Sentences<CombSentences> = {
  'brood-above-bring-her-down':
    'Brood above the excluder: find the queen, bring her down, and mend where she got through',
  'brood-above-noted': 'Brood was seen above the excluder',
  'splits-the-harvest': 'leaves her room, and takes only the supers that hold no brood.',
  'brood-above-rule':
    'Bees do not leave brood: a super with brood in it never clears. She is looked for from the top box down; the grid is looked at for bent wires and for the way it lies.',
  'drones-above-need-way-out': 'Drones that emerge above need a way out: lift the lid a moment on a warm afternoon.',
  'is-brood-above-gone': 'Is the brood above the excluder gone?',
  'look-above-again-three-weeks': 'If eggs are there again, she was not the only queen, or the grid is at fault.',
  'let-drones-out': 'Let the drones out from above the excluder, and scrape the dead ones out of it',
  'drones-caught-noted': 'Drones were caught in the excluder',
  'leaves-upper-entrance': 'gives the supers a small entrance of their own, so that drones fly.',
  'drones-rule':
    'Drones do not pass the grid. Dead in it they stop it up for workers; they come from drone brood above, laid there or moved up with a comb.',
  'who-laid-drones': 'Any eggs above? Then she is up there',
  'fallen-comb-out':
    'Take the fallen comb out: look for the queen on it first, tie what holds brood into an empty frame',
  'fallen-comb-noted': 'Comb lies on the floor or hangs broken',
  'lets-them-mend-it': 'lets the bees mend and carry off what they can, and takes the rest out in spring.',
  'fallen-comb-rule': 'Fallen comb crushes bees, blocks the way out and draws robbers with its honey.',
  'queen-on-comb': 'Look for the queen on every piece before it is cut or lifted away.',
  'heat-work-early': 'Hot days: early in the morning, while comb is firm, and shade afterwards.',
  'comb-hangs-floor-clear': 'Do the combs hang, is the floor clear?',
  'excluder-out-winter': 'Take the excluder out from under the winter food, on a mild day, without lifting a frame',
  'excluder-under-winter-food': 'Their winter food stands above the excluder',
  'takes-food-off-too': 'takes the super off with it and feeds the brood box full instead.',
  'excluder-winter-rule':
    'The cluster climbs into the food; the queen cannot follow it through the grid and dies of cold.',
  'excluder-off-food-stays': 'Is the grid out, and does the food stand on the nest?',
  'bare-out-of-nest': ({ frames: list }, w) =>
    `Take the bare ${frames(list, (each) => w.list(each))} out of the brood nest and close it up`,
  'bare-between-brood': ({ frames: list }, w) =>
    `Bare ${frames(list, (each) => w.list(each))} with brood on both sides`,
  'few-or-cold': ({ bees, warmest }, w) =>
    [
      bees === null ? '' : `bees on ${w.number(bees, 1)} frames only`,
      warmest === null ? '' : `days of about ${w.celsius(Math.round(warmest))} ahead`,
    ]
      .filter(Boolean)
      .join(', '),
  'hangs-bare-between-brood':
    'hangs one undrawn frame between brood frames of a strong colony in warm weather: drawn in days.',
  'one-warm-ball':
    'A nest is one warm ball. An undrawn frame through its middle is a wall that a small colony cannot warm.',
  'nest-closed-up': 'Brood on neighbouring frames again?',
  'strong-warm-flow-leave': 'Bees on most frames, warm nights and nectar coming in: it may stay where it is.',
  'stray-mended': ({ place, cause, removed }, w) =>
    removed
      ? `The stray comb ${w.name('strayPlace', place)} is out: now ${MEND[cause]}`
      : `Take the stray comb ${w.name('strayPlace', place)} out, and ${MEND[cause]}`,
  'stray-noted': ({ place, cause }, w) => `Comb ${w.name('strayPlace', place)}: ${WHY[cause]}`,
  'stray-unexplained': 'Clear the stray comb and find the gap that made it',
  'stray-unexplained-noted': 'Stray comb was noted, and nobody says why it is there',
  'gap-change-part': ({ between, mm, built }, w) =>
    built
      ? `Clear what was built between ${between}, and change the part that leaves ${w.number(mm)} mm`
      : `Change the part that leaves ${w.number(mm)} mm between ${between}, before it is built full`,
  'gap-measured': ({ between, mm }, w) => `${w.number(mm)} mm between ${between}`,
  'leaves-stray-until-spring': 'leaves stray comb that holds honey until the next big clearing: it cost them wax.',
  'bee-space-rule':
    'Bees leave a gap of about 6 to 9.5 mm (a quarter to three eighths of an inch) free, glue a smaller one, and build comb in a wider one. More than 7 mm was seen filled.',
  'brood-in-stray': ({ drones }) =>
    drones
      ? 'Drone brood in it: look for the queen, then cut it out; the mites in it go too.'
      : 'Worker brood in it: look for the queen, and tie the piece into an empty frame.',
  'free-of-comb-still': 'Still free of comb?',
  'measure-gaps-above-below': 'Measure above, below and beside the frames: the widest gap is the cause.',
  'wide-comb-trim': ({ frames: list }, w) =>
    `Trim the wide comb on ${frames(list, (each) => w.list(each))} and push the frames tight`,
  'wide-comb-noted': ({ frames: list }, w) =>
    `Comb built out past its neighbours on ${frames(list, (each) => w.list(each))}`,
  'brace-comb-cut': ({ frames: list }, w) =>
    `Cut the brace comb on ${frames(list, (each) => w.list(each))}, push the frames tight, measure the gap`,
  'brace-comb-noted': ({ frames: list }, w) => `Brace comb on ${frames(list, (each) => w.list(each))}`,
  'spaces-wide-on-purpose': 'spaces frames wide in supers on purpose: thick comb is easy to uncap.',
  'frames-tight-rule':
    'In the brood box frames touch at their shoulders. Slack frames grow wide and brace comb, and roll bees when they are lifted.',
  'frames-lift-freely': 'Does every frame lift freely?',
  'foundation-beside-brood': ({ moves }, w) =>
    `Move the foundation in beside the brood: ${w.list(moves.map(({ frame, beside }) => `frame ${frame} next to ${beside}`))}`,
  'bare-outside-noted': ({ frames: list }, w) => `Bare ${frames(list, (each) => w.list(each))} away from the brood`,
  'strong-enough-to-draw': ({ bees }, w) => `Bees on ${w.number(bees, 1)} frames: enough to draw comb`,
  'nectar-draws-wax': 'Nectar or feed comes in: without it no wax is made',
  'cold-snap-stops-drawing': 'A cold or wet week ahead: leave it outside.',
  'foundation-rule':
    'Foundation is drawn where bees are many and warm: beside the outermost brood, one on each side, the next ones a week later. Between brood frames it splits the nest.',
  'drawn-next-look': 'Is it being drawn, and laid in?',
  'leave-outside-until-flow': 'If it is not touched in a week, put it back outside until more nectar comes.',
  'old-comb-out': ({ frames: list }, w) =>
    `Take out the old comb on ${frames(list, (each) => w.list(each))} and give foundation`,
  'old-comb-outward': ({ frames: list }, w) =>
    `Move the old comb on ${frames(list, (each) => w.list(each))} outward, a place at each look`,
  'old-comb-to-edge': ({ frames: list }, w) =>
    `Move the old comb on ${frames(list, (each) => w.list(each))} to the edge, so that it is empty by spring`,
  'worn-noted': ({ frames: list, broken }, w) =>
    `${broken ? 'Broken' : 'Old, black'} comb on ${frames(list, (each) => w.list(each))}`,
  'renews-all-at-once':
    'renews all comb at once by taking the brood out in summer; yet another keeps comb until it breaks.',
  'old-comb-rule':
    'Old comb carries what the years left in it. It goes to the edge in late summer and out in spring while it is empty, a third of the nest a year at most.',
  'queen-or-brood-stays': 'A comb with the queen or brood on it stays in the hive.',
  'old-comb-waits': 'It does no harm within weeks',
  'empty-and-outside-yet': 'Is it empty, and at the edge?',
  'mend-part': ({ part, defect }) => `Mend the ${spoken(part)}: ${MENDING[defect]}`,
  'defect-noted': ({ defect }, w) => `Noted: ${w.name('defect', defect)}`,
  'mend-noted-defect': 'Mend what was noted on the woodwork',
  'robbers-use-gaps': 'Wasps or robbers come in where no guards stand',
  'wet-harms-more': 'Wet harms a colony more than cold',
  'swaps-part-at-once': 'changes the whole part for a sound one at once, and mends it at home.',
  'defect-rule': 'A gap or a leak costs bees the whole year; before winter every box is tight.',
  'tape-until-then': 'Tape it until then.',
  'mended-and-tight': 'Mended and tight?',
  'level-the-hive': 'Level the hive before a box goes on',
  'hive-leans-noted': 'The hive leans or rocks',
  'level-rule': 'A full stack that leans falls. Free combs hang straight down: they need it level.',
  'strap-the-hive': 'Strap or weight the hive',
  'no-strap-noted': 'No strap, or an animal was at it',
  'strap-rule': 'Wind and animals tip hives; whatever came once comes again.',
  'stands-level-strapped': 'Does it stand level and strapped?',
  'put-right-check': ({ check }, w) => `Put right at the next opening: ${w.name('check', check)}`,
  'left-undone': ({ check }, w) => `Not so on closing: ${w.name('check', check)}`,
  'put-right-rule': 'Frames that touch or gape crush bees or grow comb; a gap of one frame is built full within days.',
  'rim-off': 'Take the empty rim off: they fill it with comb',
  'rim-on-noted': 'An empty rim is on, and nothing is fed in it',
  'rim-rule': 'Whatever room is empty in the growing season is built full.',
  'feed-on-rim-stays': 'leaves the rim on for the next feed and cuts the comb out then.',
  'and-also': ({ job }, w) => `And: ${w.text(job)}`,
  'young-queen-first': ({ aloneTo }, w) => `A young queen is left in peace until ${w.day(aloneTo)}`,
  'things-to-do': ({ count }) => `${count} ${count === 1 ? 'thing' : 'things'} to do`,
  'no-brood-to-arrange': 'No brood was read: there is no nest to put in order.',
  'brood-in-one-block': ({ frames }) => `Brood in one block, ${counted(frames, 'frame')}.`,
  'brood-apart': ({ frames }, w) =>
    `Brood apart: ${frames.length === 1 ? 'frame' : 'frames'} ${w.list([...frames])} without brood between. In cool weather what is apart is chilled.`,
  'bare-splits-brood': ({ frames }, w) =>
    `Foundation between brood (${w.list([...frames])}): a strong colony in warm weather draws it fast, a weak one is split by it.`,
  'brood-at-a-wall': 'Brood at a wall, where it is coldest: a comb of food belongs between.',
  'food-beside-brood': ({ sides }) =>
    sides === 2
      ? 'Food within reach on both sides of the nest.'
      : sides === 1
        ? 'Food within reach on one side of the nest only.'
        : 'No food within two frames of the nest: a cluster may starve beside full combs.',
};
