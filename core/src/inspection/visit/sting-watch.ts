import { within } from '../../units';
import { say } from '../said';
import type { Text } from '../../language';

/** How somebody is after a sting; the last two go beyond the sting: a general reaction. */
export const REACTIONS = ['well', 'local-swelling', 'elsewhere-too', 'breath-faint-sick'] as const;
export type Reaction = (typeof REACTIONS)[number];
/** As it is said and shown; `REACTIONS` is what is recorded. */
export const REACTION_TEXT: Readonly<Record<Reaction, Text>> = {
  well: 'fine',
  'local-swelling': say('swelling-sting'),
  'elsewhere-too': say('beyond-sting'),
  'breath-faint-sick': say('breath-faint-sick'),
};

/** Minutes after a sting for which somebody keeps an eye on whoever was stung. Severe reactions mostly begin within half an hour. */
const WATCH_MINUTES = 30;
/** Minutes between two looks. Common practice. */
const LOOK_EVERY = 10;

export interface StingWatch {
  readonly person: string;
  readonly stings: number;
  /** Minutes since the latest sting. */
  readonly minutes: number;
  /** Latest answer after that sting, `null` when nobody asked. */
  readonly reaction: Reaction | null;
  /** Minutes since somebody asked last, or since the sting. */
  readonly askedAgo: number;
  /** After a general reaction nothing on the device ends the watch: a doctor does. */
  readonly state: 'watch' | 'ask-now' | 'emergency' | 'medical-care' | 'over';
  readonly says: Text;
}

const GENERAL: ReadonlySet<Reaction> = new Set<Reaction>(['elsewhere-too', 'breath-faint-sick']);

interface At {
  readonly person: string | null;
  readonly at: string;
}

/**
 * Whom to keep an eye on after stings. Anything beyond swelling at the sting is an emergency; a doctor decides, not a clock: also once they
 * feel fine again, for a second phase may follow within hours.
 *
 * @param stings stings counted, with whom
 * @param asked answers given since
 * @param now ms since 1970
 * @returns one watch a person, the most pressing first; stings of nobody by name are left out
 * Source: onset of severe reactions within minutes to half an hour and second phases within hours, published guidance on anaphylaxis, from
 * memory; the rest common practice.
 */
export function stingWatches(
  stings: readonly At[],
  asked: readonly (At & { readonly reaction: Reaction })[],
  now: number,
): readonly StingWatch[] {
  within('now', now, 0);
  const people = [...new Set(stings.flatMap(({ person }) => person ?? []))];
  const order: readonly StingWatch['state'][] = ['emergency', 'medical-care', 'ask-now', 'watch', 'over'];
  return people
    .map((person) => watchOf(person, stings, asked, now))
    .sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state) || a.minutes - b.minutes);
}

function watchOf(
  person: string,
  stings: readonly At[],
  asked: readonly (At & { readonly reaction: Reaction })[],
  now: number,
): StingWatch {
  const own = stings.filter((sting) => sting.person === person).map(({ at }) => Date.parse(at));
  const latest = Math.max(...own);
  const answers = asked
    .filter((each) => each.person === person && Date.parse(each.at) >= Math.min(...own))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const answer = answers.at(-1);
  const minutes = Math.max(0, now - latest) / 60_000;
  const askedAgo = Math.max(0, now - Math.max(latest, answer ? Date.parse(answer.at) : 0)) / 60_000;
  const reaction = answer?.reaction ?? null;
  const watch = { person, stings: own.length, minutes, reaction, askedAgo };
  if (reaction !== null && GENERAL.has(reaction))
    return { ...watch, state: 'emergency', says: say('emergency-card-now-goes-beyond') };
  const general = answers.find((each) => GENERAL.has(each.reaction));
  if (general)
    return {
      ...watch,
      state: 'medical-care',
      says: say('now-doctor-all-same-alone', {
        reaction: general.reaction,
        reactionText: REACTION_TEXT[answer?.reaction ?? 'well'],
      }),
    };
  if (minutes >= WATCH_MINUTES && answer && Date.parse(answer.at) > latest)
    return {
      ...watch,
      state: 'over',
      says: say('minutes-gone', { watchMinutes: WATCH_MINUTES, reactionText: REACTION_TEXT[answer.reaction] }),
    };
  if (askedAgo >= LOOK_EVERY) return { ...watch, state: 'ask-now', says: say('ask-now-breath-rash-elsewhere') };
  return {
    ...watch,
    state: 'watch',
    says: say('alone-min-more', { value: Math.max(1, Math.ceil(WATCH_MINUTES - minutes)) }),
  };
}
