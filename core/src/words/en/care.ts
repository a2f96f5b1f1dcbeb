import { counted } from './counted';
import { behindSentences } from './care-behind';
import { entranceSentences } from './care-entrance';
import { increaseSentences } from './care-increase';
import { healthSentences } from './care-health';
import { miteSentences } from './care-mites';
import { queenSentences } from './care-queen';
import { combSentences } from './care-comb';
import { spaceSentences } from './care-space';
import { stockSentences } from './care-stock';
import { strengthSentences } from './care-strength';
import { upperFirst } from '../../units';
import type { CareSentences } from '../../care/said';
import { CELL_WORDS, type QueenCell } from '../../inspection';
import type { Sentences } from '../../language';
import type { FindingLine } from '../../care';

/** A number of bees as it is said: thousands, and hundreds where there are few. */
const aboutBees = (bees: number): string =>
  bees >= 1500 ? `${Math.round(bees / 1000)} 000` : `${Math.round(bees / 100) * 100}`;

const MEASURES: Readonly<Record<FindingLine['measure'], string>> = {
  bees: 'frames of bees',
  brood: 'brood',
  sealed: 'sealed brood',
  drone: 'drone brood',
  stores: 'stores',
};

const CELL_PLACE: Readonly<Record<QueenCell['place'], string>> = {
  edge: 'at the edge',
  face: 'on the face',
  gap: 'in a gap',
};

/** Days that food lasts, in words. */
const aboutDays = (days: number): string => (days < 1 ? 'less than a day' : `about ${counted(days, 'day')}`);

/** Sentences of the room, from their facts. */
export const careSentences: Sentences<CareSentences> = {
  ...behindSentences,
  ...entranceSentences,
  ...healthSentences,
  ...increaseSentences,
  ...miteSentences,
  ...queenSentences,
  ...spaceSentences,
  ...stockSentences,
  ...strengthSentences,
  ...combSentences,
  'cells-found': ({ cells, unknown }, w) =>
    [
      ...cells.map(({ content, place, count }) => `${count} × ${w.text(CELL_WORDS[content])} ${CELL_PLACE[place]}`),
      ...(unknown > 0 ? [`${unknown} not looked into`] : []),
    ].join(', '),
  'finding-normal': ({ change, comb }, w) => `${w.text(change)}${w.text(comb)}: normal for this time of year.`,
  'finding-odd': ({ change, comb, odd }, w) => {
    const told = odd.map(({ measure, word }) => `${MEASURES[measure]} ${w.name('findingWord', word)}`).join(', ');
    const broodOdd = odd.some(({ measure }) => measure === 'brood');
    return `${w.text(change)}${w.text(comb)}: ${broodOdd ? '' : 'normal for this time of year, but '}${told}.`;
  },
  'label-label-local-law-lead': 'By its label; follow the label and local law',
  'dose-of': ({ medicine, given, planned }, w) =>
    `${w.text(medicine)}: dose ${w.number(given)} of ${w.number(planned)}`,
  'every-days-last': ({ label, repeatAfter, lastDose, today, warmthAhead }, w) =>
    `${w.text(label)}: every ${repeatAfter} days, the last on ${w.day(lastDose, today)}${w.text(warmthAhead)}`,
  'protective-gear-label': ({ medicine }, w) => `${w.text(medicine)}, protective gear of the label`,
  'take-out': ({ medicine }, w) => `${w.text(medicine)}: take it out`,
  'out-days-after-last-dose': ({ label, removeAfter }, w) =>
    `${w.text(label)}: out ${removeAfter} days after the last dose. Left longer it breeds resistance, and its withdrawal begins only when it is out`,
  'out-counted': 'Out and counted?',
  'gloves-bag': 'Gloves, bag',
  'withdrawal-ends': ({ medicine }, w) => `${w.text(medicine)}: withdrawal ends`,
  'days-new-super-harvest-before': ({ label, withdrawal, end, today, ended }, w) =>
    `${w.text(label)}: ${withdrawal} days from ${w.day(end, today)}${ended ? '' : ', later if it is taken out later'}. A new super for harvest not before; a box that stood on stays locked`,
  'count-mites-again-after': ({ medicine }, w) => `Count mites again after ${w.text(medicine)}`,
  'whether-worked-shows-only-count': ({ medicine }, w) =>
    `Only a count afterwards shows whether ${w.text(medicine)} worked`,
  'mites-per-bees': 'Mites per 100 bees?',
  'mite-wash-kit': 'Mite wash kit',
  'coming-days-reach-c-see': ({ least, most }, w) =>
    `. The coming days reach ${Math.round(least) === Math.round(most) ? '' : `${w.figure('temperature', least, 0)} to `}${w.celsius(most, 0)}: see that this lies within the label’s span`,
  'plain-thin-syrup-keeps-three': '; plain thin syrup keeps three to four days in the warm',
  'thick-syrup-keeps-weeks-what': '; thick syrup keeps for weeks, so what stays is not wanted',
  'feeder-empty': ({ what }, w) => `${upperFirst(w.name('feed', what))}: feeder empty?`,
  'kg-given-frames-bees': ({ kg, date, today, framesOfBees, keeps }, w) =>
    `${w.kg(kg, 1)} given ${w.day(date, today)} to ${w.number(framesOfBees, 0)} frames of bees${w.text(keeps)}`,
  'taken-more-ignored-then-off': 'Taken? More? Or ignored, then off with it',
  'patty-eaten': 'Patty eaten?',
  'kg-given-strong-hive-takes': ({ kg, date, today }, w) =>
    `${w.kg(kg, 2)} given ${w.day(date, today)}; a strong hive takes ${w.kg(0.5)} a week, and what is left feeds beetles and moths`,
  'patty-eaten-pollen-nest': 'Patty eaten? Pollen in the nest?',
  patty: 'Patty',
  'unknown-day-enter-withdrawal': 'an unknown day: enter its withdrawal',
  'super-inside-withdrawal-mark-harvest': 'Super inside a withdrawal: mark it, not for harvest',
  'put-binds-honey-until-what': ({ date, today, medicine, from, free }, w) =>
    `Put on ${w.day(date, today)}; ${w.text(medicine)} of ${w.day(from, today)} keeps honey off the harvest until ${w.text(free)}. What they store in this box is not for people: take it off or mark it as their own food. Follow the label and local law`,
  'box-off-marked': 'Box off, or marked?',
  'marker-label': 'Marker, label',
  'super-while-fed-mark-harvest': 'Super on while they are fed: mark it, not for harvest',
  'put-carried-down-until-about': ({ date, today, what, from, until }, w) =>
    `Put on ${w.day(date, today)}; the ${w.name('feed', what)} of ${w.day(from, today)} is being stored until about ${w.day(until, today)}, into this box as well. Sugar in honey is no honey: feeder off, or the box marked as their own food`,
  'feeder-off-box-marked': 'Feeder off, or box marked?',
  'super-full-next-one': 'Super full? Next one on',
  'since-what-bloom-holds-kg': ({ date, today, holdsKg, holdsKg2, full, holdsKg3 }, w) =>
    `On since ${w.day(date, today)}; by what is in bloom it holds ${w.figure('weight', holdsKg, 0)} of ${w.kg(holdsKg2, 0)} about ${w.day(full, today)}, ${w.kg(holdsKg3, 1)} a day`,
  'how-full-super-lift-look': 'How full is the super? Lift or look at the outer frame',
  super: 'Super',
  'drone-comb-out-before-emerges': 'Drone comb out before it emerges',
  'since-drones-emerge-day-every': ({ date, today, emerge, daysBetween }, w) =>
    `In since ${w.day(date, today)}: drones emerge from ${w.day(emerge, today)}, day ${w.number(daysBetween)}, and every mite on them with them. Left in, it breeds mites`,
  'sealed-cut-out-frozen': 'Sealed? Cut out or frozen?',
  'empty-drone-frame-bag': 'Empty drone frame, bag',
  'suspicion-look-again-ask': ({ of }, w) => `Suspicion of ${w.text(of)}: look again or ask`,
  'seen-nothing-leaves-hive-tools': ({ date, today }, w) =>
    `Seen ${w.day(date, today)}. Nothing leaves this hive, tools are cleaned. Some diseases must be reported at once: the inspector and local law decide`,
  'cappings-larvae-ropiness-test-sample': 'Cappings, larvae, ropiness test, sample?',
  'matches-sample-box-washing-soda': 'Matches, sample box, washing soda',
  'queen-start': ({ start, date, today }, w) => `${w.name('queenStart', start)} on ${w.day(date, today)}`,
  'mature-days-fit-mating': ({ mature, today, fitDays, to }, w) =>
    `; mature ${w.day(mature, today)}, ${w.number(fitDays)} days fit for mating by ${w.day(to, today)}`,
  'eggs-young-larvae': 'Eggs or young larvae?',
  'she-laying': 'Is she laying?',
  'queen-raised': ({ began, emerges, today, mating }, w) =>
    `${upperFirst(w.text(began))}${emerges ? `: emerges ${w.day(emerges, today)}${w.text(mating)}` : ''}`,
  'eggs-yet-act-now': 'No eggs yet? Act now',
  'without-eggs-she-lost-mated': ({ began, worry, today }, w) =>
    `${upperFirst(w.text(began))}: without eggs on ${w.day(worry, today)} she was lost or not mated`,
  'frame-eggs-queen': 'Frame with eggs, or a queen',
  'young-queen-emerges-flies-mates': 'A young queen emerges, flies and mates: opened now she may be lost or balled',
  'queen-put-disturbed-early-she': 'A queen was put in: disturbed early she is balled',
  'day-another-school': ({ as, date, today, daysBetween, otherSchool }, w) =>
    `${upperFirst(w.name('newColony', as))} of ${w.day(date, today)}, day ${w.number(daysBetween)}. Other practice: ${w.text(otherSchool)}`,
  'sealed-brood-time-treat': 'No sealed brood: the time to treat',
  'laying-stopped-last-worker-brood': ({ date, today, open, free, drones }, w) =>
    `Laying stopped ${w.day(date, today)}: last worker brood sealed ${w.day(open, today)}, emerged ${w.day(free, today)}, drones ${w.day(drones, today)}. The label and local law decide what may be used`,
  'any-sealed-brood-left': 'Any sealed brood left?',
  'what-label-asks-gloves-goggles': 'What the label asks for: gloves, goggles, mask',
  'rest-until': ({ why, to }, w) => `${w.text(why)} (until ${w.day(to)})`,
  'opened-every-opening-costs-part': ({ date, today }, w) =>
    `Opened on ${w.day(date, today)}: every opening costs them part of a day`,
  'enough-teaching-now-openings-minutes': ({ openings, minutes, stings }, w) =>
    `Enough teaching for now: ${w.number(openings)} openings, ${w.number(minutes)} minutes open and ${w.number(stings)} stings in 30 days`,
  'follow-up-visit-season-event': 'Follow-up of a visit or a season event',
  'shut-winter-begins-about-winter': ({ phase, from }, w) =>
    `Closed for winter; ${w.name('phase', phase)} begins about ${w.day(from)}. Winter does not count as a delay`,
  'first-look-year': 'First look of the year',
  'days-while-swarms-may-leave': ({ swarmIntervalDays }, w) =>
    `${w.number(swarmIntervalDays)} days while swarms may leave: a cell is sealed on day 8. Other practice: 10 to 15 days, or three weeks where nothing is asked of them`,
  'little-asked-days': ({ least, most, phase }, w) =>
    `Little to check: ${least === most ? '' : `${least} to `}${most} days in ${w.name('phase', phase)}`,
  'days-work-fits-need-another': ({ least, most, phase }, w) =>
    `${least === most ? '' : `${least} to `}${most} days in ${w.name('phase', phase)}. Work fits need; other practice opens weekly in a flow`,
  'look-queen-cells': 'Look for queen cells',
  'ordinary-look': 'Ordinary look',
  'clustered-still-low-hum-when': 'clustered and still; hums low when tapped',
  'quiet-few-wing': 'quiet, few on the wing',
  'calm-fine-days-short-tempered': 'calm on fine days, short-tempered in cold wind',
  'busy-mostly-calm-restless-when': 'busy, mostly calm; restless when about to leave',
  'gentle-foragers-away': 'gentle: the foragers are away',
  'defensive-robbing-about': 'defensive, robbing about',
  'fairly-gentle-heavy-traffic': 'fairly gentle, heavy traffic',
  'watchful-robbers-wasps-put-edge': 'watchful; robbers and wasps put them on edge',
  'slow-clinging-sharp-when-lid': 'slow and clinging; sharp when the lid cools',
  'last-time': 'as last time',
  'last-combs-were-read-days': ({ days, open }, w) =>
    `The last combs were read ${w.number(days)} days ago, ${w.number(open)} of them in the open season: what came in, went off or swarmed since is not known. Look, or heft, before you expect anything.`,
  'days-dearth-comb-built-honey': ({ dearth, strain }, w) =>
    `${w.number(dearth)} days of dearth: no comb is built, honey is eaten; this strain ${w.text(strain)}`,
  'rain-cold-kept-days-end': `rain or cold kept them in for days on end: brood rearing slowed`,
  'fed-brood-kept-up-stores': 'fed: brood is kept up and stores rise',
  'food-ran-low-less-brood': 'food ran low: less brood is reared, they may starve',
  'young-queen-cannot-lay-before': ({ from }, w) =>
    `the young queen cannot lay before ${w.day(from)}: no eggs and no young larvae are normal until then`,
  'nobody-has-seen-young-queens': ({ to }, w) =>
    `nobody has seen the young queen’s eggs yet: she should begin by ${w.day(to)}, none before then is no failure`,
  'brood-held-back-number-bees': 'brood is held back by the number of bees',
  'keeps-laying-through': 'keeps laying through it',
  'cuts-brood-down': 'cuts its brood down',
  'stops-altogether': 'stops altogether',
  'thin-syrup': 'thin syrup',
  'thin-syrup-mix': ({ sugar }, w) => `${w.kg(sugar)} with ${w.litres(sugar)} of water`,
  'thin-syrup-source': 'density of 50 °Bx sucrose by the ICUMSA formula, from memory',
  'thick-syrup': 'thick syrup',
  'thick-syrup-mix': ({ sugar, water }, w) => `${w.kg(sugar)} with ${w.litres(water, 1)} of water`,
  'thick-syrup-source': 'density of 66.7 °Bx sucrose by the ICUMSA formula, from memory',
  'candy-fondant': 'candy or fondant',
  kilograms: ({ kg }, w) => w.kg(kg),
  'tenth-water-fondant-common-practice': 'a tenth of water in fondant, common practice',
  'kg-found-least-wanted': ({ food, least, phase, has }, w) =>
    `${w.kg(food, 1)} found, at least ${w.kg(least)} wanted${phase !== null && has ? ' for winter' : ''}`,
  'lasts-about-days': ({ floor }) => `lasts ${aboutDays(floor)}`,
  'without-any-income': ({ found, lasts }, w) => `${w.text(found)}; ${w.text(lasts)} without any income`,
  'but-bloom-days-fit-bring': ({ found, plants, lasts }, w) =>
    `${w.text(found)}, but ${w.list(plants)} in bloom and days are fit: they gather it themselves; ${w.text(lasts)}, look again after poor days`,
  'frames-were-read-lift-hive': ({ framesRead, frames }, w) =>
    `${w.number(framesRead)} of ${w.number(frames)} frames were read: lift the hive at the back, or look at the outer combs`,
  'portion-of-feed': ({ portion, of, name }, w) => `${w.figure(of, portion)} ${w.unit(of)} of ${w.text(name)}`,
  'take-supers-off-first-then': ({ amount }, w) => `Take the supers off first, then feed ${w.text(amount)}`,
  'feed-them': ({ amount, starving, again }, w) =>
    `Feed ${w.text(amount)}${starving ? ' now' : ''}${again ? ', then look again' : ''}`,
  'food-wanted-less-food-found':
    'Food wanted less food found, as sugar; no more at once than they can take in about a week.',
  'found-nest': 'found in the nest',
  'kg-to': ({ value, low, high }, w) =>
    `${w.kg(value, 1)} (${w.figure('weight', low, 1)} to ${w.figure('weight', high, 1)})`,
  'found-supers': 'found in the supers',
  'kilograms-found': ({ kg }, w) => w.kg(kg, 1),
  'feed-in-portions': ({ whole, of, again, portion }, w) =>
    `${w.figure(of, whole)} ${w.unit(of)}${again ? `, ${w.figure(of, portion)} ${w.unit(of)} at a time` : ''}`,
  'house-practice-store-wanted': ({ source }, w) => `House practice for the store wanted; ${w.text(source)}.`,
  'feed-taken-food-kg': 'Feed taken? How much food?',
  'in-the-nest': ' in the nest',
  'nest-supers-were-looked': ' in the nest, the supers were not looked at',
  'supers-all': ', supers and all',
  'kg-food-house-rule-least': ({ food, where, phase, has, least }, w) =>
    `${w.kg(food, 1)} of food${w.text(where)}; house rule ${phase !== null && has ? 'for winter ' : ''}is at least ${w.kg(least)}`,
  'lasts-about-days-frames-brood': ({ floor, value }, w) =>
    `Lasts ${aboutDays(floor)} for ${w.number(value, 1)} frames of brood`,
  'next-days-hardly-fit-flying': ({ poor }, w) => `${w.number(poor)} of the next 7 days hardly fit for flying`,
  'days-reach-c-most-syrup': ({ max }, w) =>
    `Days reach ${w.celsius(max, 0)} at most: syrup is hardly taken, solid feed over the bees is`,
  'bloom-nectar-may-come': ({ plants }, w) => `${w.list(plants)} in bloom, nectar may come in`,
  'supers-harvest-starving-colony-comes':
    'Supers for harvest are on: a starving colony comes first, what is in them is then not for harvest; mark them',
  'frames-were-read-both-sides': ({ unread, frames }, w) =>
    `${w.number(unread)} of ${w.number(frames)} frames were not read on both sides`,
  'leaves-honey-feeds-nothing-another':
    'leaves the honey and feeds nothing; another gives thin syrup with protein, so that they go on rearing winter bees.',
  'gives-dry-sugar-bag-over': 'gives dry sugar in its bag over the frames, which some found eaten better than bricks.',
  'leaves-forage-while-plants-bloom':
    'leaves them to forage while plants are in bloom and looks again after the next fine day: fed colonies fill the nest with syrup.',
  'gives-fondant-over-nest-wet':
    'gives fondant over the nest: no wet feed while nights are cool, and nothing to spill for robbers.',
  'over-winter': 'over winter',
  'in-days': ({ days }, w) => `in ${w.number(days)} days`,
  'brood-again': 'Brood again',
  'no-brood': 'No brood',
  'brood-down': ({ share, over }, w) => `Brood down to ${w.number(share)} % ${w.text(over)}`,
  'brood-halved': ({ over }, w) => `Brood halved ${w.text(over)}`,
  'brood-up-half-more': ({ over }, w) => `Brood up by half or more ${w.text(over)}`,
  'brood-about-before': 'Brood unchanged',
  'freed-comb-full-food': ', freed comb full of food',
  'freed-comb-empty-food-less': ', freed comb empty and food less',
  'freed-comb-empty': ', freed comb empty',
  'room-short-well-super-harvest': 'Room is short as well: a super for harvest only once the feeder is empty and off',
  'about-days': ({ floor }) => `, ${aboutDays(floor)}`,
  'leave-alone': 'Leave them alone',
  'eggs-seen-she-laid-within': 'Eggs seen: she laid within three days',
  'no-eggs': ({ normal }, w) => `No eggs: ${w.text(normal)}`,
  'hives-stay-shut-until-about': ({ reopens }, w) => `Hives stay closed until about ${w.day(reopens)}`,
  'kg-food': ({ food, food2 }, w) => `${w.kg(food, 1)} of food${w.text(food2)}`,
  'food-judged-less-than-half': 'Food was not judged: less than half of the frames were read. Heft before you leave',
  'empty-bees-build-matter-course': ({ queenCells }, w) =>
    `${w.number(queenCells)} empty ${queenCells === 1 ? 'cup' : 'cups'}: bees build them as a matter of course`,
  'bees-frames': ({ value, frames }, w) => `Bees on ${w.number(value, 1)} of ${w.number(frames)} frames`,
  'frames-were-read': ({ frames }, w) => `${w.number(frames)} frames were not read`,
  'opens-every-days-while-swarms': ({ swarmIntervalDays }, w) =>
    `opens every ${w.number(swarmIntervalDays)} days while swarms may leave, whatever was found.`,
  days: ({ days }, w) => `${w.number(days)} days`,
  'shut-until-first-look-year': 'Closed until the first look of the year; outside checks and hefting go on.',
  'ordinary-interval-high-season-when': 'Ordinary interval of the high season, when nothing found asks for less.',
  'house-interval': 'house interval',
  'hives-opened-again-about': 'hives opened again about',
  'house-practice-trade-says-days': 'House practice; the trade says 10 to 15 days.',
  'young-queen-expected-lay-before': ({ layingTo }, w) =>
    `a young queen is not expected to lay before ${w.day(layingTo)}`,
  'brood-normal': ({ phase }, w) => `no brood is normal in ${w.name('phase', phase)}`,
  'strain-stops-laying-dearth': 'this strain stops laying in a dearth',
  'eggs-found-youngest-brood-says': ({ from, to }, w) =>
    `No eggs found; the youngest brood says last laid ${w.number(from)} to ${w.number(to)} days ago`,
  'brood-all-tell-when-she': 'No brood at all to tell when she last laid',
  'doubtful-frame-settled': ({ frames }) => `Doubtful on frame ${frames.join(', ')}, not settled`,
  'queen-seen': 'The queen was seen',
  'every-opening-costs-colony-part': 'Every opening costs the colony part of a day',
  'drone-layer-give-frame-young': 'Drone layer? Give a frame with young larvae and look again',
  'look-eggs-again': 'Look for eggs again',
  'look-doubtful-frames-again': 'Look at the doubtful frames again',
  'shakes-such-colony-out-front':
    'shakes such a colony out in front of others at once: laying workers hardly take a queen.',
  'leaves-her-three-weeks-young': 'leaves her three weeks: a young queen opened too early may be balled or lost.',
  'counts-queen-herself-proof-does': 'counts the queen herself as proof and does not open again for it.',
  'queen-cells-given-frame-young':
    'Queen cells on a given frame of young larvae say that there is no queen; none say that something lays. Drones only: a failed queen or laying workers.',
  'egg-stands-days-larva-within': 'An egg stands for 3 days, a larva for 6: within a week a laying queen shows.',
  'not-seen': 'not seen',
  'was-seen': 'seen',
  'phase-of-year': 'phase',
  'not-known': 'not known',
  'flat-sealed-worker-brood': 'flat sealed worker brood',
  'development-days-textbook-consensus-within': 'Development days: textbook consensus, within a day.',
  'what-doubtful-comb': 'What was the doubtful comb?',
  'feeder-cage-lid-only': 'Feeder and cage: lid only',
  'queen-out-cage-feed-left': 'Queen out of the cage? Feed left?',
  'syrup-one-to-one': 'Syrup 1:1',
  'first-full-check': 'First full check',
  'eggs-larvae-sealed-brood-comb': 'Eggs, larvae and sealed brood? Comb on how many frames?',
  'frames-syrup': 'Frames, syrup',
  'second-brood-box': 'Second brood box',
  'bees-all-frames': 'Bees on all frames?',
  'brood-box-frames': 'Brood box with frames',
  'first-super': 'First super',
  'second-box-covered': 'Second box covered?',
  'super-excluder': 'Super, excluder',
  'settle-new-queen-disturbed-early': 'They settle: a new queen that is disturbed early is balled or leaves',
  'starts-package-two-boxes-once': 'starts a package in two boxes at once and saves the visit at three weeks.',
  'peek-eggs-one-frame': 'Peek for eggs, one frame',
  'eggs-then-mark-her': 'Eggs? Then mark her',
  marker: 'Marker',
  room: 'Room',
  'comb-all-frames': 'Comb on all frames?',
  'box-frames': 'Box with frames',
  'brood-pattern-doubtful-brood-looked': 'Brood pattern? Doubtful brood looked at again?',
  frames: 'Frames',
  'build-leave-peace-but-room': 'They build: leave them in peace but for room and feed',
  'waits-until-day-first-look': 'waits until day 7 for the first look: a cast with a virgin queen needs longer to lay.',
  'peek-eggs-food': 'Peek for eggs and food',
  'eggs-feed-taken': 'Eggs? Feed taken?',
  'syrup-patty': 'Syrup 1:1, patty',
  'food-bees': 'Food and bees',
  'how-many-frames-bees-food': 'How many frames of bees? How much food?',
  'syrup-follower-board': 'Syrup, follower board',
  'first-full-check-unite-keep': 'First full check: unite or keep?',
  'brood-pattern-enough-bees-winter': 'Brood pattern? Enough bees for winter?',
  'frames-drawn-comb': 'Frames of drawn comb',
  'week-ten-days-too-early': 'A week to ten days is too early to judge them',
  'lets-nature-cull-late-swarms': 'lets nature cull late swarms and does not expect them to live.',
  'settled-food': 'Settled? Food?',
  'eggs-food-kg': 'Eggs? How much food?',
  syrup: 'Syrup',
  'brood-how-many-frames': 'Brood on how many frames?',
  'second-box-super': 'Second box or super',
  box: 'Box',
  'learn-place': 'They learn the place',
  'opens-next-day-see-queen': 'opens it the next day to see that the queen came through the move.',
  'queen-food': 'Queen and food',
  'eggs-enough-bees-stayed': 'Eggs? Enough bees stayed?',
  feed: 'Feed',
  'cells-again-room': 'Cells again? Room?',
  'gives-look-two-weeks-she': 'gives it no look for two weeks: she was laying when she was moved.',
  'count-choose-cells': 'Count and choose cells',
  'good-cells-where-leave-one': 'Good cells, where? Leave one or two',
  'cell-guards': 'Cell guards',
  'gives-queen-ripe-cell-instead': 'gives a queen or a ripe cell instead and saves two to three weeks of brood.',
  'eggs-cups-look-again': 'Eggs in cups: look again',
  'scrapes-cups-off-lets-until':
    'scrapes the cups off, or lets them be until a larva lies in jelly: many are eaten again.',
  'cups-eaten-out-fed-sealed': 'Cups: eaten out, fed or sealed?',
  'swarm-cells-sealed-act-today': 'Swarm cells sealed: act today',
  'fed-swarm-cells-decide-today': 'Fed swarm cells: decide today',
  'makes-artificial-swarm-old-queen':
    'makes an artificial swarm with the old queen; another splits and leaves one good cell; another thins the cells each week and takes the risk.',
  'has-swarm-left-one-good': 'Has a swarm left? One good cell, or the queen?',
  'what-done-cells-again': 'What was done? Cells again?',
  'queen-reared-now-mated-unite': 'A queen reared now is not mated: unite, or give a mated one',
  'leaves-until-spring-now-then': 'leaves them as they are until spring: now and then the old queen is still there.',
  'united-requeened': 'United, or requeened?',
  'leave-cells-replace-her': 'Leave the cells: they replace her',
  'young-queen-her-way-leave': 'A young queen is on her way: leave them alone',
  'takes-few-cells-swarm-cells': 'takes few cells for swarm cells as well and looks again in five days.',
  'gives-mated-queen-instead-saves':
    'gives a mated queen instead and saves three weeks of brood; then every cell has to come out first.',
  'eggs-young-queen-none-act': ({ worry }, w) => `Eggs of the young queen? None by ${w.day(worry)}: act`,
  'look-into': ({ unknown }, w) => `Look into the ${unknown === 1 ? 'queen cell' : `${w.number(unknown)} queen cells`}`,
  'takes-notice-one-two-empty':
    'takes no notice of one or two empty cups, which bees build anyway, and keeps the ordinary interval.',
  'cells-empty-egg-fed-sealed': 'Cells: empty, egg, fed or sealed? Edge or face?',
  'nobody-said-what-empty-cup': 'Nobody said what is in them: an empty cup may wait, a sealed cell may not.',
  'on-frame': ({ cells, frames }, w) => `${w.text(cells)} on frame ${frames.join(', ')}`,
  'queen-seen-have-left-her': 'The queen was seen: they have not left with her yet',
  'eggs-seen-she-there-within': 'Eggs seen: she was there within three days',
  'queen-cell-sealed-day-egg':
    'A queen cell is sealed on day 8 from the egg and opens on day 16; the first swarm leaves about when it is sealed. Many cells at the edge suggest swarming, a few on the face supersedure, cells on the face without eggs a lost queen.',
  'cells-cups': 'cells and cups',
  'looked-into': 'looked into',
  'not-looked-into': 'not looked into',
  'eggs-worker-cells': 'eggs in worker cells',
  'development-days-textbook-consensus-within-2':
    'Development days: textbook consensus, within a day. The reading of cells is common practice and no proof.',
  'of-frames': ({ value, frames, partly, low, min, sidesRead, sides }, w) =>
    `${w.number(value, 1)} of ${w.number(frames)} frames${partly ? ` (${w.number(low, 1)} to ${w.number(min, 1)} by ${w.number(sidesRead)} of ${w.number(sides)} sides)` : ''}`,
  'bees-house-rule': ({ range, addSpaceAt }, w) => `Bees on ${w.text(range)}; house rule is ${w.number(addSpaceAt, 1)}`,
  'supers-nearly-full': ({ eighths }, w) =>
    `The supers are ${w.number(eighths)} eighths full: the next one before they are`,
  'nectar-among-brood': ({ squeezed }, w) =>
    `Nectar among brood on ${squeezed === 1 ? 'one frame' : `${w.number(squeezed)} frames`}`,
  'about-young-bees-due': ({ young, due }, w) => `About ${w.number(young)} young bees due by ${w.day(due)}`,
  'in-bloom': ({ plants }, w) => `${w.list(plants)} in bloom`,
  'frames-nest-still-empty-bare': ({ undrawn }, w) =>
    `${w.number(undrawn, 1)} frames in the nest still empty or undrawn`,
  'super-only-eighths-full': ({ superFill }, w) => `The super on it is only ${w.number(superFill)} eighths full`,
  'medicine-binds-honey-until-box': ({ superOnFrom, today }, w) =>
    `Withdrawal period until ${w.day(superOnFrom, today)}: a box put on before then is for the bees, not for harvest`,
  'feeder-off-before-super': ({ fedUntil, today }, w) =>
    `They are storing feed until about ${w.day(fedUntil, today)}: feeder off first, or sugar goes into the super`,
  'only-sides-were-read-may': ({ sidesRead, sides }, w) =>
    `Only ${w.number(sidesRead)} of ${w.number(sides)} sides were read: it may be less`,
  'second-box': 'second ',
  third: 'third ',
  fourth: 'fourth ',
  further: 'further ',
  a: ({ unsure, nth, superOnFrom }, w) =>
    `${unsure ? 'Room may be short: look, then put' : 'Put'} a ${w.text(nth)}${superOnFrom ? 'box on, not for harvest' : 'super on'}`,
  'waits-until-super-two-thirds':
    'waits until the super on it is two thirds full, since half-filled supers ripen slowly in cool weather.',
  'first-has-every-frame-brood':
    'first has every frame of the brood box built and covered: room above too early chills the nest and builds a chimney.',
  'bees-on': ({ range }, w) => `bees on ${w.text(range)}`,
  'eighths-each-side-covered-bees': 'Eighths of each side covered by bees, added up; sixteen are a full frame.',
  'likely-range': 'likely range',
  'to-frames': ({ low, high }, w) => `${w.number(low, 1)} to ${w.number(high, 1)} frames`,
  'house-rule': 'house rule',
  'in-of-frames': ({ addSpaceAt, frames }, w) => `${w.number(addSpaceAt)} % of ${w.number(frames)} frames`,
  'sealed-worker-cells': 'sealed worker cells',
  'emerging-days': ({ days }, w) => `emerging in ${w.number(days)} days`,
  'days-under-lid': ({ young, days }, w) => `${w.number(young)} (${w.number(days)} of the 12 days capped)`,
  'eighths-method-liebefeld-coloss-beebook':
    'Eighths method (Liebefeld; COLOSS BEEBOOK). Both rules for adding a box are common practice.',
  'up-new-box': 'Are they up in the new box?',
  'about-kg-food-left-kg': ({ kg, eaten }, w) => `about ${w.kg(kg, 1)} of food left, ${w.kg(eaten, 2)} eaten a day`,
  'frames-brood-feed': ({ value }, w) => `${w.number(value, 1)} frames of brood to feed`,
  'many-starve-build-up-spring': 'many starve in build-up, with spring in sight',
  'next-days-keep': ({ poorDays }, w) => `${w.number(poorDays)} of the next 7 days keep them in`,
  'frames-brood-about-bees-within': ({ brood, date, bees, days }, w) =>
    `${w.number(brood, 1)} frames of brood on ${w.day(date)}: about ${aboutBees(bees)} bees within ${w.number(days)} days`,
  'room-frames-five-weeks': ({ roomFrames }, w) => `room for them on ${w.number(roomFrames)} frames for five weeks`,
  'cover-frames': ({ roomFrames, fullOn }, w) => `they cover ${w.number(roomFrames)} frames by ${w.day(fullOn)}`,
  'much-brood-weeks-before-main': ({ toFlow, flowFrom }, w) =>
    `that much brood ${w.number(toFlow)} weeks before the main flow of ${w.day(flowFrom)}`,
  'queen-her-second-season-older': 'the queen is in her second season or older',
  'queen-cells-brood': ({ cells }, w) => `${w.number(cells)} queen cells with brood in them`,
  'record-days-old': ({ since }, w) => `the record is ${w.number(since)} days old`,
  'adds-room-but-takes-brood':
    'adds no room but takes brood to a level yard or splits before the flow; another scrapes cups off each week, another breeds from colonies that do not swarm.',
  'swarm-season-now': 'no swarm season now',
  'new-super-harvest-may-go': ({ superOnFrom, today }, w) =>
    `A new super for harvest may go on from ${w.day(superOnFrom, today)}.`,
  'enter-withdrawal-label-day-can': ({ medicines }, w) =>
    `Enter the withdrawal of ${w.list(medicines)} from the label: no day can be given.`,
  'super-once-feeder-off': ({ fedUntil, today }, w) =>
    `They are storing feed until about ${w.day(fedUntil, today)}: a super for harvest once the feeder is off.`,
  'harvest-waiting-frees-these-boxes': ({ boxes }, w) =>
    `Not for harvest: ${boxes.map(({ name, why }) => `${w.text(name)} (${w.text(why)})`).join('; ')}. No waiting frees these boxes.`,
  'stood-during': ({ medicine, from, today }, w) => `stood on during ${w.text(medicine)} of ${w.day(from, today)}`,
  'put-inside-withdrawal': ({ since, today, medicine, freeFrom }, w) =>
    `put on ${w.day(since, today)}, inside the withdrawal of ${w.text(medicine)}${freeFrom === null ? ' (not entered)' : ` (over ${w.day(freeFrom, today)})`}`,
  'while-carried-down': ({ what, from, today }, w) =>
    `on while ${w.name('feed', what)} of ${w.day(from, today)} was carried down`,
};
