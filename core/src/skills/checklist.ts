/** Stages of a visit that skills are grouped by. */
export const SKILL_STAGES = [
  'plan',
  'outside',
  'opening',
  'lifting',
  'frames',
  'reading',
  'queen',
  'deciding',
] as const;

/** One thing that a trainee is to show. */
export interface Skill {
  readonly id: string;
  readonly name: string;
  readonly stage: (typeof SKILL_STAGES)[number];
  /** What an assessor sees or the record shows. */
  readonly shownBy: string;
}

const skill = (id: string, name: string, stage: Skill['stage'], shownBy: string): Skill => ({
  id,
  name,
  stage,
  shownBy,
});

/** The checklist that a new school starts with. Common practice of beekeeping courses. */
export const CHECKLIST: readonly Skill[] = [
  skill('states-aim', 'states the aim and the depth', 'plan', 'says it before the lid is lifted'),
  skill('expects', 'says what the colony should look like', 'plan', 'a guess of bees, brood and food beforehand'),
  skill('reads-weather', 'decides go, quick or no from the weather', 'plan', 'reads the temperature, gives the reason'),
  skill('veil-checked', 'fits the veil and has it checked', 'plan', 'another person looks'),
  skill('clear-of-flight', 'stands out of the flight lane', 'outside', 'seen'),
  skill(
    'reads-entrance',
    'reads the entrance',
    'outside',
    'traffic, pollen, dead bees and intruders said before opening',
  ),
  skill('lights-smoker', 'lights the smoker and keeps it lit', 'opening', 'still smoking at the end'),
  skill('smokes-in-order', 'smokes the entrance, waits, then the top', 'opening', 'order in the record'),
  skill('eases-off', 'hears the bees and eases off', 'opening', 'stops or smokes on a change of hum'),
  skill('keeps-parts', 'keeps every part where it cannot be lost', 'opening', 'seen'),
  skill('weighs-first', 'judges the weight before lifting', 'lifting', 'within a fifth of the scale'),
  skill('lifts-box', 'lifts with a straight back, box on a stand', 'lifting', 'seen'),
  skill('outermost-first', 'lifts the outermost frame first', 'frames', 'first frame in the record is an edge'),
  skill('makes-gap', 'makes a working gap', 'frames', 'frames slid before the next is lifted'),
  skill('lifts-straight', 'lifts straight up, slow', 'frames', 'no bee rolled'),
  skill('both-faces', 'turns each frame and reads both sides', 'frames', 'both sides in the record'),
  skill('keeps-order', 'keeps the order and facing of frames', 'frames', 'box as it was found'),
  skill('limits-exposure', 'keeps brood out only briefly', 'frames', 'within the minutes of the day'),
  skill('tells-contents', 'tells honey, nectar, pollen and brood', 'reading', 'names them on the comb'),
  skill('finds-eggs', 'finds eggs', 'reading', 'points, seen or photographed'),
  skill('ages-larvae', 'ages larvae', 'reading', 'says days'),
  skill('tells-lids', 'tells worker from drone lids', 'reading', 'points'),
  skill('suspect-lids', 'sees sunken, dark or pierced lids', 'reading', 'points'),
  skill('adds-brood', 'adds brood as full frames', 'reading', 'within half a frame of the supervisor'),
  skill('tells-cells', 'tells cup, fed and sealed queen cell', 'queen', 'names three'),
  skill('proves-queen', 'proves a queen by evidence', 'queen', 'says eggs, without a search'),
  skill('sums-up', 'sums up in four headings', 'deciding', 'heard, in under a minute'),
  skill('knows-enough', 'decides when enough was seen', 'deciding', 'gives the reason for stopping'),
];

/**
 * A skill of the checklist.
 *
 * @param id its id
 * @returns the skill, or `null` when the checklist has none of that id
 * @example skillOf('finds-eggs')?.name // 'finds eggs'
 */
export const skillOf = (id: string): Skill | null => CHECKLIST.find((each) => each.id === id) ?? null;
