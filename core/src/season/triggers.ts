import { type Text, named } from '../language';
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

/** A task that house practice ties to an event, for every colony of the site. */
export interface Trigger {
  readonly id: string;
  readonly on: SeasonEventKind;
  /** Only for the bloom of this plant; `null` for any. */
  readonly plant: string | null;
  readonly task: Text;
  readonly question: Text;
  readonly bring: Text;
  /** Days after the event from and until when it is done. */
  readonly from: number;
  readonly due: number;
  /** Why, with the other school where there is one. */
  readonly why: Text;
  readonly active: boolean;
}

/** House practice to start from. Common practice. */
export const DEFAULT_TRIGGERS: readonly Trigger[] = (
  [
    {
      id: 'thin-syrup',
      on: 'natural-pollen',
      plant: null,
      from: 0,
      due: 5,
      active: false,
    },
    {
      id: 'protein',
      on: 'natural-pollen',
      plant: null,
      from: 0,
      due: 7,
      active: false,
    },
    {
      id: 'first-look',
      on: 'first-bloom',
      plant: 'goat-willow',
      from: 0,
      due: 10,
      active: true,
    },
    {
      id: 'supers-ready',
      on: 'first-bloom',
      plant: 'dandelion',
      from: 3,
      due: 10,
      active: true,
    },
    {
      id: 'main-flow-room',
      on: 'main-flow',
      plant: null,
      from: 0,
      due: 3,
      active: true,
    },
    {
      id: 'last-flow-off',
      on: 'last-flow-fading',
      plant: null,
      from: 0,
      due: 10,
      active: true,
    },
    {
      id: 'autumn-feed',
      on: 'last-flow-fading',
      plant: null,
      from: 0,
      due: 3,
      active: true,
    },
    {
      id: 'feeder-off',
      on: 'feeder-ignored',
      plant: null,
      from: 0,
      due: 4,
      active: true,
    },
    {
      id: 'frost-close',
      on: 'first-frost',
      plant: null,
      from: 0,
      due: 14,
      active: true,
    },
    {
      id: 'wasp-entrance',
      on: 'wasps',
      plant: null,
      from: 0,
      due: 2,
      active: true,
    },
  ] as const satisfies readonly Pick<Trigger, 'id' | 'on' | 'plant' | 'from' | 'due' | 'active'>[]
).map((told) => ({
  ...told,
  task: named('triggerTask', told.id),
  question: named('triggerQuestion', told.id),
  bring: named('triggerBring', told.id),
  why: named('triggerWhy', told.id),
}));

/** A dated task for one colony. */
export interface TriggeredTask {
  readonly trigger: string;
  readonly task: Text;
  readonly question: Text;
  readonly bring: Text;
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
