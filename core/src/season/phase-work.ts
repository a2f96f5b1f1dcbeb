import type { Phase } from './phase';
import { say } from './said';
import type { Text } from '../language';

/** What a phase asks of the people. Intervals and purposes: common practice, a house may set its own. */
export interface PhaseWork {
  /** Days between looks, least and most; `null` while colonies stay shut. */
  readonly interval: readonly [number, number] | null;
  readonly purposes: readonly Text[];
  readonly cautions: readonly Text[];
}

/** Work of each phase. */
export const PHASE_WORK: Readonly<Record<Phase, PhaseWork>> = {
  'winter-rest': {
    interval: null,
    purposes: [say('alive-look-listen-outside'), say('entrance-free-roof-strap-sound'), say('heft-stores')],
    cautions: [say('frame-comes-out-broken-cluster'), say('winter-treatment-only-label-while')],
  },
  'first-brood': {
    interval: [21, 35],
    purposes: [say('alive-round'), say('food-within-reach-cluster'), say('first-look-only-above')],
    cautions: [say('brood-holds-one-spot-starve'), say('dry-feed-syrup-while-days')],
  },
  'build-up': {
    interval: [14, 21],
    purposes: [say('laying-queen-eggs'), say('food-many-starve-now'), say('room-brood'), say('brood-healthy')],
    cautions: [say('brood-high-food-falling-weigh'), say('cool-days-few-frames-short')],
  },
  'swarm-season': {
    interval: [7, 7],
    purposes: [say('queen-cells-along-every-comb'), say('room-ahead-bees'), say('eggs')],
    cautions: [say('cell-sealed-day-more-than'), say('young-queens-about-leave-colony')],
  },
  flow: {
    interval: [10, 15],
    purposes: [say('space-supers-ahead-need'), say('nectar-among-brood'), say('queen-cells-while-swarms-may')],
    cautions: [say('heavy-boxes-two-people'), say('medicine-feed-while-honey-people')],
  },
  dearth: {
    interval: [12, 18],
    purposes: [say('food'), say('mites-count'), say('robbing-entrances-small')],
    cautions: [say('bees-defend-rob-short-openings'), say('little-brood-new-comb-season')],
  },
  'late-flow': {
    interval: [12, 18],
    purposes: [say('supers-full-off'), say('winter-bees-brood-pollen'), say('mites-count')],
    cautions: [say('heavy-boxes-two-people'), say('what-bees-bring-now-may')],
  },
  'making-winter-bees': {
    interval: [14, 21],
    purposes: [say('mites-down-before-winter-bees'), say('young-queen-laying'), say('pollen-nest'), say('feeding')],
    cautions: [say('acids-strips-label-gloves-mask'), say('do-search-queen-soon-there')],
  },
  'closing-down': {
    interval: [21, 30],
    purposes: [say('stores-complete'), say('entrance-guard-roof-repairs'), say('first-evidence-ends-visit')],
    cautions: [say('queen-lost-now-colony-lost'), say('liquid-feed-longer-taken-below')],
  },
};
