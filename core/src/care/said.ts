import type { Quantity } from '../units';
import { type Text, saying } from '../language';
import type { QueenCell } from '../inspection';
import type { CivilDate } from '../units';
import type { BehindSentences } from './said-behind';
import type { CombSentences } from './said-comb';
import type { EntranceSentences } from './said-entrance';
import type { IncreaseSentences } from './said-increase';
import type { HealthSentences } from './said-health';
import type { MiteSentences } from './said-mites';
import type { QueenSentences } from './said-queen';
import type { SpaceSentences } from './said-space';
import type { StockSentences } from './said-stock';
import type { StrengthSentences } from './said-strength';

/** What this room says, with the facts of each sentence. */
export interface CareSentences
  extends
    BehindSentences,
    CombSentences,
    EntranceSentences,
    HealthSentences,
    IncreaseSentences,
    MiteSentences,
    QueenSentences,
    SpaceSentences,
    StockSentences,
    StrengthSentences {
  'cells-found': { cells: readonly (QueenCell & { readonly count: number })[]; unknown: number };
  'finding-normal': { change: Text; comb: Text };
  'finding-odd': {
    change: Text;
    comb: Text;
    odd: readonly {
      readonly measure: 'bees' | 'brood' | 'sealed' | 'drone' | 'stores';
      readonly word: 'normal' | 'more-than-expected' | 'less-than-expected';
    }[];
  };
  'label-label-local-law-lead': null;
  'dose-of': { medicine: Text; given: number; planned: number };
  'every-days-last': {
    label: Text;
    repeatAfter: number | null;
    lastDose: CivilDate;
    today: CivilDate;
    warmthAhead: Text;
  };
  'protective-gear-label': { medicine: Text };
  'take-out': { medicine: Text };
  'out-days-after-last-dose': { label: Text; removeAfter: number | null };
  'out-counted': null;
  'gloves-bag': null;
  'withdrawal-ends': { medicine: Text };
  'days-new-super-harvest-before': {
    label: Text;
    withdrawal: number | null;
    end: CivilDate;
    today: CivilDate;
    ended: boolean;
  };
  'count-mites-again-after': { medicine: Text };
  'whether-worked-shows-only-count': { medicine: Text };
  'mites-per-bees': null;
  'mite-wash-kit': null;
  'coming-days-reach-c-see': { least: number; most: number };
  'plain-thin-syrup-keeps-three': null;
  'thick-syrup-keeps-weeks-what': null;
  'feeder-empty': { what: string };
  'kg-given-frames-bees': { kg: number; date: CivilDate; today: CivilDate; framesOfBees: number; keeps: Text };
  'taken-more-ignored-then-off': null;
  'patty-eaten': null;
  'kg-given-strong-hive-takes': { kg: number; date: CivilDate; today: CivilDate };
  'patty-eaten-pollen-nest': null;
  patty: null;
  'unknown-day-enter-withdrawal': null;
  'super-inside-withdrawal-mark-harvest': null;
  'put-binds-honey-until-what': { date: CivilDate; today: CivilDate; medicine: Text; from: CivilDate; free: Text };
  'box-off-marked': null;
  'marker-label': null;
  'super-while-fed-mark-harvest': null;
  'put-carried-down-until-about': {
    date: CivilDate;
    today: CivilDate;
    what: string;
    from: CivilDate;
    until: CivilDate;
  };
  'feeder-off-box-marked': null;
  'super-full-next-one': null;
  'since-what-bloom-holds-kg': {
    date: CivilDate;
    today: CivilDate;
    holdsKg: number;
    holdsKg2: number;
    full: CivilDate;
    holdsKg3: number;
  };
  'how-full-super-lift-look': null;
  super: null;
  'drone-comb-out-before-emerges': null;
  'since-drones-emerge-day-every': { date: CivilDate; today: CivilDate; emerge: CivilDate; daysBetween: number };
  'sealed-cut-out-frozen': null;
  'empty-drone-frame-bag': null;
  'suspicion-look-again-ask': { of: Text };
  'seen-nothing-leaves-hive-tools': { date: CivilDate; today: CivilDate };
  'cappings-larvae-ropiness-test-sample': null;
  'matches-sample-box-washing-soda': null;
  'queen-start': { start: string; date: CivilDate; today: CivilDate };
  'mature-days-fit-mating': { mature: CivilDate; today: CivilDate; fitDays: number; to: CivilDate };
  'eggs-young-larvae': null;
  'she-laying': null;
  'queen-raised': { began: Text; emerges: CivilDate | null; today: CivilDate; mating: Text };
  'eggs-yet-act-now': null;
  'without-eggs-she-lost-mated': { began: Text; worry: CivilDate; today: CivilDate };
  'frame-eggs-queen': null;
  'young-queen-emerges-flies-mates': null;
  'queen-put-disturbed-early-she': null;
  'day-another-school': { as: string; date: CivilDate; today: CivilDate; daysBetween: number; otherSchool: Text };
  'sealed-brood-time-treat': null;
  'laying-stopped-last-worker-brood': {
    date: CivilDate;
    today: CivilDate;
    open: CivilDate;
    free: CivilDate;
    drones: CivilDate;
  };
  'any-sealed-brood-left': null;
  'what-label-asks-gloves-goggles': null;
  'rest-until': { why: Text; to: CivilDate };
  'opened-every-opening-costs-part': { date: CivilDate; today: CivilDate };
  'enough-teaching-now-openings-minutes': { openings: number; minutes: number; stings: number };
  'follow-up-visit-season-event': null;
  'shut-winter-begins-about-winter': { phase: string; from: CivilDate };
  'first-look-year': null;
  'days-while-swarms-may-leave': { swarmIntervalDays: number };
  'little-asked-days': { least: number | undefined; most: number | undefined; phase: string };
  'days-work-fits-need-another': { least: number | undefined; most: number | undefined; phase: string };
  'look-queen-cells': null;
  'ordinary-look': null;
  'clustered-still-low-hum-when': null;
  'quiet-few-wing': null;
  'calm-fine-days-short-tempered': null;
  'busy-mostly-calm-restless-when': null;
  'gentle-foragers-away': null;
  'defensive-robbing-about': null;
  'fairly-gentle-heavy-traffic': null;
  'watchful-robbers-wasps-put-edge': null;
  'slow-clinging-sharp-when-lid': null;
  'last-time': null;
  'last-combs-were-read-days': { days: number; open: number };
  'days-dearth-comb-built-honey': { dearth: number; strain: Text };
  'rain-cold-kept-days-end': null;
  'fed-brood-kept-up-stores': null;
  'food-ran-low-less-brood': null;
  'young-queen-cannot-lay-before': { from: CivilDate };
  'nobody-has-seen-young-queens': { to: CivilDate };
  'brood-held-back-number-bees': null;
  'keeps-laying-through': null;
  'cuts-brood-down': null;
  'stops-altogether': null;
  'thin-syrup': null;
  'thin-syrup-mix': { sugar: number };
  'thin-syrup-source': null;
  'thick-syrup': null;
  'thick-syrup-mix': { sugar: number; water: number };
  'thick-syrup-source': null;
  'candy-fondant': null;
  kilograms: { kg: number };
  'tenth-water-fondant-common-practice': null;
  'kg-found-least-wanted': {
    food: number;
    least: number;
    phase:
      | 'winter-rest'
      | 'first-brood'
      | 'build-up'
      | 'swarm-season'
      | 'flow'
      | 'dearth'
      | 'late-flow'
      | 'making-winter-bees'
      | 'closing-down'
      | null;
    has: boolean;
  };
  'lasts-about-days': { floor: number };
  'without-any-income': { found: Text; lasts: Text };
  'but-bloom-days-fit-bring': { found: Text; plants: readonly string[]; lasts: Text };
  'frames-were-read-lift-hive': { framesRead: number; frames: number };
  'portion-of-feed': { portion: number; of: Quantity; name: Text };
  'take-supers-off-first-then': { amount: Text };
  'feed-them': { amount: Text; starving: boolean; again: boolean };
  'food-wanted-less-food-found': null;
  'found-nest': null;
  'kg-to': { value: number; low: number; high: number };
  'found-supers': null;
  'kilograms-found': { kg: number };
  'feed-in-portions': { whole: number; of: Quantity; again: boolean; portion: number };
  'house-practice-store-wanted': { source: Text };
  'feed-taken-food-kg': null;
  'in-the-nest': null;
  'nest-supers-were-looked': null;
  'supers-all': null;
  'kg-food-house-rule-least': {
    food: number;
    where: Text;
    phase:
      | 'winter-rest'
      | 'first-brood'
      | 'build-up'
      | 'swarm-season'
      | 'flow'
      | 'dearth'
      | 'late-flow'
      | 'making-winter-bees'
      | 'closing-down'
      | null;
    has: boolean;
    least: number;
  };
  'lasts-about-days-frames-brood': { floor: number; value: number };
  'next-days-hardly-fit-flying': { poor: number };
  'days-reach-c-most-syrup': { max: number };
  'bloom-nectar-may-come': { plants: readonly string[] };
  'supers-harvest-starving-colony-comes': null;
  'frames-were-read-both-sides': { unread: number; frames: number };
  'leaves-honey-feeds-nothing-another': null;
  'gives-dry-sugar-bag-over': null;
  'leaves-forage-while-plants-bloom': null;
  'gives-fondant-over-nest-wet': null;
  'over-winter': null;
  'in-days': { days: number };
  'brood-again': null;
  'no-brood': null;
  'brood-down': { share: number; over: Text };
  'brood-halved': { over: Text };
  'brood-up-half-more': { over: Text };
  'brood-about-before': null;
  'freed-comb-full-food': null;
  'freed-comb-empty-food-less': null;
  'freed-comb-empty': null;
  'room-short-well-super-harvest': null;
  'about-days': { floor: number };
  'leave-alone': null;
  'eggs-seen-she-laid-within': null;
  'no-eggs': { normal: Text };
  'hives-stay-shut-until-about': { reopens: CivilDate };
  'kg-food': { food: number; food2: Text };
  'food-judged-less-than-half': null;
  'empty-bees-build-matter-course': { queenCells: number };
  'bees-frames': { value: number; frames: number };
  'frames-were-read': { frames: number };
  'opens-every-days-while-swarms': { swarmIntervalDays: number };
  days: { days: number };
  'shut-until-first-look-year': null;
  'ordinary-interval-high-season-when': null;
  'house-interval': null;
  'hives-opened-again-about': null;
  'house-practice-trade-says-days': null;
  'young-queen-expected-lay-before': { layingTo: CivilDate };
  'brood-normal': { phase: string };
  'strain-stops-laying-dearth': null;
  'eggs-found-youngest-brood-says': { from: number; to: number };
  'brood-all-tell-when-she': null;
  'doubtful-frame-settled': { frames: readonly number[] };
  'queen-seen': null;
  'every-opening-costs-colony-part': null;
  'drone-layer-give-frame-young': null;
  'look-eggs-again': null;
  'look-doubtful-frames-again': null;
  'shakes-such-colony-out-front': null;
  'leaves-her-three-weeks-young': null;
  'counts-queen-herself-proof-does': null;
  'queen-cells-given-frame-young': null;
  'egg-stands-days-larva-within': null;
  'not-seen': null;
  'was-seen': null;
  'phase-of-year': null;
  'not-known': null;
  'flat-sealed-worker-brood': null;
  'development-days-textbook-consensus-within': null;
  'what-doubtful-comb': null;
  'feeder-cage-lid-only': null;
  'queen-out-cage-feed-left': null;
  'syrup-one-to-one': null;
  'first-full-check': null;
  'eggs-larvae-sealed-brood-comb': null;
  'frames-syrup': null;
  'second-brood-box': null;
  'bees-all-frames': null;
  'brood-box-frames': null;
  'first-super': null;
  'second-box-covered': null;
  'super-excluder': null;
  'settle-new-queen-disturbed-early': null;
  'starts-package-two-boxes-once': null;
  'peek-eggs-one-frame': null;
  'eggs-then-mark-her': null;
  marker: null;
  room: null;
  'comb-all-frames': null;
  'box-frames': null;
  'brood-pattern-doubtful-brood-looked': null;
  frames: null;
  'build-leave-peace-but-room': null;
  'waits-until-day-first-look': null;
  'peek-eggs-food': null;
  'eggs-feed-taken': null;
  'syrup-patty': null;
  'food-bees': null;
  'how-many-frames-bees-food': null;
  'syrup-follower-board': null;
  'first-full-check-unite-keep': null;
  'brood-pattern-enough-bees-winter': null;
  'frames-drawn-comb': null;
  'week-ten-days-too-early': null;
  'lets-nature-cull-late-swarms': null;
  'settled-food': null;
  'eggs-food-kg': null;
  syrup: null;
  'brood-how-many-frames': null;
  'second-box-super': null;
  box: null;
  'learn-place': null;
  'opens-next-day-see-queen': null;
  'queen-food': null;
  'eggs-enough-bees-stayed': null;
  feed: null;
  'cells-again-room': null;
  'gives-look-two-weeks-she': null;
  'count-choose-cells': null;
  'good-cells-where-leave-one': null;
  'cell-guards': null;
  'gives-queen-ripe-cell-instead': null;
  'eggs-cups-look-again': null;
  'scrapes-cups-off-lets-until': null;
  'cups-eaten-out-fed-sealed': null;
  'swarm-cells-sealed-act-today': null;
  'fed-swarm-cells-decide-today': null;
  'makes-artificial-swarm-old-queen': null;
  'has-swarm-left-one-good': null;
  'what-done-cells-again': null;
  'queen-reared-now-mated-unite': null;
  'leaves-until-spring-now-then': null;
  'united-requeened': null;
  'leave-cells-replace-her': null;
  'young-queen-her-way-leave': null;
  'takes-few-cells-swarm-cells': null;
  'gives-mated-queen-instead-saves': null;
  'eggs-young-queen-none-act': { worry: CivilDate };
  'look-into': { unknown: number };
  'takes-notice-one-two-empty': null;
  'cells-empty-egg-fed-sealed': null;
  'nobody-said-what-empty-cup': null;
  'on-frame': { cells: Text; frames: readonly number[] };
  'queen-seen-have-left-her': null;
  'eggs-seen-she-there-within': null;
  'queen-cell-sealed-day-egg': null;
  'cells-cups': null;
  'looked-into': null;
  'not-looked-into': null;
  'eggs-worker-cells': null;
  'development-days-textbook-consensus-within-2': null;
  'of-frames': {
    value: number;
    frames: number;
    partly: boolean;
    low: number;
    min: number;
    sidesRead: number;
    sides: number;
  };
  'bees-house-rule': { range: Text; addSpaceAt: number };
  'supers-nearly-full': { eighths: number };
  'nectar-among-brood': { squeezed: number };
  'about-young-bees-due': { young: number; due: CivilDate };
  'in-bloom': { plants: readonly string[] };
  'frames-nest-still-empty-bare': { undrawn: number };
  'super-only-eighths-full': { superFill: number };
  'medicine-binds-honey-until-box': { superOnFrom: CivilDate; today: CivilDate };
  'feeder-off-before-super': { fedUntil: CivilDate; today: CivilDate };
  'only-sides-were-read-may': { sidesRead: number; sides: number };
  'second-box': null;
  third: null;
  fourth: null;
  further: null;
  a: { unsure: boolean; nth: Text; superOnFrom: Text | null };
  'waits-until-super-two-thirds': null;
  'first-has-every-frame-brood': null;
  'bees-on': { range: Text };
  'eighths-each-side-covered-bees': null;
  'likely-range': null;
  'to-frames': { low: number; high: number };
  'house-rule': null;
  'in-of-frames': { addSpaceAt: number; frames: number };
  'sealed-worker-cells': null;
  'emerging-days': { days: number };
  'days-under-lid': { young: number; days: number };
  'eighths-method-liebefeld-coloss-beebook': null;
  'up-new-box': null;
  'about-kg-food-left-kg': { kg: number; eaten: number };
  'frames-brood-feed': { value: number };
  'many-starve-build-up-spring': null;
  'next-days-keep': { poorDays: number };
  'frames-brood-about-bees-within': { brood: number; date: CivilDate; bees: number; days: number };
  'room-frames-five-weeks': { roomFrames: number };
  'cover-frames': { roomFrames: number; fullOn: CivilDate };
  'much-brood-weeks-before-main': { toFlow: number; flowFrom: CivilDate };
  'queen-her-second-season-older': null;
  'queen-cells-brood': { cells: number };
  'record-days-old': { since: number };
  'adds-room-but-takes-brood': null;
  'swarm-season-now': null;
  'new-super-harvest-may-go': { superOnFrom: CivilDate; today: CivilDate };
  'enter-withdrawal-label-day-can': { medicines: readonly string[] };
  'super-once-feeder-off': { fedUntil: CivilDate; today: CivilDate };
  'harvest-waiting-frees-these-boxes': { boxes: readonly { readonly name: Text; readonly why: Text }[] };
  'stood-during': { medicine: Text; from: CivilDate; today: CivilDate };
  'put-inside-withdrawal': { since: CivilDate; today: CivilDate; medicine: Text; freeFrom: CivilDate | null };
  'while-carried-down': { what: string; from: CivilDate; today: CivilDate };
}

export const say = saying<CareSentences>('care');
