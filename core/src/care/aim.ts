import { sameText } from '../language';
import { type Advice, type Reason, pro } from './advice';
import type { ColonyFacts, HouseCare } from './facts';
import { say } from './said';
import type { ColonyAim } from './stock';

/** How much more food than the house's figures a colony is left that is to live through by itself. Common practice. */
const SURVIVES = { open: 1.5, winter: 1.25 } as const;
/** Food of a small box of five or six frames, kg: a full comb at least, two to feed up to, and what it winters on above or beside a strong colony. Common practice. */
const SMALL = { leastStoresKg: 2, feedToKg: 4, winterStoresKg: 9 } as const;

/**
 * What the house does with a colony, by what it is kept for.
 *
 * @param practice figures of the house
 * @param aim what it is kept for, `null` where nobody said
 * @returns figures for this colony
 * Source: common practice.
 */
export function practiceFor(practice: HouseCare, aim: ColonyAim | null): HouseCare {
  if (aim === 'growth') return { ...practice, stimulates: true };
  if (aim === 'reserve') return { ...practice, ...SMALL };
  if (aim !== 'survival') return practice;
  return {
    ...practice,
    stimulates: false,
    leastStoresKg: practice.leastStoresKg * SURVIVES.open,
    feedToKg: practice.feedToKg * SURVIVES.open,
    winterStoresKg: practice.winterStoresKg * SURVIVES.winter,
  };
}

/**
 * Advice for a colony by what it is kept for, with what the house would have said without that wherever it differs.
 *
 * @param facts the colony; its practice is the house's
 * @param judge what a colony needs, the most pressing first
 * @returns advice that says where its aim changed it
 */
export function towardsAim(facts: ColonyFacts, judge: (facts: ColonyFacts) => readonly Advice[]): readonly Advice[] {
  const { aim, practice } = facts;
  if (aim === null) return judge(facts);
  const led = judge({ ...facts, practice: practiceFor(practice, aim) });
  const house = judge({ ...facts, aim: null, flowFrom: practice.stimulates ? facts.flowFrom : null });
  const because = (text: Reason['text']): Reason => pro(text, 0.5);
  const told = led.map((advice): Advice => {
    const without = house.find(({ kind }) => kind === advice.kind);
    if (without && sameText(without.title, advice.title) && without.by === advice.by) return advice;
    const otherwise = without ? without.title : null;
    return { ...advice, reasons: [...advice.reasons, because(say('aim-asks', { aim, otherwise }))] };
  });
  const left = house.filter(({ kind }) => !told.some((each) => each.kind === kind) && !QUIET.has(kind));
  if (left.length === 0) return told;
  const last = told.at(-1)!;
  const leaves = because(say('aim-leaves-out', { aim, titles: left.map(({ title }) => title) }));
  return [...told.slice(0, -1), { ...last, reasons: [...last.reasons, leaves] }];
}

/** Advice that says no more than that nothing is to be done. */
const QUIET: ReadonlySet<Advice['kind']> = new Set<Advice['kind']>(['leave-alone', 'cannot-tell']);
