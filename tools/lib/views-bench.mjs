// Parts of the bench that look: views asked for again, after a change, and by a whole school at once.
import { setTimeout as sleep } from 'node:timers/promises';
import { signIn } from './traffic.mjs';

const CONNECTIONS = 8;
const SECONDS = 4;
const AFTER_CHANGES = 15;

const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
const quantile = (values, share) =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))];

/** Requests a second to a path, by some headers; answers of another status than the one expected are a fault. */
async function perSecond(autocannon, address, path, headers, expected) {
  const found = await autocannon({ url: address + path, headers, connections: CONNECTIONS, duration: SECONDS });
  const codes = Object.keys(found.statusCodeStats);
  if (codes.some((code) => code !== `${expected}`)) throw new Error(`${path}: answered ${codes.join(', ')}`);
  return found.requests.average;
}

/** A small change that everybody of the school could see: the temperature at a site, a tenth of a degree higher each time. */
function changes(lead, site, now) {
  let tenths = 0;
  return async () => {
    tenths += 1;
    const nothing = { wind: null, gust: null, rain: null, cloud: null, thunder: null };
    const body = { at: now, temperature: 15 + tenths / 10, ...nothing };
    const { status } = await lead.patiently('POST', `/api/weather/sites/${site}/observations`, body);
    if (status !== 200) throw new Error(`a change was answered ${status}`);
  };
}

/** How fast a constant is answered, and each of the views: in full and by its tag while nothing changes, and first after a change. */
export async function viewsAsked(address) {
  const { default: autocannon } = await import('autocannon');
  const lead = await signIn(address, 'morag');
  const { body: next } = await lead.get('/api/sessions/next');
  const { body: visits } = await lead.get('/api/visits');
  const { body: strip } = await lead.get('/api/season/strip');
  const { body: me } = await lead.get('/api/people/me');
  // Forecasts of the past are fetched some at a time, and change the school: that is over first.
  while ((await lead.get('/api/weather/trust')).body.missing > 0) await sleep(2000);
  const change = changes(lead, strip.site.id, me.clock.now);
  const paths = {
    'day sheet': `/api/sessions/${next.session}/day-sheet`,
    'visit file': `/api/visits/${visits.visits[0].id}`,
    matrix: '/api/trainees',
    strip: '/api/season/strip',
  };
  // Other work on the machine comes and goes: the constant is asked for before, between and after.
  const constants = [];
  const askConstant = async () => constants.push(await perSecond(autocannon, address, '/api/health/live', {}, 200));
  await askConstant();
  const { cookie } = lead;
  const full = {};
  for (const [name, path] of Object.entries(paths))
    full[name] = await perSecond(autocannon, address, path, { cookie }, 200);
  await askConstant();
  // A tag holds for a minute of the clock: these runs begin with one.
  const { body } = await lead.get('/api/people/me');
  await sleep(60_000 - (Date.parse(body.clock.now) % 60_000) + 50);
  const same = {};
  for (const [name, path] of Object.entries(paths)) {
    const tag = (await lead.get(path)).headers.get('etag');
    same[name] = await perSecond(autocannon, address, path, { cookie, 'if-none-match': tag }, 304);
  }
  await askConstant();
  const views = [];
  for (const [name, path] of Object.entries(paths)) {
    const times = [];
    for (let at = 0; at < AFTER_CHANGES; at += 1) {
      await change();
      times.push((await lead.get(path)).ms);
    }
    let going = true;
    const changing = (async () => {
      for (; going; await sleep(1000)) await change();
    })();
    const changed = await perSecond(autocannon, address, path, { cookie }, 200);
    going = false;
    await changing;
    views.push({ name, full: full[name], same: same[name], changed, first: median(times) });
  }
  await askConstant();
  return { constant: median(constants), views };
}

const EVERYBODY = [
  '/api/people/me',
  '/api/season/strip',
  '/api/people/messages',
  '/api/sessions/next',
  '/api/sessions/mine',
];
const DESK = [
  '/api/season/year',
  '/api/season/forage',
  '/api/season/happenings',
  '/api/season/alive-round',
  '/api/weather/trust',
  '/api/practice',
  '/api/practice/polls',
  '/api/visits',
  '/api/checklist',
];
const STAFF = [
  '/api/care/dues',
  '/api/planning/board',
  '/api/planning/coverage',
  '/api/trainees',
  '/api/agreement',
  '/api/yard-book',
  '/api/combs',
  '/api/questions',
  '/api/predictions',
  '/api/debriefs',
];
const WITHIN = 10_000;

const TRAINEES =
  'aroha greta ife jun mateo piotr salma chloe liwen nadia niamh ravi yusuf andrei bruno elin hoa kwame thabo salma'.split(
    ' ',
  );
const STAFF_NAMES = ['tomasz', 'leilani', 'ruth', 'marit', 'morag'];

/** Every screen of a whole school loaded again within ten seconds: how long the answers took, ms. */
export async function everybodyReloads(address) {
  const people = [];
  for (const [names, paths] of [
    [TRAINEES, [...EVERYBODY, ...DESK]],
    [STAFF_NAMES, [...EVERYBODY, ...DESK, ...STAFF]],
  ])
    for (const name of names) people.push({ caller: await signIn(address, name), paths });
  const times = [];
  const refused = new Map();
  await Promise.all(
    people.flatMap(({ caller, paths }) =>
      paths.map(async (path) => {
        await sleep(Math.random() * WITHIN);
        const { status, ms } = await caller.get(path);
        times.push(ms);
        if (status !== 200) refused.set(`${path} ${status}`, (refused.get(`${path} ${status}`) ?? 0) + 1);
      }),
    ),
  );
  return { asked: times.length, refused: [...refused], half: median(times), most: quantile(times, 0.95) };
}
