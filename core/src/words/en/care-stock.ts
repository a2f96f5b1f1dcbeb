import type { ClimateNote, ColonyAim, StockSentences } from '../../care';
import type { Sentences } from '../../language';
import { counted } from './counted';

/** What a colony is kept for, as the reason for an advice. */
const KEPT_FOR: Readonly<Record<ColonyAim, string>> = {
  honey: 'It is kept for honey',
  growth: 'More colonies are wanted from it',
  survival: 'It is to live through by itself',
  reserve: 'It is kept small, as a queen in reserve',
};
const lower = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);
const season = (seasons: number | null): string =>
  seasons === null
    ? 'a queen of unknown age'
    : seasons === 1
      ? 'a queen in her first season'
      : `a queen in season ${seasons}`;
const inOrder = (tempers: readonly number[]): string => tempers.join(', ');

const TROUBLE: Readonly<Record<StockSentences['queen-for']['trouble'], string>> = {
  queenless: 'It seems to be queenless',
  overdue: 'Its young queen should have laid by now',
  'drone-layer': 'Its queen lays drones only: she is taken out first',
  failing: 'Its queen is old and lays patchily: she is taken out first',
  'laying-workers': 'Its workers lay',
};

/** What differs from a rule of thumb in a climate. */
const CLIMATE_NOTES: Readonly<Record<ClimateNote, string>> = {
  'beetles-and-moth':
    'small hive beetles and wax moth take over a weak colony within days: watch for both whatever else is found',
  'robbing-all-year': 'no frost ends robbing or wasps: guard small colonies in every dearth, not only in late summer',
  'wasps-late': 'wasps live into December: guard small colonies for longer',
  'long-winter-food': 'winters are long: many leave half as much again as the figure of the house, up to twice as much',
  'brood-eats-in-winter':
    'brood goes on through a short winter and eats the stores: weigh hives every few weeks instead of trusting one figure',
  'dearth-is-winter':
    'there is no winter to store for: the hungry time is the dearth, so weigh hives then and feed by weight',
  'few-mating-days': 'days fit for mating are few: allow a week or two more before you give a young queen up',
  'mates-all-year': 'queens mate nearly all year: another queen is an answer when others can only unite',
  'swarms-twice': 'they may swarm again in autumn, and begin in late winter: look for cells in both',
  'winter-bees-early':
    'bees of winter are reared from July or August: count and treat weeks before the date of milder places',
  'short-broodless': 'the broodless time is short or fails: look for brood before you rely on it, or make one',
  'brood-all-year':
    'there is brood all year: no broodless time unless you make one, so count every month and take what works on sealed brood',
  'beetles-in-patties': 'hive beetles breed in patties: small pieces, no more than is eaten in three days',
  'winter-needs-five': 'winters are long: five frames of bees and more, or above a strong colony',
  'no-winter-size': 'no winter sorts the small from the large: nurse them, and guard them against beetles and robbers',
  'heat-before-cold': 'heat harms brood more often than cold: shade and water come before closing up',
  'model-of-temperate': 'what was expected comes from colonies of temperate places: take its ranges as wider',
  'dearth-is-the-test':
    'wintering well says little where there is no winter: who builds and holds out in the dearth is worth breeding from',
  'moth-in-store':
    'wax moth takes stored comb within weeks: keep it on strong colonies, or cold, or with air and light',
  'warm-weeks-few': 'weeks warm enough to draw comb are few: renew a third fewer combs a year',
  'one-box-at-a-time': 'warm spells are short: one box at a time, and none before a cold week',
  'empty-box-guarded': 'an empty box that bees do not cover is for moth and beetles: take it off again in a dearth',
  'never-shut': 'hives are never shut for a season: a look every two or three weeks all year',
};

/** What is said of what a colony is kept for, of its queen’s stock, and of queens in reserve. */
export const stockSentences: Sentences<StockSentences> = {
  'aim-asks': ({ aim, otherwise }, w) =>
    `${KEPT_FOR[aim]}. Without that: ${otherwise === null ? 'nothing of this' : lower(w.text(otherwise))}`,
  'aim-leaves-out': ({ aim, titles }, w) =>
    `${KEPT_FOR[aim]}. Without that, also: ${titles.map((title) => lower(w.text(title))).join('; ')}`,
  'divide-it': ({ points }) => `Divide it while it is strong, before it swarms: ${points} of 100 points`,
  'comb-out-of-reserve': 'Take a comb of brood or food out for another hive, and hang foundation in its place',
  'lets-reserve-grow': 'lets a small colony grow into a full one, and makes new ones in late summer.',
  'sharp-at-looks': ({ tempers }) => `Temper ${inOrder(tempers)} of 5 at the last looks: sharp`,
  'gentle-at-looks': ({ tempers }) => `Temper ${inOrder(tempers)} of 5 at the last looks: gentle`,
  'not-gentle': ({ tempers }) => `Temper ${inOrder(tempers)} of 5 at the last looks: not gentle enough to breed from`,
  'trait-noted': ({ trait, days }, w) => `Noted on ${counted(days, 'day')}: ${w.name('trait', trait)}`,
  'temper-not-known': ({ looks, wanted }) => `Temper noted at ${counted(looks, 'look')}; ${wanted} would tell`,
  'not-wintered-yet': 'Nobody knows yet how she winters',
  'mites-never-counted': 'Her mites were never counted',
  'mites-over-line-once': 'Mites were over the line at least once',
  'mites-stayed-few': ({ samples }) => `Mites stayed under the line in ${counted(samples, 'sample')}`,
  'few-good-traits': ({ wanted }) => `Fewer than ${wanted} good traits were noted`,
  'plan-gentler-queen': 'Plan another queen for it, of better stock',
  'sharp-has-other-causes':
    'Dearth, robbers, thunder, rough handling or a lost queen make any colony sharp: was it one of them each time?',
  'lets-nature-choose': 'leaves the queen to the bees: those that thrive and defend themselves live on.',
  'looks-with-temper': ({ looks }) => counted(looks, 'look'),
  'requeen-rule': ({ looks, hot, again }) =>
    `The middle temper of at least ${looks} looks is ${hot} of 5 or more, or a fault was noted on ${again} days or more. Counted from six weeks after her first eggs, for until then the bees are of the queen before her.`,
  'breed-rule': ({ looks, novices, traits, seasons }, w) =>
    `At least ${looks} looks with a middle temper of ${w.number(novices, 1)} of 5 or less, ${traits} good traits, no fault, mites under the line whenever they were counted, and a queen in season ${seasons} or later.`,
  tempers: 'temper, look by look',
  'tempers-in-order': ({ tempers }) => (tempers.length === 0 ? 'not noted' : inOrder(tempers)),
  'not-for-beginners': 'Until then this hive is not for beginners: full suits, a small group, away from paths.',
  'calm-next-three': 'Calm at the next three looks: it was the weather or the season.',
  'her-bees-six-weeks': 'A new queen shows in the temper only after six weeks: her own bees have to emerge first.',
  'new-queen-her-temper': 'New queen laying? Temper now?',
  'raise-daughters': 'Raise daughters of her: cells or larvae for other hives',
  'buys-tested-queens': 'buys tested queens, and says that half of each daughter comes from drones nobody chose.',
  'swarms-small-then-not': 'Swarms while it is small: then not from her.',
  'daughters-differ': 'Daughters differ from their mother: judge each by herself after her first winter.',
  'cells-of-her-taken': 'Larvae or cells of her taken?',
  'reserve-ready': ({ seasons, bees }, w) =>
    `${season(seasons)}, laying${bees === null ? '' : `, ${w.number(bees, 1)} frames of bees`}: could go today`,
  'reserve-not-ready': ({ why }, w) => `not now: ${w.text(why)}`,
  'reserve-unsound': 'something was found on its brood or bees',
  'reserve-robbed': 'it is being robbed',
  'reserve-has-cells': 'it has queen cells',
  'reserve-not-laying': 'no eggs were seen at the last look',
  'reserve-shut': 'hives stay shut at this time of the year',
  'give-queen': ({ from, to, unites }) =>
    unites
      ? `Hive ${from} could be united with hive ${to}, combs, bees and its queen together`
      : `The queen of hive ${from} could go to hive ${to} in a cage; her own bees then need a cell or go to a neighbour`,
  'queen-for': ({ trouble, proved, seasons, bees }, w) =>
    `${TROUBLE[trouble]}${proved ? ', which a test frame proves first' : ''}. ${w.number(bees, 1)} frames of bees are worth ${season(seasons)}.`,
  'climate-not-known': 'Nobody knows the climate of this place: the rule is of temperate ones',
  'rule-holds': ({ band }, w) => `Holds in a ${w.name('climate', band)} climate as it stands`,
  'rule-differs': ({ band, note }, w) => `In a ${w.name('climate', band)} climate ${CLIMATE_NOTES[note]}`,
};
