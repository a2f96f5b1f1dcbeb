import { named, type Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { scoreGuess, sideKey } from '@brave-comb/core/inspection';
import { meanOf } from '@brave-comb/core/statistics';
import { roundTo } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { readColonies } from '../../facts/inspection';
import { sitesOf } from '../../records/equipment';
import { latestVisits } from '../../records/inspection';
import { peopleOf } from '../../records/people';

type Predictions = Output<(typeof endpoints)['predictions']>;
type OfVisit = Sayable<Predictions['people'][number]['visits'][number]>;

const VISITS = 200;

/** Scores of what trainees predicted, oldest visit first. A guess about a side that nobody read afterwards does not count. */
export async function predictions({ db, clock }: Context, actor: Actor): Promise<Sayable<Predictions>> {
  const [[site], visits] = await Promise.all([sitesOf(db, actor.school), latestVisits(db, actor, clock.now(), VISITS)]);
  const found = new Map<string, OfVisit[]>();
  const read = await readColonies(db, visits);
  for (const [at, visit] of [...visits.entries()].toReversed()) {
    const { record } = read[at]!;
    for (const person of new Set(record.guesses.map((guess) => guess.person))) {
      if (actor.role === 'trainee' && person !== actor.id) continue;
      const scored = record.guesses
        .filter((guess) => guess.person === person)
        .flatMap(({ letters, address }) => {
          const reading = record.sides[sideKey(address)];
          return reading ? [scoreGuess(letters, reading.side)] : [];
        });
      if (scored.length === 0) continue;
      const missed = [...new Set(scored.flatMap((each) => each.missed))];
      found.set(person, [
        ...(found.get(person) ?? []),
        {
          visit: visit.id,
          hiveNumber: visit.hive_number,
          at: iso(visit.started_at),
          guesses: scored.length,
          score: roundTo(meanOf(scored.map(({ score }) => score)), 2),
          missed: missed.map((letter) => named('content', letter)),
        },
      ]);
    }
  }
  const people = await peopleOf(db, actor.school, [...found.keys()]);
  return {
    zone: site?.zone ?? 'utc',
    people: people
      .map(({ id, name }) => ({ id, name, visits: found.get(id) ?? [] }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  };
}
