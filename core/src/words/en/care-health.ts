import type { HealthSentences } from '../../care';
import type { Sentences } from '../../language';

const frames = (list: readonly number[], of: (parts: readonly number[]) => string): string =>
  `${list.length === 1 ? 'frame' : 'frames'} ${of(list)}`;

/** What is said of the health of the brood, and of what cannot be told. */
export const healthSentences: Sentences<HealthSentences> = {
  'at-once': 'at once',
  'frames-marked': 'frames with something odd',
  'frames-listed': ({ frames: list }, w) => (list.length === 0 ? 'none' : w.list(list)),
  'stick-tests': 'ropiness tests',
  'sides-read': 'sides read',
  'of-sides': ({ read, sides }) => `${read} of ${sides}`,
  'common-practice-lab-settles':
    'Common practice. Only a laboratory settles foulbrood; the law of the place goes first.',
  'common-practice': 'Common practice.',
  'mark-on-frames': ({ mark, frames: list }, w) => `${w.name('mark', mark)} on ${frames(list, (each) => w.list(each))}`,
  'stop-call-inspector': 'Stop: foulbrood is suspected. Close the hive and tell the bee inspector today',
  'suspected-since': ({ what }) => `Suspected at an earlier visit and not settled: ${what}`,
  'thread-followed-stick': 'A thread followed the matchstick out of a cell',
  'sour-larvae-twisted': 'The brood smells sour and larvae are yellow or lie twisted',
  'only-lab-settles': 'Only a laboratory can tell it from what looks like it',
  'burns-or-shakes-by-order':
    'leaves nothing to choose here: whether colonies are destroyed or shaken onto new comb is ordered by the inspector, not decided at the hive.',
  'suspected-foulbrood-rule':
    'Suspected foulbrood: no frame, bee or tool leaves the hive; no teaching there; it is opened last; hives that shared combs or tools since are listed and looked at.',
  'what-did-inspector-say': 'What did the inspector say?',
  'notifiable-caution':
    'In most countries both foulbroods must be reported at once. Local law says to whom; the inspector decides what happens.',
  'kit-stays-caution':
    'Tools and gloves used here touch no other hive until they are cleaned; no frame, bees, honey or feed from here goes to another colony.',
  'no-antibiotics-caution': 'No antibiotic on your own: it hides the disease and is forbidden in most places.',
  'lab-says-no': 'The laboratory says no: the hive is free again from that day.',
  'inspector-not-reached':
    'Nobody can be reached: narrow the entrance against robbing, keep the hive closed, and try again tomorrow.',
  'what-moves-waits-for-stick': 'No comb, box or bees of this colony move before the ropiness (matchstick) test',
  'all-else-waits': 'Everything else that this colony may want waits until the inspector has spoken',
  'feed-with-own-kit': 'Until it is settled: use a feeder that goes to no other hive, and spill nothing',
  'test-before-closing': ({ frames: list }, w) =>
    `Do the ropiness (matchstick) test on ${frames(list, (each) => w.list(each))} before you close`,
  'settle-suspicion': ({ what }) => `Settle the suspicion (${what}): do the ropiness (matchstick) test in three cells`,
  'find-what-smells': 'Find what smells sour, and do the ropiness (matchstick) test, before you close',
  'brood-smells-sour': 'The brood smells sour',
  'sunken-may-be-dented':
    'Cappings are also dented by age, damp or mites, and perforated while they are being finished',
  'sends-sample-at-once': 'tests nothing and sends a piece of comb to the laboratory at once.',
  'suspect-cappings-rule':
    'Sunken, perforated or dark cappings: a matchstick in three cells tells in a minute what waiting tells in a month.',
  'same-frames-cappings-larvae': 'Cappings and larvae on the same frames?',
  'thread-means-stop': 'A thread of a centimetre or more: stop, and tell the inspector.',
  'no-thread-means-watch': 'No thread from three cells: watch the frame, and look again within ten days.',
  'cannot-be-settled-sample': 'If it cannot be settled, send a sample to the laboratory and move nothing meanwhile.',
  'watch-brood-on': ({ frames: list }, w) =>
    `Watch the brood on ${frames(list, (each) => w.list(each))}: look again within ten days`,
  'watch-brood': 'Watch the brood: look again within ten days',
  'sac-brood-seen': 'Larvae lie dead in a sac: mostly it passes as the season gets better',
  'stick-drew-nothing': 'The matchstick drew no thread',
  'requeens-for-sac-brood':
    'requeens at once when sacbrood is on several frames: some queens’ bees clean it out better.',
  'watch-brood-rule':
    'Odd larvae without a thread are watched: what is sick today is gone in ten days, and what is laid today is sealed.',
  'brood-pearly-now': 'Are the larvae pearly and the cappings even now?',
  'more-cells-means-test': 'More cells than today, or sunken cappings: do the ropiness test.',
  'clean-means-nothing': 'Pearly larvae and even cappings: it is over.',
  'worse-means-sample': 'If it gets worse, send a sample to the laboratory.',
  'chalk-warm-dry-strong': 'Chalkbrood: keep them warm, dry and strong; change the worst comb',
  'mummies-counted': ({ count }) => `${count} chalkbrood mummies`,
  'chalk-goes-with-warmth': 'It mostly goes as it gets warmer and the colony grows',
  'requeens-for-chalk': 'requeens from stock that cleans its cells, and does not wait for warmth.',
  'chalk-rule':
    'A few mummies are left to the bees. Many: more bees to the brood, less damp, old comb out, and a new queen if it stays.',
  'mummies-fewer': 'Fewer mummies?',
  'fewer-with-warmth': 'Fewer after two warm weeks: nothing more is needed.',
  'chalk-stays-requeen': 'If it stays through the warm weeks, requeen.',
  'droppings-let-fly': 'Droppings: leave them shut, look after the first flight day',
  'droppings-sample': 'Droppings in the season: take a sample of old bees for a laboratory',
  'droppings-found': 'Droppings on comb or front',
  'long-shut-in': 'They have been shut in for long: most of it is over after a day of flying',
  'one-look-says-little': 'Droppings alone do not say which disease, or that there is one',
  'moves-to-clean-comb': 'moves them onto clean, dry comb on the first warm day.',
  'droppings-rule':
    'After a long winter droppings come of being shut in; in the season they are a reason to have bees looked at.',
  'droppings-again': 'Clean since? Enough bees?',
  'clean-after-flight': 'Clean after a day of flying: nothing more is needed.',
  'sample-bees-for-lab': 'If it goes on, send thirty old bees to a laboratory.',
  'unknown-laying': 'whether she lays',
  'unknown-food': 'how much food there is',
  'unknown-bees': 'how many bees there are',
  'cannot-tell-food': 'Cannot be told yet: food and room. Heft it, or look at an outer frame',
  'cannot-tell-laying': 'Cannot be told yet: is she laying? Lift one frame from the middle of the nest',
  'sides-were-read': ({ read, sides }) =>
    read === 0 ? 'No frame was read' : `Only ${read} of ${sides} sides were read`,
  'unknown-is': ({ unknown }, w) => `Not known: ${w.list(unknown)}`,
  'judges-from-entrance': 'tells from entrance, weight and hum, and does not open for this.',
  'quarter-says-nothing': 'A look that read a quarter of the nest or less supports no firm advice.',
  'heft-light': 'Light for its size: look at the food frames and feed.',
  'heft-heavy': 'Heavy: leave it until the ordinary look.',
  'eggs-there': 'Eggs: she laid within three days; leave it until the ordinary look.',
  'eggs-not-there': 'No eggs: look for young larvae, cells and a queen before anything is decided.',
  'no-look-possible-heft': 'If it cannot be opened: heft it, and watch whether pollen goes in.',
  'heft-and-outer-frame': 'How heavy? Food on the outer frames?',
  'one-frame-from-middle': 'Eggs and young larvae on one frame from the middle?',
};
