import type { WordHere } from '@brave-comb/contract';
import { WORDS_SHOWN, showsWord } from '@brave-comb/core/inspection';
import type { Sayable, Text } from '@brave-comb/core/language';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { type ColonyState, colonyStates, houseRules } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { type SiteRow, sitesOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';
import { say } from '../../words';

type Seen = Omit<WordHere['seen'][number], 'where'> & { readonly where: Text };

/** What house practice says on a word of the glossary, and which colonies showed it at their last visit. */
export async function wordHere(context: Context, actor: Actor, word: string): Promise<Sayable<WordHere>> {
  const sites = WORDS_SHOWN.includes(word) ? await sitesOf(context.db, actor.school) : [];
  const seen = await Promise.all(sites.map((site) => seenAt(context, site, word)));
  return {
    rules: houseRules(word, await housePracticeOf(context.db, actor.school)),
    seen: seen
      .flat()
      .sort((a, b) => b.date.localeCompare(a.date) || a.number.localeCompare(b.number, 'en', { numeric: true })),
  };
}

async function seenAt(context: Context, site: SiteRow, word: string): Promise<readonly Seen[]> {
  const states = await colonyStates(context, await siteSeason(context, site));
  return states.flatMap((state) => seenIn(state, site.zone, word) ?? []);
}

/** Where the last visit that read sides saw it; `null` where it did not. */
function seenIn({ hive, reads }: ColonyState, zone: string, word: string): Seen | null {
  const last = reads.findLast(({ record }) => Object.keys(record.sides).length > 0);
  const shown = Object.values(last?.record.sides ?? {}).filter(({ side }) => showsWord(word, side));
  if (!last || shown.length === 0) return null;
  const inNest = shown.flatMap(({ address }) => (address.box === last.visit.box ? [address.frame] : []));
  return {
    hive: hive.id,
    number: hive.number,
    date: dateAt(zone, last.visit.started_at),
    where: say('seen-on-frames', {
      frames: [...new Set(inNest)].sort((a, b) => a - b),
      elsewhere: inNest.length < shown.length,
    }),
  };
}
