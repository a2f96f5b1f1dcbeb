import type {
  gives,
  Phase,
  ClimateBand,
  SeasonEventKind,
  ScaleEventKind,
  DegreeDayMethod,
  FlowState,
} from '../../../season';

/** What things are called, by their ids. */
export const seasonNames = {
  phase: {
    flow: 'flow',
    'winter-rest': 'winter rest',
    'first-brood': 'first brood',
    'build-up': 'build-up',
    'swarm-season': 'swarm season',
    dearth: 'dearth',
    'late-flow': 'late flow',
    'making-winter-bees': 'making winter bees',
    'closing-down': 'closing down',
  } satisfies Record<Phase, string>,
  flowState: {
    flow: 'flow',
    starting: 'starting',
    fading: 'fading',
    dearth: 'dearth',
    uncertain: 'uncertain',
  } satisfies Record<FlowState, string>,
  gives: {
    nectar: 'nectar',
    pollen: 'pollen',
    'nectar-and-pollen': 'nectar and pollen',
  } satisfies Record<ReturnType<typeof gives>, string>,
  climate: {
    'cold-continental': 'cold continental',
    'cool-maritime': 'cool maritime',
    temperate: 'temperate',
    'mild-winter': 'mild winter',
    subtropical: 'subtropical',
  } satisfies Record<ClimateBand, string>,
  happening: {
    wasps: 'wasps',
    'main-flow': 'main flow',
    'first-bloom': 'first bloom',
    'natural-pollen': 'natural pollen',
    'last-flow-fading': 'last flow fading',
    'feeder-ignored': 'feeder ignored',
    'first-frost': 'first frost',
    'drones-flying': 'drones flying',
  } satisfies Record<SeasonEventKind, string>,
  scaleEvent: {
    robbing: 'robbing',
    flow: 'flow',
    swarm: 'swarm',
    'box-on': 'box on',
    'box-off': 'box off',
    fed: 'fed',
  } satisfies Record<ScaleEventKind, string>,
  degreeDays: {
    average: 'average',
    'clamped-average': 'clamped average',
    'single-sine': 'single sine',
  } satisfies Record<DegreeDayMethod, string>,
};
