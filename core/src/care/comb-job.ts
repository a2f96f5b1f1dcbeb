import type { Text } from '../language';
import type { Reason } from './advice';
import type { Bring } from './errand';
import type { ColonyFacts } from './facts';

/** One thing to do at comb or woodwork. */
export interface CombJob {
  readonly title: Text;
  readonly pressing: number;
  /** Days from today within which it is done. */
  readonly within: number;
  /** Whether the hive is opened for it. */
  readonly opens: boolean;
  /** Done also while hives are shut. */
  readonly evenShut?: true;
  readonly minutes: number;
  readonly brings: readonly Bring[];
  readonly reasons: readonly Reason[];
  readonly step: readonly [label: Text, value: Text];
  readonly rule: Text;
  readonly otherSchool: Text;
  readonly cautions: readonly Text[];
  readonly turns: readonly Text[];
  readonly ifItFails: Text | null;
  readonly question: Text;
  /** Days after the last day of the job within which it is looked at again. */
  readonly again: readonly [from: number, due: number];
}

/** What every job has unless it says otherwise. */
export const USUAL = {
  opens: true,
  minutes: 10,
  brings: [],
  cautions: [],
  turns: [],
  ifItFails: null,
  again: [7, 14],
} as const satisfies Partial<CombJob>;

/** Whether something was looked for and found. */
export const found = ({ findings }: ColonyFacts, finding: ColonyFacts['findings'][number]['finding']): boolean =>
  findings.some((each) => each.finding === finding && each.found);
