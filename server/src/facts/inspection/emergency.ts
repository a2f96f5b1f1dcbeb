import type { Sayable } from '@brave-comb/core/language';
import { say } from '../../words';
import type { DaySheet } from '@brave-comb/contract';
import type { SiteRow } from '../../records/equipment';

/** What to do and say when a sting goes wrong. General first aid; a doctor, the label of the pen and local rules come first. */
const STEPS = [
  say('walk-them-away'),
  say('call-now'),
  say('adrenaline-pen'),
  say('meet-at-the-gate'),
  say('read-the-place'),
] as const;

const degrees = (value: number, [plus, minus]: readonly [string, string]): string =>
  `${Math.abs(value).toFixed(4)}° ${value >= 0 ? plus : minus}`;

/** The emergency card of a site, with the notes of those there who gave one. */
export function emergencyCard(
  site: SiteRow,
  trainees: readonly { readonly id: string; readonly name: string; readonly emergency_note: string | null }[],
): Sayable<DaySheet>['emergency'] {
  return {
    ...site.emergency,
    grid: `${degrees(site.latitude, ['N', 'S'])}, ${degrees(site.longitude, ['E', 'W'])}`,
    steps: STEPS,
    people: trainees.flatMap(({ id, name, emergency_note }) =>
      emergency_note ? [{ id, name, note: emergency_note }] : [],
    ),
  };
}

/** Whose notes stand on a sheet. */
export const notesOn = ({
  emergency,
}: {
  readonly emergency: { readonly people: readonly { readonly id?: unknown }[] };
}): string[] => emergency.people.flatMap(({ id }) => (typeof id === 'string' ? [id] : []));
