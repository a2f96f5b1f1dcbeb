import type { QueenStart } from '../biology';
import type { CivilDate } from '../units';
import type { NewColony } from './new-colony';
import type { ColonyAim, Trait } from './stock';

/** What was done to a colony, or seen on it, that sets dates. */
export type ColonyEvent = { readonly date: CivilDate } & (
  | { readonly kind: 'hived'; readonly as: NewColony }
  | { readonly kind: 'queen'; readonly start: QueenStart }
  | { readonly kind: 'eggs-seen' }
  | {
      readonly kind: 'treatment';
      /** Active ingredient and form, as the label names it. */
      readonly medicine: string;
      /** Days to the next dose and doses in all, by the label. */
      readonly repeatAfter: number | null;
      readonly doses: number;
      /** Days after which strips, trays or boards come out, by the label. */
      readonly removeAfter: number | null;
      /** Days of withdrawal for honey after its end, by the label; `null` when nobody entered it. */
      readonly withdrawal: number | null;
      /** Whether the label allows it with honey boxes on; not unless it was said. */
      readonly supersAllowed?: boolean | undefined;
    }
  /** Everything that lies in the hive, or one medicine. */
  | { readonly kind: 'treatment-out'; readonly medicine?: string | undefined }
  | {
      readonly kind: 'feed';
      readonly what: 'thin-syrup' | 'thick-syrup' | 'fondant' | 'dry-sugar';
      readonly kg: number;
    }
  | { readonly kind: 'patty'; readonly kg: number }
  | { readonly kind: 'feeder-empty' }
  | { readonly kind: 'super-on'; readonly holdsKg: number }
  | { readonly kind: 'super-off' }
  | { readonly kind: 'super-left-as-winter-food' }
  | { readonly kind: 'drone-comb-in' }
  | { readonly kind: 'drone-comb-out' }
  | { readonly kind: 'brood-stopped' }
  | { readonly kind: 'suspicion'; readonly of: string }
  | { readonly kind: 'suspicion-settled' }
  | { readonly kind: 'ordered-by-the-inspector'; readonly what: string }
  | { readonly kind: 'aim'; readonly of: ColonyAim }
  | { readonly kind: 'trait'; readonly trait: Trait }
);
export type ColonyEventKind = ColonyEvent['kind'];

export const COLONY_EVENT_KINDS = [
  'hived',
  'queen',
  'eggs-seen',
  'treatment',
  'treatment-out',
  'feed',
  'patty',
  'feeder-empty',
  'super-on',
  'super-off',
  'super-left-as-winter-food',
  'drone-comb-in',
  'drone-comb-out',
  'brood-stopped',
  'suspicion',
  'suspicion-settled',
  'ordered-by-the-inspector',
  'aim',
  'trait',
] as const satisfies readonly ColonyEventKind[];
