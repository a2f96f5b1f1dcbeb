import { daysBetween } from '../units';
import type { ColonyEvent, ColonyEventKind } from './colony-event';

/** The newest event of a kind that nothing later has ended. */
export function standing<K extends ColonyEventKind>(
  { events }: { readonly events: readonly ColonyEvent[] },
  kind: K,
  endedBy: readonly ColonyEventKind[],
): Extract<ColonyEvent, { kind: K }> | null {
  const inOrder = [...events].sort((a, b) => daysBetween(b.date, a.date));
  const index = inOrder.findLastIndex((event) => event.kind === kind);
  if (index < 0 || inOrder.slice(index + 1).some((event) => endedBy.includes(event.kind))) return null;
  return inOrder[index] as Extract<ColonyEvent, { kind: K }>;
}
