import { type CivilDate, addDays, daysBetween } from '../units';
import type { Forage } from './forage';
import { say } from './said';
import type { Text } from '../language';

/** A move of hives to a later flow elsewhere. */
export interface MoveFacts {
  readonly today: CivilDate;
  /** The plant at the site to go to, with this year's dates there. */
  readonly target: Forage;
  /** Straight distance between both sites, km. */
  readonly km: number;
  /** What blooms at the home site. */
  readonly home: readonly Forage[];
  readonly hives: number;
}

export interface MoveTask {
  readonly title: Text;
  readonly from: CivilDate;
  readonly due: CivilDate;
  readonly why: Text;
}

export interface MovePlan {
  readonly move: { readonly from: CivilDate; readonly due: CivilDate };
  readonly back: { readonly from: CivilDate; readonly due: CivilDate };
  readonly tasks: readonly MoveTask[];
  readonly warnings: readonly Text[];
}

/** Bees that know the ground fly home from less than this, km. Common practice: under a metre or over five kilometres. */
const KNOWN_GROUND = 5;

/**
 * A dated plan for moving hives to a later flow and back. Common practice.
 *
 * @param facts where to, how far, and what blooms
 * @returns when to move, the tasks around it, and warnings
 * @throws RangeError for malformed dates
 */
export function moveToFlow({ today, target, km, home, hives }: MoveFacts): MovePlan {
  const early = Math.max(1, target.giveOrTake);
  const move = { from: addDays(target.from, -3 - Math.min(4, early)), due: addDays(target.from, 2) };
  const back = { from: addDays(target.to, 1), due: addDays(target.to, 8) };
  const still = home.filter(
    (each) => each.nectar >= 3 && daysBetween(move.due, each.to) > 3 && daysBetween(each.from, move.due) >= 0,
  );
  const tasks: MoveTask[] = [
    {
      title: say('ask-owner-authority-inspector'),
      from: addDays(move.from, -28),
      due: addDays(move.from, -10),
      why: say('moves-may-need-notice-health'),
    },
    {
      title: say('choose-hives-young-queen-bees'),
      from: addDays(move.from, -14),
      due: addDays(move.from, -5),
      why: say('late-flow-wears-bees-out'),
    },
    {
      title: say('take-honey-off-leave-food'),
      from: addDays(move.from, -6),
      due: addDays(move.from, -1),
      why: say('full-box-too-heavy-carry'),
    },
    {
      title: say('straps-screens-ramp', { hives }),
      from: addDays(move.from, -2),
      due: move.due,
      why: say('close-after-dusk-drive-cool'),
    },
    {
      title: say('look-settled-entrances-open-food'),
      from: addDays(move.due, 1),
      due: addDays(move.due, 4),
      why: say('hive-left-closed-overheats-within'),
    },
    {
      title: say('bring-home-count-mites'),
      from: back.from,
      due: back.due,
      why: say('late-flows-end-once-stay'),
    },
  ];
  const warnings = [
    ...(km < KNOWN_GROUND && km > 0.001 ? [say('only-km-foragers-fly-home', { km, knownGround: KNOWN_GROUND })] : []),
    ...(still.length > 0 ? [say('still-bloom-home-when-leave', { still: still.map((each) => each.plant) })] : []),
    ...(daysBetween(today, move.due) < 0
      ? [say('opened-each-day-passes-day', { plant: target.plant, from: target.from })]
      : []),
    ...(daysBetween(target.from, target.to) < 12 ? [say('short-bloom-wet-week-takes')] : []),
  ];
  return { move, back, tasks, warnings };
}
