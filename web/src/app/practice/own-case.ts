import { SituationFile } from '@brave-comb/contract/situation';
import { type NextDrill, colonyLines } from '@brave-comb/core/practice';
import { type Situation, UnfitSituation, judgeSituation } from '@brave-comb/core/situation';
import { said } from '../language/said';

/** A case that a school wrote itself, or what is wrong with its file, a line for each fault. */
export type OwnCase = { readonly title: string; readonly drill: NextDrill } | { readonly faults: readonly string[] };

/** Faults that are shown at once. */
const SHOWN = 8;

/**
 * A case of "What next" from a file in the format `colony-situation/1`.
 *
 * @param text what the file holds
 * @returns the colony and what the judges say of it, or every fault of the file
 */
export function ownCase(text: string): OwnCase {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { faults: [$localize`The file is not JSON: take the example in docs/formats as a pattern.`] };
  }
  const read = SituationFile.safeParse(json);
  if (!read.success)
    return { faults: read.error.issues.slice(0, SHOWN).map(({ path, message }) => `${path.join('.')}: ${message}`) };
  const situation: Situation = read.data;
  try {
    const { facts, advice } = judgeSituation(situation);
    return {
      title: situation.title ?? $localize`hive ${facts.hive}`,
      drill: { lines: colonyLines(facts), advice, decision: null },
    };
  } catch (fault) {
    if (!(fault instanceof UnfitSituation)) throw fault;
    return { faults: fault.faults.slice(0, SHOWN).map(({ path, says }) => `${path.join('.')}: ${said(says)}`) };
  }
}
