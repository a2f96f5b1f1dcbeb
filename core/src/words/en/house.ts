import type { Chapter, FigureId, Measure } from '../../house';
import type { HouseSentences } from '../../house/said';
import type { Sentences, Way } from '../../language';

/** A figure in its measure, with the unit. */
function measured(measure: Measure, value: number, w: Way): string {
  switch (measure) {
    case 'share':
      return `${w.number(100 * value, 0)} %`;
    case 'clock':
      return w.clock(`${`${value}`.padStart(2, '0')}:00`);
    case 'minutes':
      return `${w.number(value)} min`;
    case 'days':
    case 'months':
    case 'hours':
      return `${w.number(value)} ${value === 1 ? measure.slice(0, -1) : measure}`;
    case 'times':
    case 'count':
      return w.number(value);
    default:
      return `${w.figure(measure, value)} ${w.unit(measure)}`;
  }
}

/** Sentences of the room, from their facts. */
export const houseSentences: Sentences<HouseSentences> = {
  'figure-bounds': ({ measure, least, most }, w) =>
    `From ${measured(measure, least, w)} to ${measured(measure, most, w)} can be kept.`,
  'figure-whole': 'A whole number is needed.',
  'figure-other-kind': 'Choose one, or type a figure.',
  'figure-below': ({ figure, other }, w) =>
    `“${w.name('houseFigure', figure)}” may not be below “${w.name('houseFigure', other)}”.`,
  'working-day-short': 'A working day has four hours at least.',
  'unusual-figure': ({ measure, low, high }, w) =>
    `Unusual: most work with ${measured(measure, low, w)} to ${measured(measure, high, w)}.`,
  'lift-heavy':
    'A full super weighs about as much. More than this for one person hurts backs: follow the rules for lifting at work where you are, and let each person set less.',
  'swarm-days-long':
    'A cell is sealed on day 8 after the egg: with an unclipped queen the swarm may be gone before the next look.',
  'open-long': 'Brood chills, and robbers find an open hive: close it and come back another day.',
};

/** What stands in the house practice: chapters, figures, what each means, and what others do. */
export const houseNames = {
  houseChapter: {
    weather: 'Weather and hours',
    opening: 'Opening a hive',
    people: 'Groups and lifting',
    swarms: 'Swarms',
    'room-and-food': 'Room and food',
    mites: 'Mites',
    planning: 'Planning',
    skills: 'Skills that fade',
  } satisfies Readonly<Record<Chapter, string>>,
  houseFigure: {
    'full-warmth': 'Full opening from',
    'full-heat': 'Full opening up to',
    'full-gust': 'Gusts, full opening, up to',
    'frame-warmth': 'One frame from',
    'frame-gust': 'Gusts, one frame, up to',
    'lid-warmth': 'Lid from',
    'lid-gust': 'Gusts, lid, up to',
    'work-from': 'Out from',
    'work-to': 'Out until',
    'open-minutes': 'Hive open, at most',
    'rest-days': 'Rest after frames came out',
    openings: 'Openings of a hive in thirty days, at most',
    'minutes-a-month': 'Minutes open in thirty days, at most',
    'stings-a-month': 'Stings in thirty days, at most',
    'look-days': 'Days between looks outside swarm season',
    'group-size': 'Trainees at one hive, at most',
    'lift-one': 'One person lifts, at most',
    'lift-two': 'Two people lift, at most',
    suits: 'Suits',
    'catch-cells': 'Every swarm is to be caught',
    'swarm-days': 'Days between looks while swarms may leave',
    'add-space': 'A box is added when bees cover',
    'brood-boxes': 'Brood boxes of a full colony',
    'least-food': 'Food in the open season, at least',
    'feed-to': 'Feed up to',
    'winter-food': 'Food for winter',
    stimulates: 'Thin syrup to drive brood',
    'comb-goal': 'Drawn combs wanted by next spring',
    mites: 'How mites are kept down',
    horizon: 'Days that a plan looks ahead',
    'longest-session': 'Longest session',
    'shortest-session': 'Shortest session',
    'pause-between': 'Pause between two sessions',
    'sessions-a-day': 'Sessions a day, at most',
    'least-fit': 'A time is offered when it is fit in',
    'hives-a-group': 'Hives a group in one session, at most',
    'set-up-minutes': 'Minutes until the first hive is open',
    forgetting: 'How long a skill holds',
  } satisfies Readonly<Record<FigureId, string>>,
  houseMeaning: {
    'full-warmth':
      'Shade temperature below which no brood frame comes out for a full look. Brood chills first at the edges of the nest.',
    'full-heat': 'Above it comb softens and people tire in suits.',
    'full-gust': 'Frames catch the wind, and bees that are blown off sting.',
    'frame-warmth': 'A quick pull of one frame and back at once.',
    'frame-gust': 'One frame is held close over the box.',
    'lid-warmth': 'Crown board up, no frame out.',
    'lid-gust': 'A lid that the wind takes hurts people and chills the brood.',
    'work-from': 'Nobody is asked to be at the hives before; light and flight count besides.',
    'work-to': 'Nobody is asked to be at the hives after; light and flight count besides.',
    'open-minutes': 'Time from the lid to the lid. The clock at the hive warns before it.',
    'rest-days':
      'The planner gives a hive so many days before frames come out again. Colonies need about a day to bring order back.',
    openings: 'How often a teaching hive may be opened: each opening costs about a day of foraging.',
    'minutes-a-month': 'All openings of a hive together.',
    'stings-a-month': 'A colony that stings more has been worked enough or is cross: it rests.',
    'look-days': 'In the high season, when no cells have to be caught.',
    'group-size': 'More stand in each other’s light and in the flight line.',
    'lift-one': 'What one person may lift alone; each person’s own limit counts if it is lower.',
    'lift-two': 'What two people may lift together.',
    suits: 'People who can be at hives at the same time.',
    'catch-cells': 'Whether looks in swarm season are set so that no swarm leaves unseen.',
    'swarm-days': 'A cell is sealed on day 8; from then the swarm may go.',
    'add-space': 'Share of the frames of the nest. Bees that find no room hang about and prepare to swarm.',
    'brood-boxes': 'By it space, brood and food are judged.',
    'least-food': 'Below it a colony is fed whatever is in flower: a week of rain may follow.',
    'feed-to': 'What is given brings the colony to this.',
    'winter-food': 'For a full-sized colony, without the boxes. Long cold takes up to twice as much.',
    stimulates: 'A little thin syrup a few weeks before a flow makes the queen lay more.',
    'comb-goal': 'The stock of drawn comb is held against it; 0 for no goal.',
    mites: 'What is advised, and when, follows from it. All of them count the mites as well.',
    horizon: 'Further than two weeks the forecast tells little.',
    'longest-session': 'Fit hours are cut to it.',
    'shortest-session': 'A fit time that is shorter is not offered.',
    'pause-between': 'Time for leaders, suits and smokers between two sessions of a day.',
    'sessions-a-day': 'At one site.',
    'least-fit': 'Share of the forecast’s members in which the hours are fit.',
    'hives-a-group': 'How many hives one group opens, one after the other.',
    'set-up-minutes': 'Suiting up, briefing, lighting smokers.',
    forgetting: 'A skill that was not shown for its term is due to be shown again.',
  } satisfies Readonly<Record<FigureId, string>>,
  houseChoice: {
    '1': 'one',
    '2': 'two',
    sample: 'count, then treat over a threshold',
    calendar: 'every year at the same times',
    'drone-comb': 'cut out drone comb',
    'brood-break': 'take the brood out',
    'fixed-term': 'always the same term',
    'growing-term': 'longer each time',
  } as const,
  houseSchool: {
    'foragers-out': 'full look once foragers are out in number',
    'warm-days': 'warm days only; a quick pull at 13 °C, everything else waits',
    'quick-lid': 'a glance from above does no harm on a still day',
    'lid-when-flying': 'the lid stays on until bees fly',
    'teaching-often': 'hives that are there to be learned on are opened often; their honey is not the point',
    'light-touch': 'each look costs bees and honey: look from outside, open for a reason',
    'weekly-looks': 'who looks every week misses nothing',
    'catch-every-swarm': 'a swarm over the fence is somebody’s chimney; half the bees and the honey go with it',
    'let-them-swarm': 'swarming is how colonies breed and shed mites; bait hives catch what leaves',
    unclipped: 'a cell is sealed on day 8 and the swarm goes: seven days catch it',
    clipped: 'a clipped queen wins a few days: the swarm comes back without her',
    'room-early': 'room before they need it keeps them from swarming',
    'room-late': 'too much room too soon is cold to keep',
    'single-brood': 'one box is quick to look through and light to lift',
    'double-brood': 'two boxes hold the nest of a strong queen and its winter food',
    'mild-winter': 'short and mild: brood nearly all year, flow again early',
    'maritime-winter': 'temperate and damp',
    'long-winter': 'months of cold without flight',
    'no-driving': 'bees know the season; driven colonies starve in a cold spring',
    'drives-brood': 'foragers for a flow hatch six weeks after the egg: begin before it',
    'mites-sample': 'count first and treat over a threshold; no more than is needed',
    'mites-calendar': 'every year after the harvest and in the broodless time, whatever the count',
    'mites-drone-comb': 'cut out sealed drone comb while brood grows',
    'mites-brood-break': 'take the brood out in summer, so that all mites sit on bees',
    'fixed-term': 'the term of the checklist, each time',
    'growing-term': 'what was shown on several days holds longer, up to three years',
  } as const,
} as const;
