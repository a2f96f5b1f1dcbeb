import { spoken, upperFirst } from '../../units';
import { storySentences } from './story';
import type { InspectionSentences } from '../../inspection/said';
import type { Sentences } from '../../language';

/** Sentences of the room, from their facts. */
export const inspectionSentences: Sentences<InspectionSentences> = {
  ...storySentences,
  'part-stuck': ({ part, how }, w) => `${part}: ${w.text(how ?? 'propolised')}`,
  'comes-free': 'free',
  'ropiness-test': ({ spot, verdict }, w) =>
    `Ropiness test${spot === null ? '' : ` on ${w.text(spot)}`}: ${spoken(verdict)}`,
  'queen-seen-she-safely': ({ side }, w) =>
    `The queen was seen on ${side === null ? 'a frame' : w.text(side)}: is she safely in?`,
  'part-on': ({ part, once }) => `${once === null ? '' : `${once} off once more, then `}${part} on`,
  'under-celsius': ({ celsius }, w) => `under ${w.celsius(celsius)}`,
  'under-c-lid-only': (_facts, w) => `under ${w.celsius(10)}: lid only`,
  'nothing-gather-rob': 'no forage: robbing starts easily',
  'wasps-robbers-hive': 'wasps or robbers at the hive',
  'late-year': 'late in the year',
  'robbing-every-minute-open-feeds': 'Robbing: every minute open feeds it.',
  'bees-ask-signs-stings-one': 'The bees are defensive: several signs or stings. Close up.',
  'rains-open-brood': 'Rain on open brood.',
  'c-brood-chills': ({ temperature }, w) => `${w.celsius(temperature, 0)}: brood chills.`,
  'open-longer-than-allowed': 'Open longer than allowed.',
  'brood-out-min-allowed-put': ({ broodOut, broodAllowed }, w) =>
    `Brood is out ${w.number(broodOut)} min, allowed ${w.number(broodAllowed)}: put it back.`,
  'two-signs-short-time-finish':
    'Two signs in a short time: finish this frame, cover, and close if two minutes do not calm them.',
  'rain-about-min': ({ rainIn }, w) => `Rain in about ${w.number(rainIn, 0)} min.`,
  'time-nearly-up-start-closing': 'Time is nearly up: start closing.',
  'part-is-off': ({ part }) => `${part} is off`,
  'next-side': ({ carrier, frame, toward }, w) =>
    `${w.name('combCarrier', carrier)} ${frame}, side toward ${w.text(toward)}`,
  'next-first-frame': ({ carrier, frame }, w) => `${w.name('combCarrier', carrier)} ${frame} first`,
  'next-after-frames': ({ to, unread }) =>
    `${to === 'again' ? 'Doubtful sides again' : 'Sum up'}${unread > 0 ? `, ${unread} unread` : ''}`,
  'next-step': ({ to }) =>
    to === 'outside' ? 'Ready, watch the entrance' : to === 'supers' ? 'Supers' : 'Closed, look at the entrance',
  'next-keep-look': ({ smoke }) => `Entrance seen, ${smoke ? 'smoke next' : 'go on'}`,
  'next-smoke-entrance': ({ smoked }) => `${smoked ? 'Smoked' : 'Entrance smoked'}, take parts off`,
  'next-sum-up': ({ close }) => `Summed up, ${close ? 'start closing' : 'look at the entrance'}`,
  'next-end': 'End the visit',
  'next-review': 'To the review',
  'side-partly-read': ({ carrier, frame, toward, left, eggs }, w) =>
    `${w.name('combCarrier', carrier)} ${frame}, side toward ${w.text(toward)}: ${left} of 8 eighths are not read.${eggs ? ' Eggs are not taken over from last time: look for them.' : ''} Fill them, or press Next once more to keep the side as partly read.`,
  'frames-not-read': ({ carrier, frames }, w) =>
    `${frames.length === 1 ? `${w.name('combCarrier', carrier)} ${frames[0]} was` : `${frames.length} ${w.name('combCarriers', carrier)} were`} not read${frames.length === 1 ? '' : ` (${w.list(frames)})`}. Press once more to go on without them, and say so in the summary.`,
  'back-into': ({ combCarrier, frame, id }, w) => `${w.text(combCarrier)} ${w.number(frame)} back into ${w.text(id)}`,
  'frame-frame-rest-back-into': ({ place, box }, w) =>
    `frame ${w.number(place)} from the frame rest back into ${w.text(box)}`,
  'frames-where-fit-bees-crushed': ({ frames, fits }, w) =>
    `${w.number(frames)} frames where ${w.number(fits)} fit: bees will be crushed.`,
  'all-places-taken-closed-up': 'All places taken, closed up.',
  'empty-dummy-board-stray-comb': ({ missing }, w) =>
    `${w.number(missing)} ${missing === 1 ? 'place is' : 'places are'} empty: a dummy board, or stray comb.`,
  'bare-foundation-wants-tight-spacing':
    'Undrawn foundation needs tight spacing until it is drawn: put the missing frames in.',
  'drawn-combs-evenly-spaced-fat': ({ frames }, w) =>
    `${w.number(frames)} drawn combs evenly spaced: thick combs, easy to uncap.`,
  'only-build-between-combs': ({ frames, fits }, w) =>
    `Only ${w.number(frames)} of ${w.number(fits)}: they will build between the combs.`,
  'thread-ropiness-test': 'a thread in the ropiness test',
  'leave-colony-alone': ({ lock }, w) => `Leave this colony alone: ${w.text(lock ?? '')}`,
  'new-queen-can-had-any':
    'No new queen can be had any more: top box only, edge frames inward, stop at the first eggs or brood.',
  'deeper-than-hour-allows-brood': ({ depthWord, why }, w) =>
    `Deeper than conditions allow now (${w.text(depthWord)}): ${w.text(why)}. Brood chills within minutes. Give a reason only if waiting would do harm.`,
  'somebody-stands-there-open-veil': 'Somebody is standing there with an open veil.',
  'nobody-has-looked-veils-yet': 'Veils not checked yet.',
  'colony-lively-shown-yet-another': ({ missing }, w) =>
    `This colony is lively, and these are not shown yet: ${missing.map((each) => w.text(each)).join('; ')}. Another role first.`,
  'little-smoke-before-box-wait': 'A little smoke before this box, and wait.',
  'rob-now-cloth-over-all':
    'Robbing has started: cloth over all but this frame, keep honey covered, no drop of syrup, close early.',
  'frame-first-makes-gap-bee': ({ count }, w) =>
    `Frame 1 or ${w.number(count)} first: it makes room, so that no bee and no queen is rolled.`,
  'food-lies-above-frames-take': 'There is food above the frames: take it off, put it aside, note what goes back.',
  'queen-seen-frame-low-slow': 'The queen was seen on this frame: low, slow, over the box.',
  'frame-shorter-than-box-deep': 'The frame is shorter than this box is deep: they will build brace comb below it.',
  'frame-does-hang-box-frames': ({ name, name2 }, w) =>
    `A ${w.text(name)} frame does not hang in a box for ${w.text(name2)} frames.`,
  'sealed-drone-brood-eighths-goes': ({ drone }, w) =>
    `Sealed drone brood, ${w.number(drone)} eighths: removed on purpose, with its mites. Out before it emerges; covered, straight to where it goes. The supervisor decides and one person carries it.`,
  'eighths-worker-brood-go-frame': ({ worker }, w) =>
    `${w.number(worker)} eighths of worker brood go with this frame and never emerge. Drone comb out, all brood out, a split: say which. Check twice for the queen; foundation in before bees are shaken; food combs are looked over for brood. The supervisor decides and one person carries it, covered.`,
  'disease-suspected-frame-leaves-hive': ({ sick }, w) =>
    `Disease is suspected (${w.text(sick ?? '')}): no frame leaves this hive until the inspector has settled it.`,
  'disease-suspected-nothing-burnt-before': ({ sick }, w) =>
    `Disease is suspected (${w.text(sick ?? '')}): nothing is burnt before the inspector has seen it. What was ordered is logged with this colony under “To do”.`,
  'ordered-inspector-say-frame-belongs': ({ ordered }, w) =>
    `Ordered by the inspector: ${w.text(ordered ?? '')}. Say that this frame belongs to it.`,
  'frame-doubtful-stays-hive-until':
    'This frame is doubtful: it stays in this hive until it has been looked at again and cleared.',
  'queen-frame': 'The queen is on this frame.',
  'there-brood-frame-dies-rots': ({ store }) =>
    `There is brood on this frame: it dies in the ${spoken(store)} and rots. Leave it until it has emerged, or take it out on purpose: freezer, melting.`,
  'queen-seen-frame-she-moves': 'The queen was seen on this frame: she moves with it.',
  'nobody-has-looked-queen': ({ sidesRead }) =>
    `Nobody has looked at ${sidesRead === 0 ? 'this frame' : 'its other side'}: is the queen on it?`,
  'queen-seen-today-look-over': 'The queen was not seen today: look over both sides once more before brood goes.',
  'queen-cells-hang-frame-go': 'Queen cells hang on this frame: they go with it.',
  'look-again-before-closing': ({ sides }, w) => `Look again before closing: ${w.list(sides)}.`,
  'still-doubt-photograph-tell-lead': ({ sides }, w) =>
    `Still in doubt: ${w.list(sides)}. Photograph it, tell the lead, and where disease is possible call the bee inspector. No frame of it leaves this hive.`,
  'two-readings-both-stay-until': ({ sides }, w) =>
    `Two readings of ${w.list(sides)}: both stay until somebody chooses.`,
  'still-out-frame': ({ frames }, w) => `Still out: frame ${w.list(frames)}.`,
  'still-frame-rest-frame': ({ frames }, w) => `Still on the frame rest: frame ${w.list(frames)}.`,
  'frames-stand-another-order-than': ({ boxes }, w) =>
    `Frames stand in another order than they came: ${w.list(boxes)}.`,
  'lay-side-respace-frames-shake': ({ tipped }, w) =>
    `${w.list(tipped)} lay on its side: respace its frames, and shake none of them today.`,
  'still-off': ({ partsOff }, w) => `Still off: ${w.list(partsOff)}.`,
  'outside-only': 'outside only',
  'under-lid': 'under the lid',
  'top-box': 'top box',
  'whole-nest': 'whole nest',
  'comb-hangs-free-breaks-when':
    'A comb that hangs free breaks when it lies flat: turn it only around its bar, like a page, cut edge down.',
  'before-you-open': 'Before you open',
  'aim-cautions-smoker-veils-who': 'Aim, cautions, smoker and veils, who does what.',
  'watch-entrance': 'Watch the entrance',
  'stand-clear-flight-lane-traffic': 'Stand clear of the flight lane. Traffic, pollen, dead bees, intruders.',
  'smoke-entrance-wait': 'Smoke the entrance, wait',
  'two-three-cool-puffs-wait': 'Two or three cool puffs, wait a minute, then crack the lid and smoke over the frames.',
  'roof-off-nothing-lift': 'Roof off, nothing to lift',
  'lid-off-count-seams': 'Lid off, count the seams',
  'take-parts-off': 'Take the parts off',
  'count-seams-bees-above-look': 'Count seams of bees from above, look at food, and close.',
  'each-part-where-cannot-forgotten':
    'Each part where it cannot be forgotten, boxes on a stand. Look at the underside of roof and cover.',
  'supers-one-one': 'Supers, one by one',
  'judge-each-lift-look-outer': 'Judge each by its lift, look at an outer and a middle frame. Brood up here matters.',
  'outermost-first': ({ carrier }, w) => `Outermost ${w.text(carrier)} first`,
  'loosen-end-bar-cut-side': ({ upright }, w) =>
    `Loosen the end bar, cut side attachments from below upward, and slide it along to make a gap. ${w.text(upright)}`,
  'end-frame-along-makes-gap': ({ dummy }) =>
    `${dummy ? 'Divider aside, then move' : 'Move'} the end frame along; it makes room.`,
  'dummy-board-out-then-frame': 'Dummy board out, then frame 1 straight up; it makes room.',
  'ease-frame-off-wall-straight': 'Ease frame 1 off the wall, straight up and slow; it makes room.',
  'combs-both-sides': 'Combs, both sides',
  'frames-both-sides': 'Frames, both sides',
  'order-straight-up-brood-out': ({ carrier, upright }, w) =>
    `In order, straight up, brood out only briefly. Say what each side holds.${carrier === 'bar' ? ` ${w.text(upright)}` : ''}`,
  'doubtful-combs-again': 'Doubtful combs again',
  'doubtful-frames-again': 'Doubtful frames again',
  'what-flagged-gets-second-look': 'What was flagged gets its second look before closing.',
  'sum-up-four-headings': 'Sum up in four headings',
  'bees-brood-food-health-under': 'Bees, brood, food, health, in under a minute.',
  'close-reverse': 'Close in reverse',
  'closed-up-order-came-then': ({ carrier }) =>
    `${carrier === 'bar' ? 'Bars' : 'Frames'} closed up in the order they came, then every part back.`,
  'look-entrance-again': 'Look at the entrance again',
  'flight-resumed-nothing-left-lying': 'Flight resumed, nothing left lying about.',
  'frames-bees': 'Frames of bees',
  eggs: 'Eggs',
  larvae: 'Larvae',
  'sealed-worker': 'Sealed worker',
  'sealed-drone': 'Sealed drone',
  pollen: 'Pollen',
  stores: 'Stores',
  'empty-drawn-comb': 'Empty drawn comb',
  'bare-foundation': 'Undrawn foundation',
  'read-middle-nest': 'read the middle of the nest',
  'late-year-first-brood-ends': 'late in the year the first brood ends the visit',
  'seen-may-there-take-photo': ({ dark, frames }, w) =>
    `not seen, may be there: ${dark ? 'too little light' : `pale foundation on ${w.text(frames)}`}; take a photo`,
  'seen-on-frames': ({ frames }, w) => `on ${w.text(frames)}`,
  'confirmed-afterwards': ({ frames }, w) => `on ${w.text(frames)}, confirmed afterwards`,
  'ticked-hand': 'ticked by hand',
  'eggs-prove-her-within-three': 'eggs prove her within three days',
  'eggs-instead-her': 'seen, or fresh eggs instead',
  'seen-on': ({ frames }, w) => `seen on ${w.text(frames)}`,
  'none-seen': 'none seen',
  'look-along-every-comb-edge': 'look along every comb edge',
  'found-look-at': ({ found, frames }, w) => `${w.text(found)}, look at ${w.text(frames)}`,
  'frames-empty-bare-room-week': ({ counted }, w) =>
    `${w.number(counted, 1)} frames of empty comb or foundation: room for a week`,
  'frames-empty-bare-hardly-any': ({ counted }, w) =>
    `${w.number(counted, 1)} frames of empty comb or foundation: hardly any room`,
  'both-edges-read': 'both edges read',
  'look-at': ({ frames }, w) => `look at ${w.text(frames)}`,
  'kg-counted-enough': ({ counted }, w) => `${w.kg(counted, 1)} counted: enough`,
  'kg-counted-most-too-little': ({ counted, most }, w) =>
    `${w.kg(counted, 1)} counted, ${w.kg(most, 1)} at most: too little`,
  'both-outer-frames-read': 'both outer frames read',
  'mites-sampled': 'mites sampled',
  'looked-for': 'looked for',
  'take-mite-sample-note-what': 'take a mite sample, or note what was looked for',
  'signs-found': ({ found }, w) => `found: ${w.list(found)}`,
  'looked-none-found': ({ lookedFor }, w) => `${w.number(lookedFor)} looked for, none found`,
  'larvae-pearly-lids-even': 'larvae pearly, cappings even',
  'larvae-pearly-lids-even-none': 'larvae pearly? cappings even, none sunken?',
  toward: ({ frame, towardText }, w) => `${w.number(frame)} toward ${w.text(towardText)}`,
  'look-again': ({ named }, w) => `look again at ${w.text(named)}`,
  'looked-again-still-doubt': ({ named }, w) => `looked at again, still in doubt: ${w.text(named)}`,
  'looked-again-sound': 'looked at again: sound',
  'eggs-were-looked-everywhere-good': ' Eggs were not looked for everywhere, or not in good light.',
  'young-queen-yet-laying-close': 'A young queen not yet laying: close and leave her alone.',
  'only-domed-cappings-flat-ones': ({ eggs, larvae, unseen }, w) =>
    `Only domed cappings, no flat ones: drone-laying queen or laying workers${eggs || larvae ? ', whatever eggs and larvae say' : ''}. Several eggs in a cell or on its wall speak for workers.${w.text(unseen)}`,
  'domed-cappings-among-flat-ones': ({ unseen }, w) =>
    `Domed cappings among flat ones in worker cells: her sperm may be running out. Count both, look again in a week.${w.text(unseen)}`,
  'eggs-she-laid-within-days': ({ egg }, w) => `Eggs: she laid within ${w.number(egg)} days.`,
  'she-seen-her-eggs-were': ({ unseen }, w) => `She was seen, her eggs were not.${w.text(unseen)}`,
  'queen-cells-eggs-young-queen': ({ larvae, sealed, unseen }, w) =>
    `${larvae ? 'Larvae' : sealed ? 'Sealed brood' : 'No brood'} and queen cells, no eggs: a young queen is on her way. A queen bought now would be killed.${w.text(unseen)}`,
  'she-laid-days-ago-latest': ({ young, days, unseen }, w) =>
    `${young ? 'Young larvae' : 'Larvae'}: she laid within the last ${w.number(days)} days.${w.text(unseen)}`,
  'only-older-larvae-nothing-laid': ({ egg, unseen }, w) =>
    `Only older larvae: nothing laid for ${w.number(egg)} days or more.${w.text(unseen)}`,
  'only-sealed-brood-nothing-laid': ({ egg, unseen }, w) =>
    `Only sealed brood: nothing laid for ${w.number(egg)} days or more.${w.text(unseen)}`,
  'brood-seen-pollen-stored': ({ unseen }, w) => `No brood seen, pollen is stored.${w.text(unseen)}`,
  'side-read': 'No side was read.',
  'brood-seen': ({ unseen }, w) => `No brood seen.${w.text(unseen)}`,
  'frame-stays-edge-too-few': ({ frame }, w) => `Frame ${w.number(frame)} stays at the edge: too few bees to draw it.`,
  'frame-stands-right-beside-brood': ({ frame }, w) =>
    `Frame ${w.number(frame)} stands right beside the brood: leave it there.`,
  'frame-goes-beside-frame-last': ({ frame, edge }, w) =>
    `Frame ${w.number(frame)} goes beside frame ${w.number(edge)}, the last with brood: now.`,
  'frame-beside-frame-week-once': ({ frame, edge }, w) =>
    `Frame ${w.number(frame)} beside frame ${w.number(edge)} in a week, once the one before it is drawn.`,
  'empty-cup': 'empty cup',
  'cup-egg': 'cup with egg',
  'larva-jelly': 'larva in jelly',
  'sealed-cell': 'sealed cell',
  'emerged-lid-hangs': 'emerged, the cap still hinged on',
  'torn-side': 'torn at the side',
  'open-young-queen-out-killed': ({ gone }, w) =>
    `${w.number(gone)} ${gone === 1 ? 'cell is' : 'cells are'} open: a young queen is out or was killed in it.`,
  'close-leave-alone-until-she': 'Close, leave them alone until she can lay; date the laying check.',
  'eggs-cups-often-eaten-again': 'Eggs in cups: often eaten again, sometimes the start of swarming.',
  'look-again-within-week-whatever': 'Look again within a week, whatever the interval says.',
  'empty-cups-bees-build-matter': 'Empty cups: bees build them as a matter of course.',
  'no-cells': 'No cells.',
  'nothing-do-some-scrape-cups': 'Nothing to do. Some scrape cups off, some leave them: they come back either way.',
  'fed-face-eggs-queen-lost': ({ cells }, w) =>
    `${w.number(cells)} fed ${cells === 1 ? 'cell' : 'cells'} on the face and no eggs: the queen was lost.`,
  'keep-one-two-good-ones': 'Keep one or two good ones, move no frame roughly, close; date the laying check.',
  'fed-face-probably-replacing-her': ({ cells }, w) =>
    `${w.number(cells)} fed ${cells === 1 ? 'cell' : 'cells'} on the face: they are probably replacing her.`,
  'leave-cells-close-swarm-cannot': 'Leave the cells and close. A swarm cannot be ruled out: say how sure you are.',
  'fed-edge-preparing-swarm': ({ cells, atEdge }, w) =>
    `${w.number(cells)} fed ${cells === 1 ? 'cell' : 'cells'}, ${w.number(atEdge)} at the edge: they are preparing to swarm.`,
  'swarm-may-have-left-already': 'A swarm may have left already: look for eggs and for the queen, then decide today.',
  'decide-today-artificial-swarm-split':
    'Decide today: artificial swarm, a split, or thinning the cells, by your own practice. Waiting a week is too long.',
  'entrance-of': ({ now, then }, w) =>
    `entrance ${w.number(now)} of 10${then === null ? '' : `, last time ${w.number(then)}`}`,
  'much-less-than-last-time': 'Much less than last time: queen, robbing, poisoning or weather?',
  'counted-combs': 'counted on the combs',
  'seams-above': 'seams from above',
  'frames-of-bees-by': ({ bees, how }, w) => `${w.number(bees, 1)} frames of bees, ${w.text(how)}`,
  'to-expected': ({ low, high }, w) => `${w.number(low, 1)} to ${w.number(high, 1)} expected`,
  'weak-day': ({ says, span }, w) => `${w.text(says)}: weak for the date, ${w.text(span)}`,
  'look-reason-queen-mites-food': 'Look for the reason: queen, mites, food, swarm.',
  'strong-day': ({ says, span }, w) => `${w.text(says)}: strong for the date, ${w.text(span)}`,
  'room-queen-cells-along-edges': 'Room, and queen cells along the edges.',
  'as-expected': ({ says, span }, w) => `${w.text(says)}: as expected, ${w.text(span)}`,
  'frames-pollen-added-up-wanted': ({ frames, low, high, pollenWanted }, w) =>
    `${w.number(frames, 2)} frames of pollen added up (${w.number(low, 2)} to ${w.number(high, 2)}), ${w.number(pollenWanted)} wanted`,
  'brood-starves-protein-while-syrup': 'Brood starves of protein while syrup is plentiful: a patty, or pollen combs.',
  'look-sides-next-brood-before': 'Look at the sides next to the brood before you decide.',
  'of-pollen': ({ colours }) =>
    `${colours.length === 1 ? 'one colour' : `${colours.length} colours`} of pollen: ${colours.map(spoken).join(', ')}`,
  'one-two-sources-varied-supplement': 'One or two sources: a varied supplement helps if brood is to grow.',
  'sides-drawn-partly-bare': ({ id, drawn, partly, bare, pace }, w) =>
    `${w.text(id)}: ${w.number(drawn)} sides drawn, ${w.number(partly)} partly, ${w.number(bare)} undrawn${pace ? `; ${w.number(pace)} frames drawn a day` : ''}`,
  'hardly-drawn-flow-too-cold': 'Hardly drawn: no flow, too cold, or too few young bees.',
  'pace-drawn-about-days': ({ days }, w) => `At this pace drawn in about ${w.number(days)} days.`,
  'more-room-while-comb-still': 'No more room while comb is still to be drawn.',
  'water-in-honey': ({ percent }, w) => `, ${w.number(percent)} % water`,
  'honey-sealed': ({ id, sealed, water }, w) =>
    `${w.text(id)}: ${w.number(sealed)} % of the honey capped${w.text(water)}`,
  'leave-too-wet-keep': 'Leave it on: too wet to keep.',
  'ripe-may-come-off-once': 'Ripe: may come off once no brood and no treatment forbids it.',
  'leave-it-on': 'Leave it on.',
  'mixed-only-frame-may-taken': ({ frames }, w) => `Mixed: only frame ${w.list(frames)} may be taken.`,
  'kg-about-full': ({ id, kg, fullPercent }, w) => `${w.text(id)}: ${w.kg(kg)}, about ${w.number(fullPercent)} % full`,
  'full-next-super-due': ({ name }, w) => `${w.text(name)} is full: the next super is due.`,
  'beetles-counted': ({ count, bees }, w) =>
    `${count === 1 ? 'one beetle' : `${w.number(count)} beetles`}${bees === null ? '' : ` on ${w.number(bees, 1)} frames of bees`}`,
  'notifiable-many-places-ask-inspector': 'Notifiable in many places: ask the inspector.',
  'note-it': ({ inspector }, w) => `Note it. ${w.text(inspector)}`,
  'narrow-nest-what-cover-whole': ({ inspector }, w) =>
    `Narrow the nest to what they cover, no whole patty: they breed in it. ${w.text(inspector)}`,
  'cut-patties-into-thin-strips': ({ inspector }, w) =>
    `Cut patties into thin strips, keep no spare room. ${w.text(inspector)}`,
  'broken-sagging': 'broken or sagging',
  'years-use': ({ age }, w) => `${w.number(age)} years in use`,
  'black-light-comes-through': 'black, no light comes through',
  'due-year': ({ years }, w) => `due in ${w.number(years)} year`,
  'age-known-looks-sound': 'age not known, looks sound',
  'more-mites-than-bees-possible': '. More mites than bees: possible, but count again',
  'mites-bees': ({ percent, low, high, method, bees, odd }, w) =>
    `${w.number(percent)} mites on 100 bees (${w.number(low)} to ${w.number(high)}), ${spoken(method)} of ${w.number(bees)}${w.text(odd)}`,
  'sample-bees-half-cup-says': 'A sample of 300 bees (half a cup) says more.',
  'hold-against-threshold': 'Hold it against the house threshold for this month.',
  'drone-cells-infested': ({ percent, low, high }, w) =>
    `${w.number(percent)} % of drone cells infested (likely ${w.number(low)} to ${w.number(high)} %)`,
  'confirm-bees-wash-roll': 'Confirm on bees with a wash or roll.',
  'part-weighs': ({ part, kg, how }, w) => `${w.text(part)}: ${w.kg(kg)} ${w.text(how)}`,
  'c-brood-being-kept-warm': ({ celsius }, w) => `${w.celsius(celsius)}: brood is being kept warm`,
  'c-brood-where-you-measured': ({ celsius }, w) =>
    `${w.celsius(celsius)}: no brood where you measured, or they cannot keep it warm`,
  'water-will-ferment': ({ percent }, w) => `${w.number(percent)} % water: it will ferment`,
  'water-within-most-laws-thin': ({ percent }, w) =>
    `${w.number(percent)} % water: within most laws (20 %), thin for keeping`,
  'leave-if-you-can': 'Leave it on if you can.',
  'water-ripe': ({ percent }, w) => `${w.number(percent)} % water: ripe`,
  'mm-under-bee-space-glued': ({ mm }, w) => `${w.mm(mm)}: under bee space, propolised`,
  'scrape-clean': 'Scrape it clean.',
  'mm-bee-space': ({ mm }, w) => `${w.mm(mm)}: bee space`,
  'mm-bee-space-books-yet': ({ mm, gapSeenFilled }, w) =>
    `${w.mm(mm)}: bee space by the books, yet bees have been seen to fill it from ${w.mm(gapSeenFilled)}`,
  'mm-build': ({ mm }, w) => `${w.mm(mm)}: they build comb in it`,
  'wrong-part-missing-frame-change': 'Wrong part or missing frame: change it before the flow.',
  'nectar-test': ({ box, test, wet }, w) =>
    `${w.text(box)}: ${w.text(test)} test ${wet ? 'wet, nectar is coming in' : 'dry'}`,
  'wasps-minute-pressure': ({ aMinute, pressure }, w) =>
    `${w.number(aMinute)} wasps a minute: pressure ${w.text(pressure)}`,
  'narrow-entrance-what-can-guard': 'Narrow the entrance to what they can guard, look again in a week.',
  'easy-tool': 'easy with a tool',
  'hard-hook-lever': 'hard, lever with the hook',
  'glued-solid-ten-minutes-more': 'stuck fast, ten minutes more',
  'kg-scraps-melting': ({ kg }, w) => `${w.kg(kg)} of scraps for melting`,
  'frame-bee-tool-leaves-hive':
    'No frame, bee or tool leaves this hive. Photograph, close, wash, call the bee inspector: foulbrood is notifiable in most places.',
  'stick-put-open-cell-turn':
    'No stick was put in: open the cell, turn a clean match in it, draw it out slowly, measure the thread.',
  'short-thread-settles-nothing-try': ({ inspector }, w) =>
    `A short thread settles nothing: try three more cells. In doubt: ${w.text(inspector)}`,
  'try-three-more-cells-pierced': ({ inspector }, w) =>
    `Try three more cells, perforated and sunken cappings first. In doubt: ${w.text(inspector)}`,
  'thread-yet-off-white-other':
    'No thread, yet off-white: the other foulbrood kills larvae before they are capped. Photograph, move nothing, ask the inspector.',
  'note-looked-found-look-again': 'Note it as looked for, not found; look again at the next visit.',
  'pollen-goes-laying-queen-likely': 'Pollen goes in: a laying queen is likely.',
  'colours-pollen-varied-diet': ({ colours }, w) => `${w.number(colours)} colours of pollen: a varied diet.`,
  'much-traffic-without-pollen-robbing': 'Much traffic without pollen: robbing, or orientation flights?',
  'few-dead-bees-normal': 'A few dead bees are normal.',
  'many-dead-bees-poisoning-starvation':
    'Many dead bees: poisoning, starvation or disease. Photograph, look at tongues and wings.',
  'droppings-front-note-look-stores': 'Droppings on the front: note it, look at stores and brood.',
  'bees-hang-outside-heat-too': 'Bearding at the entrance: heat, or too little room. Check space and queen cells.',
  'robbing-do-open-narrow-entrance': 'Robbing: do not open. Narrow the entrance and cover everything.',
  'level-hive-before-boxes-go': 'Level the hive before boxes go on.',
  'strap-strap-weight-before-you': 'No strap: strap or weight it before you leave.',
  'guards-have-given-up': 'guards have given up',
  'pressure-wasps': ({ pressure }, w) => `${w.text(pressure)} pressure by wasps`,
  'few-bees-guard': 'few bees to guard it',
  'heat-crowding': 'heat or crowding',
  'robbing-season': 'robbing season',
  'strong-nothing-presses': 'strong, nothing presses',
  'temper-noted-yet-experienced-hands': 'No temper noted yet: experienced hands first.',
  // One visit after another, not a set: no "and" before the last.
  temper: ({ scores }) => `Temper ${scores.join(', ')}`,
  'hot-again-novices-daughters-queen': ({ line }, w) =>
    `${w.text(line)}: hot again. No novices, no daughters of this queen.`,
  'rising-queen-dearth-robbing-weather': ({ line }, w) => `${w.text(line)}: rising. Queen, dearth, robbing or weather?`,
  'suits-novices': ({ line, length, value }, w) =>
    `${w.text(line)}: suits novices${length === 3 && value <= 2 ? ', worth breeding from for temper' : ''}.`,
  'practised-hands': ({ line }, w) => `${w.text(line)}: for practised hands.`,
  'swelling-sting': 'swelling at the sting',
  'beyond-sting': 'beyond the sting',
  'breath-faint-sick': 'breath, faint, sick',
  'emergency-card-now-goes-beyond': 'Emergency card now: this goes beyond the sting.',
  'now-doctor-all-same-alone': ({ reaction, reactionText }, w) =>
    `${reaction === 'elsewhere-too' ? 'Reacted beyond the sting' : 'Breath, faint or sick'}, now ${w.text(reactionText)}: see a doctor anyway, not alone and not driving for hours. It may come back; only the doctor ends this.`,
  'minutes-gone': ({ watchMinutes, reactionText }, w) =>
    `${w.number(watchMinutes)} minutes gone, ${w.text(reactionText)}.`,
  'ask-now-breath-rash-elsewhere': 'Ask now: breath, rash elsewhere, faint, sick?',
  'alone-min-more': ({ value }, w) => `Not alone for ${w.number(value)} min more.`,
  repair: ({ name, part, forNow }, w) =>
    `Repair: ${w.text(name)}, ${w.text(part)}${forNow ? ` (for now: ${w.text(forNow)})` : ''}`,
  'side-same': 'As last time.',
  'side-changes': ({ changes, bees }, w) =>
    `${upperFirst(
      w.list([
        ...changes.map(({ letter, by }) => `${w.name('content', letter)} ${by > 0 ? '+' : '−'}${Math.abs(by)}`),
        ...(bees === 0 ? [] : [`bees ${bees > 0 ? '+' : '−'}${Math.abs(bees)}`]),
      ]),
    )} eighths.`,
  'stray-comb': ({ place, part, mend }, w) => `Stray comb ${spoken(place)}, ${w.text(part)}: ${w.text(mend)}`,
  'strap-weight-hive-against-wind': 'Strap or weight the hive against wind and animals',
  'level-hive': 'Level the hive',
  'wedges-level': 'wedges and a level',
  'feeder-place-fill-take-off': 'Feeder is not in its place: fill it or take it off',
  'food-taken-off-back-above': 'Food taken off is not back above the bees',
  'turn-excluder-wires-across-frames': 'Turn the excluder: wires across the frames',
  'turn-escape-board-right-way': 'Turn the escape board the right way up',
  'take-empty-rim-off-before': 'Take the empty rim off before they build comb in it',
  'fit-mouse-guard': 'Fit a mouse guard',
  'mouse-guard': 'a mouse guard',
  'disease-suspected-has-bee-inspector': ({ sick }, w) =>
    `Disease suspected (${w.text(sick)}): has the bee inspector been told? Local law decides`,
  'decide-treatment-label-season': ({ says }, w) => `${w.text(says)}: decide on a treatment by label and season`,
  'narrowed-entrance-do-find-wasps': 'Narrowed entrance: do bees find it, are wasps kept out?',
  'look-again-sure': ({ name, sure }, w) => `Look again: ${w.text(name)}, ${sure} % sure`,
  'bees-hung-outside-heat-room': 'Bearding last time: heat, room, or a split?',
  'brood-above-excluder-should-out': 'Brood above the excluder should be out: look, then clear the super',
};
