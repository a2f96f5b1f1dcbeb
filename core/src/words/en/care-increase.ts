import type { IncreaseSentences, QueenSource } from '../../care';
import type { Sentences } from '../../language';
import { counted } from './counted';

const OTHERS: Readonly<Record<QueenSource, string>> = {
  graft: 'buys queens, or lets each half raise its own: fewer appointments, less choice of the mother.',
  'buy-mated':
    'raises its own from the best colony: daughters of bees that live here, and no strange brood or mites come in.',
  'buy-cells': 'gives laying queens instead: no weeks of waiting, and no queen lost on her flight.',
  'walk-away': 'gives a queen or a ripe cell: two to three weeks of brood are won, and the mother is chosen.',
};

/** What is said of dividing colonies, of drawn comb as a stock, and of trials. */
export const increaseSentences: Sentences<IncreaseSentences> = {
  'split-divide': 'Divide: make the small units',
  'split-divide-eggs-both':
    'Eggs and young larvae on both sides of the division, food and bees in each; the half without the queen raises one',
  'split-divide-without-her':
    'The queen is found first and stays; units go a few miles away or lose their foragers to the old stand',
  'split-divide-day-before': 'A day without a queen, and they take a cell more readily; look for the old queen first',
  'split-choose-cells': 'Count the cells and leave one or two good ones',
  'split-choose-cells-why':
    'Before they are sealed it can be seen which larvae are well fed; two virgins fight, or swarm',
  'split-order-queens': 'Order the queens for that day',
  'split-order-cells': 'Order the cells for that day',
  'split-order-why':
    'Breeders are booked weeks ahead in spring; ask for their health papers, local law on moving bees goes first',
  'split-queen-in': 'Hang her in, in her cage',
  'split-queen-in-why': 'They have missed a queen for a day; eaten free over two or three, not disturbed for a week',
  'split-cells-in': 'Put the ripe cells in, point down, between brood',
  'split-cells-in-why': 'A day or two before they emerge: handled earlier or chilled, the queen is lost',
  'split-feed': 'Feed thin syrup, and see that there is pollen',
  'split-feed-why': ({ days }) =>
    `About ${days} days before larvae are taken, so that nurse bees are many; none where supers for harvest are on`,
  'split-drones': 'Is drone brood sealed?',
  'split-drones-why': ({ days }) =>
    `From egg to a drone that can mate are ${days} days: sealed now, they fly when the virgins do. None yet: graft later`,
  'split-starter': 'Make the starter: many young bees, food and pollen, no queen and no open brood',
  'split-starter-why': 'A day without a queen or larvae of their own, and they take what is given',
  'split-graft': 'Graft larvae of half a day to a day from the chosen mother',
  'split-graft-why': 'Older larvae become smaller queens; keep them warm and damp under a cloth',
  'split-accepted': 'How many were accepted?',
  'split-accepted-why': 'Fed cells show after a day: graft again the same day where too few are',
  'split-alone': 'Leave them alone',
  'split-alone-why': 'She emerges, flies and mates: opened now she may be lost',
  'split-laying': 'Eggs?',
  'split-laying-why': ({ worry }, w) =>
    `Without eggs by ${w.day(worry)} she was lost or not mated: unite, or give a queen in reserve`,
  'split-proven': 'Is her own brood sealed and even?',
  'split-proven-why': 'Only now the new colony is proven: before, nobody sells it or lends it to a course',
  'split-not-suspected':
    'Disease is suspected in this yard: nothing is divided and nothing leaves it until the inspector says so',
  'split-not-by-then': ({ readyBy, soonest }, w) =>
    `No queen can lay by ${w.day(readyBy)} in this way: the soonest is ${w.day(soonest)}. Buy laying queens, or choose a later day`,
  'split-not-this-year':
    'The year leaves no time for it in this way: drones, warm days to mate, and weeks to grow before winter',
  'split-next-season': 'This season leaves no time for it any more: these are the next days that fit',
  'split-too-few-units': ({ units, wanted }) =>
    `${counted(wanted, 'new colony', 'new colonies')} wanted; these colonies can give ${counted(units, 'unit')} now`,
  'split-fed-short': ({ days }) =>
    `Less than ${days} days are left to feed them up: expect fewer nurse bees and fewer cells`,
  'split-walk-away-risk': 'One in four or five young queens is lost on her flights: make one unit more than you want',
  'split-no-queen-no-split': 'No queen or cell at hand, no division: know of a second source before the day',
  'split-counted-at-last-look':
    'Counted from the last looks: look again before the day, and never divide a colony that was not looked through for disease',
  'split-other-school': ({ source }) => OTHERS[source],
  'gives-none-suspected-yard': 'none while disease is suspected in the yard',
  'gives-none-unsound': 'none: something was found on its brood or bees',
  'gives-none-treated': 'none: a medicine lies in it, or binds its honey',
  'gives-none-mites': 'none: mites come first',
  'gives-none-robbed': 'none: it is being robbed',
  'gives-none-queen': 'none: it has no laying queen',
  'gives-none-aim': 'none: it is kept for another purpose',
  'gives-none-unread': 'cannot be told: its bees were not counted',
  'gives-units': ({ bees, brood, units }, w) =>
    `${units === 0 ? 'none yet' : counted(units, 'unit')}: ${w.number(bees, 1)} frames of bees, ${w.number(brood, 1)} of brood`,
  'combs-enough': ({ have, goal }) =>
    goal === 0
      ? `${counted(have, 'drawn comb')}. No goal is set for next spring yet`
      : `${counted(have, 'drawn comb')} for a goal of ${goal}: enough`,
  'combs-nobody-builds': ({ short }) =>
    `${counted(short, 'drawn comb')} short, and no colony is strong enough to draw them now`,
  'combs-reached': ({ short, each, builders, flowTo }, w) =>
    `${counted(short, 'drawn comb')} short: ${counted(each, 'comb')} in each of ${counted(builders, 'strong colony', 'strong colonies')} by ${w.day(flowTo)}`,
  'combs-not-reached': ({ short, most, days }) =>
    days === 0
      ? `${counted(short, 'drawn comb')} short, and no flow is ahead in which comb is drawn: plan for next year`
      : `${counted(short, 'drawn comb')} short; about ${most} can be drawn in the ${counted(days, 'day')} left of the flow`,
  'trial-open': ({ pairs }) => `Nothing measured yet on ${counted(pairs, 'pair')}`,
  'trial-says': ({ verdict, measured, better, byChance, fewest }, w) => {
    const told = `the first did better in ${better} of ${counted(measured, 'pair')}; chance alone would give as much in ${w.number(byChance * 100, 0)} % of trials`;
    if (verdict === 'too-few') return `Too few to tell: ${told}. At least ${counted(fewest, 'pair')} are needed`;
    if (verdict === 'no-difference') return `No difference that chance does not give as well: ${told}`;
    return verdict === 'one' ? `The first did better: ${told}` : `The second did better: ${told}`;
  },
};
