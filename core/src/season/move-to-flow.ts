import { type CivilDate, addDays, dayAndMonth, daysBetween } from '../units';
import type { Forage } from './forage';

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
  readonly title: string;
  readonly from: CivilDate;
  readonly due: CivilDate;
  readonly why: string;
}

export interface MovePlan {
  readonly move: { readonly from: CivilDate; readonly due: CivilDate };
  readonly back: { readonly from: CivilDate; readonly due: CivilDate };
  readonly tasks: readonly MoveTask[];
  readonly warnings: readonly string[];
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
      title: 'Ask the owner, the authority and the inspector',
      from: addDays(move.from, -28),
      due: addDays(move.from, -10),
      why: 'Moves may need notice or a health certificate, and are forbidden in a disease zone: local law decides.',
    },
    {
      title: 'Choose hives: young queen, bees on all frames, brood, healthy',
      from: addDays(move.from, -14),
      due: addDays(move.from, -5),
      why: 'A late flow wears bees out; colonies short of brood come back too small for winter.',
    },
    {
      title: 'Take honey off, leave food, put empty supers on',
      from: addDays(move.from, -6),
      due: addDays(move.from, -1),
      why: 'A full box is too heavy to carry, and the first days there may be wet.',
    },
    {
      title: `Straps, screens, ramp: ${hives} ${hives === 1 ? 'hive' : 'hives'}`,
      from: addDays(move.from, -2),
      due: move.due,
      why: 'Close after dusk, drive cool, frames in line with the road. Two people at each lift. Veils, water and the emergency card in the cab.',
    },
    {
      title: 'Look: settled, entrances open, food',
      from: addDays(move.due, 1),
      due: addDays(move.due, 4),
      why: 'A hive left closed overheats within the hour.',
    },
    {
      title: 'Bring them home, count mites',
      from: back.from,
      due: back.due,
      why: 'Late flows end at once; stay for the cold and they rob each other.',
    },
  ];
  const warnings = [
    ...(km < KNOWN_GROUND && km > 0.001
      ? [
          `Only ${km.toFixed(1)} km: foragers fly home. Go over ${KNOWN_GROUND} km, or put them elsewhere for three weeks first.`,
        ]
      : []),
    ...(still.length > 0
      ? [`${still.map((each) => each.plant).join(' and ')} still in bloom at home when they leave.`]
      : []),
    ...(daysBetween(today, move.due) < 0
      ? [`${target.plant} opened on ${dayAndMonth(target.from)}: each day that passes is a day of flow less.`]
      : []),
    ...(daysBetween(target.from, target.to) < 12 ? ['A short bloom: a wet week takes the whole crop.'] : []),
  ];
  return { move, back, tasks, warnings };
}
