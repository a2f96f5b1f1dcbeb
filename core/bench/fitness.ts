/* Fitness of 20 members × 240 hours at 50 sites, beside a plain loop that only reads the same figures. Prints medians in ms as JSON. */
import { DEFAULT_LIMITS, type Ensemble, type Weather, hourDepths } from '../src/weather';

const [SITES, MEMBERS, HOURS, ROUNDS] = [50, 20, 240, 15];

const hourOf = (seed: number): Weather => ({
  temperature: 8 + 12 * Math.abs(Math.sin(seed)),
  dewPoint: 5,
  wind: 20 * Math.abs(Math.cos(seed * 3)),
  gust: 40 * Math.abs(Math.cos(seed * 3)),
  rain: seed % 7 === 0 ? 0.6 : 0,
  cloud: Math.abs(Math.sin(seed * 5)),
  thunder: 0,
});
const sites = Array.from({ length: SITES }, (_, site) => ({
  place: { latitude: -60 + site * 2.4, longitude: -170 + site * 6.8 },
  ensemble: {
    issued: '2026-05-14T06:10:00Z',
    start: '2026-05-14T06:00:00Z',
    members: Array.from({ length: MEMBERS }, (_each, member) =>
      Array.from({ length: HOURS }, (_hour, hour) => hourOf(site * 31 + member * 7 + hour)),
    ),
  } satisfies Ensemble,
}));

function timed(work: () => number): number {
  const spans = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    if (!Number.isFinite(work())) throw new Error('no figure came out');
    return performance.now() - began;
  });
  return spans.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

const fitness = timed(() => {
  let sum = 0;
  for (const { place, ensemble } of sites)
    for (let hour = 0; hour < HOURS; hour += 1)
      for (const depth of hourDepths(ensemble, hour, place, DEFAULT_LIMITS)) sum += depth;
  return sum;
});
const loop = timed(() => {
  let sum = 0;
  for (const { ensemble } of sites)
    for (let hour = 0; hour < HOURS; hour += 1)
      for (const member of ensemble.members) {
        const { temperature, gust, rain, cloud, thunder } = member[hour]!;
        sum += temperature + gust + rain + cloud + thunder;
      }
  return sum;
});
process.stdout.write(JSON.stringify({ fitness, loop }));
