import type { HoldingTerm } from './skill';

/**
 * How long a skill holds after it was last shown. Two schools: a fixed term, so that everybody knows the day; or a term that grows with each
 * day on which it was shown, as spaced practice is remembered longer.
 */
export type Forgetting =
  | { readonly school: 'fixed-term' }
  | {
      readonly school: 'growing-term';
      /** How much longer the term gets with each further day, 1 to 3. */
      readonly growth: number;
      /** Longest term, months. */
      readonly most: number;
    };

export const FORGETTING: Forgetting = { school: 'fixed-term' };

/**
 * Term for which a skill holds.
 *
 * @param months term of the evidence rule: months, the season, or `null` for good
 * @param days days on which it was shown since it was first held, 1 and more
 * @param model school of forgetting
 * @returns months, or the season or `null` as they are: only months grow
 * @example termOf(12, 3, { school: 'growing-term', growth: 1.5, most: 36 }) // 27
 */
export function termOf(months: HoldingTerm, days: number, model: Forgetting): HoldingTerm {
  if (typeof months !== 'number' || model.school === 'fixed-term') return months;
  return Math.min(Math.max(model.most, months), months * model.growth ** Math.max(0, days - 1));
}
