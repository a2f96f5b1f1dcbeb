import type { Phase } from './phase';

/** What a phase asks of the people. Intervals and purposes: common practice, a house may set its own. */
export interface PhaseWork {
  /** Days between looks, least and most; `null` while colonies stay shut. */
  readonly interval: readonly [number, number] | null;
  readonly purposes: readonly string[];
  readonly cautions: readonly string[];
}

/** Work of each phase. */
export const PHASE_WORK: Readonly<Record<Phase, PhaseWork>> = {
  'winter-rest': {
    interval: null,
    purposes: ['Alive? Look and listen from outside', 'Entrance free, roof and strap sound', 'Heft for stores'],
    cautions: [
      'No frame comes out: a broken cluster freezes.',
      'A winter treatment only by its label and while there is no brood.',
    ],
  },
  'first-brood': {
    interval: [21, 35],
    purposes: ['Alive round', 'Food within reach of the cluster', 'First look only from above'],
    cautions: [
      'Brood holds them to one spot: they starve beside full combs.',
      'Dry feed, no syrup, while days stay below 10 °C.',
    ],
  },
  'build-up': {
    interval: [14, 21],
    purposes: ['Laying queen: eggs', 'Food: many starve now', 'Room for brood', 'Brood healthy'],
    cautions: ['Brood high and food falling: weigh or look at food each time.', 'Cool days: few frames, short time.'],
  },
  'swarm-season': {
    interval: [7, 7],
    purposes: ['Queen cells, along every comb edge', 'Room ahead of the bees', 'Eggs'],
    cautions: [
      'A cell is sealed on day 8: no more than 7 days between looks with an unclipped queen.',
      'Young queens about: leave a colony with one shut.',
    ],
  },
  flow: {
    interval: [10, 15],
    purposes: ['Space: supers ahead of need', 'Nectar among the brood', 'Queen cells while swarms may leave'],
    cautions: [
      'Heavy boxes: two people.',
      'No medicine and no feed while honey for people is on, unless the label allows it.',
    ],
  },
  dearth: {
    interval: [12, 18],
    purposes: ['Food', 'Mites: count', 'Robbing: entrances small'],
    cautions: [
      'Bees defend and rob: short openings, boxes covered, no syrup spilt.',
      'Little brood and no new comb are the season, not the queen.',
    ],
  },
  'late-flow': {
    interval: [12, 18],
    purposes: ['Supers: full or off', 'Winter bees: brood and pollen', 'Mites: count'],
    cautions: ['Heavy boxes: two people.', 'What the bees bring now may be their winter food.'],
  },
  'making-winter-bees': {
    interval: [14, 21],
    purposes: ['Mites down before the winter bees are reared', 'Young queen laying', 'Pollen in the nest', 'Feeding'],
    cautions: [
      'Acids and strips: the label, gloves, mask and goggles it names.',
      'Do not search for the queen: soon there is no replacing her.',
    ],
  },
  'closing-down': {
    interval: [21, 30],
    purposes: ['Stores complete', 'Entrance guard, roof, repairs', 'First evidence ends the visit'],
    cautions: ['A queen lost now is a colony lost.', 'Liquid feed is no longer taken below 10 °C.'],
  },
};
