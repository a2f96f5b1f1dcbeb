/* All judges over 200 colonies, beside reading those colonies from their records; a forecast of 500 draws, beside one draw. Medians in ms as JSON. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { type ForecastFacts, forecastColony } from '../src/biology';
import { adviseColony } from '../src/care';
import { type Situation, factsOf } from '../src/situation';

const [COLONIES, ROUNDS, DRAWS] = [200, 9, 500];
const folder = join(import.meta.dirname, '../../docs/cases/situations');
const situations = readdirSync(folder).map((file) => JSON.parse(readFileSync(join(folder, file), 'utf8')) as Situation);

function timed(work: () => number): number {
  const spans = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    if (work() === 0) throw new Error('nothing came out');
    return performance.now() - began;
  });
  return spans.toSorted((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

const colonies = situations.map(factsOf);
const many = <T>(list: readonly T[], count: number) =>
  Array.from({ length: count }, (_, index) => list[index % list.length]!);
const judges = timed(() => many(colonies, COLONIES).reduce((sum, facts) => sum + adviseColony(facts).length, 0));
const reading = timed(() => many(situations, COLONIES).reduce((sum, each) => sum + factsOf(each).frames, 0));

const ranged = (value: number) => ({ value, low: value * 0.9, high: value * 1.1 });
const seen = (day: number, bees: number) => ({
  day,
  bees: ranged(bees),
  eggs: ranged(0.6),
  larvae: ranged(1.2),
  sealed: ranged(2.4),
  storesKg: ranged(8),
  sample: { bees: 300, mites: 3 },
  frames: 11,
  holdsKg: 40,
  foodMoved: false,
});
const facts = (draws: number): ForecastFacts => ({
  seen: [seen(0, 6), seen(12, 7), seen(24, 8), seen(36, 9)],
  days: Array.from({ length: 79 }, () => ({
    laying: 1400,
    life: 34,
    broodPerBees: 0.75,
    incomeKg: 0.05,
    fedKg: 0,
    clustered: false,
    drones: 0.05,
    mitesKilled: 0,
  })),
  nest: { cellsPerFrame: 5400, beesPerFrame: 1700 },
  draws,
  seed: 7,
});
const forecast = timed(() => forecastColony(facts(DRAWS)).bands.bees!.length);
const single = timed(() => forecastColony(facts(1)).bands.bees!.length);

process.stdout.write(JSON.stringify({ judges, reading, forecast, single }));
