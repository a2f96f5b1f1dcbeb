import { type CivilDate, addDays } from '../units';

/** Things seen at a site that set work going. A date alone never does. */
export const SEASON_EVENTS = [
  'first-bloom',
  'natural-pollen',
  'main-flow',
  'last-flow-fading',
  'feeder-ignored',
  'first-frost',
  'wasps',
  'drones-flying',
] as const;
export type SeasonEventKind = (typeof SEASON_EVENTS)[number];

/** What is shown to the one who logs an event. */
export const EVENT_MEANING: Readonly<Record<SeasonEventKind, string>> = {
  'first-bloom': 'First open flowers of a plant at this site',
  'natural-pollen': 'Bees carry pollen in again',
  'main-flow': 'Nectar comes in: white wax, wet cells, weight rises',
  'last-flow-fading': 'The last nectar plant of the year goes over',
  'feeder-ignored': 'Syrup or patty left alone: they find better outside',
  'first-frost': 'First night of frost at the site',
  wasps: 'Wasps at the entrances in numbers',
  'drones-flying': 'Drones fly at noon: queens can be mated',
};

/** A task that house practice ties to an event, for every colony of the site. */
export interface Trigger {
  readonly id: string;
  readonly on: SeasonEventKind;
  /** Only for the bloom of this plant; `null` for any. */
  readonly plant: string | null;
  readonly task: string;
  readonly question: string;
  readonly bring: string;
  /** Days after the event from and until when it is done. */
  readonly from: number;
  readonly due: number;
  /** Why, with the other school where there is one. */
  readonly why: string;
  readonly active: boolean;
}

/** House practice to start from. Common practice. */
export const DEFAULT_TRIGGERS: readonly Trigger[] = [
  {
    id: 'thin-syrup',
    on: 'natural-pollen',
    plant: null,
    task: 'Thin syrup to start the queen',
    question: 'Syrup taken? More brood?',
    bring: 'Syrup 1:1, feeder',
    from: 0,
    due: 5,
    why: 'More brood for the coming flow or for splits. The other school leaves them to forage: forage and weather decide.',
    active: false,
  },
  {
    id: 'protein',
    on: 'natural-pollen',
    plant: null,
    task: 'Protein patty over the nest',
    question: 'Patty eaten? Room left in the nest?',
    bring: 'Patty, cut in pieces',
    from: 0,
    due: 7,
    why: 'Bridges gap weeks. The other school gives none: natural pollen is better than any substitute.',
    active: false,
  },
  {
    id: 'first-look',
    on: 'first-bloom',
    plant: 'goat-willow',
    task: 'First look at brood and food',
    question: 'Eggs? Food in kg?',
    bring: 'Spare food frame or fondant',
    from: 0,
    due: 10,
    why: 'Willow in bloom means days on which they fly and rear.',
    active: true,
  },
  {
    id: 'supers-ready',
    on: 'first-bloom',
    plant: 'dandelion',
    task: 'First super, where bees cover the box',
    question: 'Bees on all frames? Super on?',
    bring: 'Super, excluder',
    from: 3,
    due: 10,
    why: 'Room before the fruit and rape flow. Another school first fills the brood box.',
    active: true,
  },
  {
    id: 'main-flow-room',
    on: 'main-flow',
    plant: null,
    task: 'Supers on, feeders off',
    question: 'Room above? Feeder off?',
    bring: 'Supers',
    from: 0,
    due: 3,
    why: 'Nectar goes among the brood where room is late; syrup must not get into honey.',
    active: true,
  },
  {
    id: 'last-flow-off',
    on: 'last-flow-fading',
    plant: null,
    task: 'Supers off, count mites',
    question: 'Supers off? Mites per 100 bees?',
    bring: 'Escape boards, mite wash kit',
    from: 0,
    due: 10,
    why: 'Winter bees are reared next: mites must be few before.',
    active: true,
  },
  {
    id: 'autumn-feed',
    on: 'last-flow-fading',
    plant: null,
    task: 'Begin the autumn feed',
    question: 'Feed taken? Stores in kg?',
    bring: 'Feeder, thick syrup',
    from: 0,
    due: 3,
    why: 'Begun the day the last flow fades, so that it is stored and capped in the warm. Another school leaves the honey and feeds nothing.',
    active: true,
  },
  {
    id: 'feeder-off',
    on: 'feeder-ignored',
    plant: null,
    task: 'Take the feeder off',
    question: 'Feeder off, entrance clear?',
    bring: 'Bucket with a lid',
    from: 0,
    due: 4,
    why: 'Real forage is on: syrup left standing ferments and calls robbers.',
    active: true,
  },
  {
    id: 'frost-close',
    on: 'first-frost',
    plant: null,
    task: 'Entrance guards on, last repairs',
    question: 'Guard on, roof and strap sound?',
    bring: 'Guards, pins, straps',
    from: 0,
    due: 14,
    why: 'Mice move in with the first frosts; liquid feed is no longer taken.',
    active: true,
  },
  {
    id: 'wasp-entrance',
    on: 'wasps',
    plant: null,
    task: 'Narrow the entrance',
    question: 'Wasps beaten?',
    bring: 'Entrance block',
    from: 0,
    due: 2,
    why: 'A small colony can defend a hole of a bee or two.',
    active: true,
  },
];

/** A dated task for one colony. */
export interface TriggeredTask {
  readonly trigger: string;
  readonly task: string;
  readonly question: string;
  readonly bring: string;
  readonly from: CivilDate;
  readonly due: CivilDate;
}

/**
 * Tasks that an event creates for each colony of the site.
 *
 * @param event what was seen, when, and of which plant
 * @param triggers house practice
 * @returns dated tasks; none where house practice ties nothing to the event
 * @throws RangeError for a malformed date
 * @example tasksFor({ kind: 'first-frost', plant: null, date: '2026-10-20' }, DEFAULT_TRIGGERS)[0]?.due // '2026-11-03'
 */
export function tasksFor(
  event: { readonly kind: SeasonEventKind; readonly plant: string | null; readonly date: CivilDate },
  triggers: readonly Trigger[],
): readonly TriggeredTask[] {
  return triggers
    .filter(({ on, plant, active }) => active && on === event.kind && (plant === null || plant === event.plant))
    .map(({ id, task, question, bring, from, due }) => ({
      trigger: id,
      task,
      question,
      bring,
      from: addDays(event.date, from),
      due: addDays(event.date, due),
    }));
}
