import type { VisitFile } from '@brave-comb/contract';
import type { SiteRow } from '../../records/equipment';

/** What to do and say when a sting goes wrong. General first aid; a doctor, the label of the pen and local rules come first. */
const STEPS = [
  'Walk them away from the hives, veil stays on until clear.',
  'Hard to breathe, swollen face or faint: call now. Short of breath sits up, faint lies flat.',
  'Adrenaline pen if they have one: use it as its label says, outer thigh, note the time.',
  'One goes to the gate to meet the ambulance, one stays; the others close the hive: crown board and roof will do.',
  'Say the place, read it out as it stands here.',
] as const;

const degrees = (value: number, [plus, minus]: readonly [string, string]): string =>
  `${Math.abs(value).toFixed(4)}° ${value >= 0 ? plus : minus}`;

/** The emergency card of a visit, with the notes of those of its group who gave one. */
export function emergencyCard(
  site: SiteRow,
  trainees: readonly { readonly name: string; readonly emergency_note: string | null }[],
): VisitFile['emergency'] {
  return {
    ...site.emergency,
    grid: `${degrees(site.latitude, ['N', 'S'])}, ${degrees(site.longitude, ['E', 'W'])}`,
    steps: STEPS,
    people: trainees.flatMap(({ name, emergency_note }) => (emergency_note ? [{ name, note: emergency_note }] : [])),
  };
}
