/** Ids that were written as words with spaces. What was kept or sent then is still read. */
const WORDS = (
  'a hand|add space|alcohol wash|almost perfect|animal traces|as last time|ask now|at least|at most|at the hand|bald brood' +
  '|bald pupa|bees in|before winter|beside the last frame|between boxes|between two frames|box off|box on|box opened|box summed up' +
  '|box tipped|box upright|box was tipped|brace comb|brick red|broken comb|broken rule|brood above|brood stopped|buzz changed' +
  '|by exception|by feel|by frames|called off|can teach|capped honey|carried over|cell put in|cell sealed|cell with larva' +
  '|centre frame first|chalk brood|chalky mummies|charged cups|clamped average|close now|closing down|cold continental|comb fell' +
  '|comb moved|confirmed afterwards|cool maritime|cuts down|dark comb|dark lids|day length|deeper than the hour|defect noted' +
  '|deformed wings|degree days|demo begun again|depth chosen|disease suspected|do not open|does not fit|domed in worker cell' +
  '|domed lids|doubt looked at again|doubtful brood|doubtful frame|doubtful sides|doubtful sides left|drawn reserve|drone brood' +
  '|drone comb in|drone comb out|drone layer|drone layer likely|drones flying|drones in worker cells|dry scale|dry sugar|due again' +
  '|due not met|dummy in|earlier visit|eggs seen|elsewhere too|empty rim|entry undone|escape up|even supers|evidence ticked' +
  '|extreme caution|extreme danger|fallen comb|fallen on the floor|feed now|feeder empty|feeder ignored|feeder on|finding noted' +
  '|first bloom|first brood|first frame|first frost|fixed term|flat lids|food above|food on|food reserve|frame does not fit' +
  '|frame lifted|frame set back|frame side recorded|frames still out|fresh nectar|from the next course|gap too wide|give role' +
  '|given up|go on|growing term|guard overridden|hangs short|healthy brood|heat collapse|help needed|hive knocked|honey moisture' +
  '|in a week|in progress|in the roof or rim|incident noted|judged again|just opened|keep covered|keeps laying|known already' +
  '|last flow fading|last time|late flow|late swarm|leave alone|less than expected|lift frame|lift or fall|lively bees' +
  '|local swelling|look again|low odds|made room|main flow|making winter bees|medical care|mild winter|missing frame' +
  '|mites in drone brood|mites on bees|mood noted|more than expected|move comb|natural pollen|nectar and pollen|nectar or honey' +
  '|needs a reason|nest temperature|new comb|next visit|no fit hours|no groups|no hive can be opened|no slots|no strap' +
  '|no supervisors|no time to spare|nobody can come|nobody checked|not known|not met|not needed|not open|not ours' +
  '|not ready for frames|not seen again|not settled|not told|not yet|note written|nothing missing|old comb|old larva|old larvae' +
  '|on her frame|one bee|one frame|one lifts|order changed|ordered by the inspector|outside seen|over the frames|pale foundation' +
  '|pale yellow|part put back|part taken off|parts still off|pearly larvae|perhaps less|perhaps more|person erased|photo taken' +
  '|pierced lid|pierced lids|pollen only|probably queenright|queen accounted for|queen cells|queen hurt|queen lost|queen mark seen' +
  '|queen not accounted for|queen on this frame|queen or brood on it|queen out|queen put in|queen seen|queenless likely' +
  '|question answered|question asked|rain soon|reading settled|readings to settle|records taken out|replacing her|role given' +
  '|ropy brood|sac brood|same as the other side|saw it|sealed brood|sealed drone|sealed only|sealed worker|seams counted' +
  '|seen going in|several eggs in a cell|shut now|side guessed|side read by trainee|sign noticed|signed in|signed off|signed out' +
  '|single sine|skill judged|slack frames|smoke first|smoke given|smoke or burn|smoker fuel|smoker out|solid pattern|sour brood' +
  '|spacer out|split with the queen|split without a queen|spotty pattern|stack changed|start closing|stays put|step reached' +
  '|sting asked after|sting counted|sting reaction|stop said|stray comb|stray comb noted|sugar roll|sum up|summed up|sunken lid' +
  '|sunken lids|super left as winter food|super off|super on|suspicion settled|swarm season|take out|task settled|the other side' +
  '|the same|thick syrup|thin syrup|tight frames|too cold or late|too dark|too few sessions|top box|trapped drones|treatment out' +
  '|turn down|twisted larva|twisted larvae|two eggs|two lift|two weeks|under the excluder|under the frames|under the lid' +
  '|virgin emerged|virgin queen|visit closed|voice recorded|wet glint|wide comb|winter rest|wires across|with a word|worker brood' +
  '|yellow larvae|young larva|young larvae|young queen|young queen likely'
).split('|');

const NOW: ReadonlyMap<string, string> = new Map([
  ...WORDS.map((words) => [words, words.replaceAll(' ', '-')] as const),
  ['breath, faint, sick', 'breath-faint-sick'],
  ['sign-in refused', 'sign-in-refused'],
  ['sign-in slowed down', 'sign-in-slowed-down'],
  ['enough seen, close', 'enough-seen'],
  ['finish this frame, then close', 'finish-frame'],
]);

/** What people wrote in their own words: left as it stands, whatever it says. */
const OWN_WORDS: ReadonlySet<string> = new Set([
  'text',
  'note',
  'name',
  'found',
  'words',
  'says',
  'action',
  'question',
]);

/** What an id is called now. */
export const idNow = (id: string): string => NOW.get(id) ?? id;

/**
 * Kept or sent data with the ids of today in the place of former ones: in values and in the names of properties, at any depth.
 *
 * @param value plain data
 * @returns the same value where nothing had to change
 * @example withIdsOfNow({ kind: 'mood noted', mood: 2 }) // { kind: 'mood-noted', mood: 2 }
 */
export function withIdsOfNow<T>(value: T): T {
  return renewed(value, '') as T;
}

function renewed(value: unknown, key: string): unknown {
  if (typeof value === 'string') return OWN_WORDS.has(key) ? value : idNow(value);
  if (Array.isArray(value)) {
    const now = value.map((each) => renewed(each, key));
    return now.some((each, index) => each !== value[index]) ? now : (value as unknown);
  }
  if (Object.prototype.toString.call(value) !== '[object Object]') return value;
  const entries = Object.entries(value as object) as (readonly [string, unknown])[];
  const now = entries.map(([name, each]) => [idNow(name), renewed(each, name)] as const);
  return now.some(([name, each], index) => name !== entries[index]![0] || each !== entries[index]![1])
    ? Object.fromEntries(now)
    : value;
}
