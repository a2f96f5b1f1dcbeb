import type { DemonstrationRow } from './evidence-store';

/** Who judged it and where, of what came with a passport. */
export function elsewhereOf({ elsewhere }: Pick<DemonstrationRow, 'elsewhere'>): {
  readonly assessor: string;
  readonly school: string;
} | null {
  if (elsewhere === null) return null;
  const at = elsewhere.indexOf(', ');
  return at < 0
    ? { assessor: '', school: elsewhere }
    : { assessor: elsewhere.slice(0, at), school: elsewhere.slice(at + 2) };
}
