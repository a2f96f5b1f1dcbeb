// People and devices that use a running server for `npm run faults`.
import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';

const PASSWORD = 'willow-before-gorse';
const PATIENCE = 60_000;

/** Somebody who is signed in at an address. Answers carry status and, where it is JSON, body; status 0 where nobody answered. */
export class Caller {
  constructor(address, cookie = '') {
    this.address = address;
    this.cookie = cookie;
  }

  at(address) {
    return new Caller(address, this.cookie);
  }

  async ask(method, path, body) {
    const began = performance.now();
    try {
      const response = await fetch(this.address + path, {
        method,
        headers: { cookie: this.cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(PATIENCE),
      });
      const text = await response.text();
      const json = response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : null;
      return { status: response.status, body: json, ms: performance.now() - began, headers: response.headers };
    } catch {
      return { status: 0, body: null, ms: performance.now() - began, headers: new Headers() };
    }
  }

  get = (path) => this.ask('GET', path);
  post = (path, body = {}) => this.ask('POST', path, body);
}

/** Signs somebody in. */
export async function signIn(address, name) {
  const response = await fetch(`${address}/api/people/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password: PASSWORD }),
  });
  if (!response.ok) throw new Error(`${name} cannot sign in: ${response.status} ${await response.text()}`);
  const cookies = response.headers.getSetCookie().map((each) => each.split(';')[0]);
  return new Caller(address, cookies.join('; '));
}

/** Opens visits of hives at the day's site; returns their ids. */
export async function openVisits(lead, count) {
  const next = (await lead.get('/api/sessions/next')).body;
  const sheet = (await lead.get(`/api/sessions/${next.session}/day-sheet`)).body;
  const { hives } = (await lead.get('/api/hives')).body;
  const { now } = (await lead.get('/api/people/me')).body.clock;
  const day = new Set(sheet.groups.map(({ hive }) => hive.id));
  const { site } = hives.find(({ id }) => day.has(id));
  const here = hives.filter((hive) => hive.site === site).slice(0, count);
  const visits = [];
  for (const hive of here) {
    const start = { id: randomUUID(), session: next.session, hive: hive.id, startedAt: now };
    const { status, body } = await lead.post('/api/visits', start);
    if (status !== 200) throw new Error(`a visit cannot be opened: ${status} ${JSON.stringify(body)}`);
    visits.push(body.id);
  }
  return { visits, session: next.session, now };
}

/** What was answered to a crowd, by status, with how long it took. */
export class Tally {
  statuses = new Map();
  times = [];
  acknowledged = new Set();
  /** How long nobody was answered, ms. */
  silence = 0;
  last = performance.now();
  bodies = new Map();

  note({ status, ms, body }) {
    this.statuses.set(status, (this.statuses.get(status) ?? 0) + 1);
    if (status === 500) this.bodies.set(body?.message ?? '', (this.bodies.get(body?.message ?? '') ?? 0) + 1);
    if (status !== 200) return;
    this.times.push(ms);
    const now = performance.now();
    this.silence = Math.max(this.silence, now - this.last);
    this.last = now;
  }

  figures() {
    const sorted = [...this.times].sort((a, b) => a - b);
    const at = (share) => (sorted.length === 0 ? null : Math.round(sorted[Math.floor(share * (sorted.length - 1))]));
    return {
      statuses: Object.fromEntries([...this.statuses].sort(([a], [b]) => a - b)),
      'p50/p95/p99 ms': [at(0.5), at(0.95), at(0.99)].join(' / '),
      'longest silence s': Math.round(this.silence / 100) / 10,
    };
  }
}

/**
 * Devices that send entries as the application does: what is not acknowledged is sent again with the same ids.
 *
 * @param callers one for each device
 * @param visits visits that they write in
 * @param going whether to make new entries
 * @param tally counts
 * @param batch entries at a time
 * @param every rest between two batches, ms
 */
export async function writers(callers, { visits, now }, going, tally, { batch = 1, every = 0 } = {}) {
  let made = 0;
  await Promise.all(
    callers.map(async (caller, at) => {
      const visit = visits[at % visits.length];
      if (every > 0) await sleep((every * at) / callers.length);
      while (going()) {
        const entries = Array.from({ length: batch }, () => ({
          id: randomUUID(),
          at: now,
          body: { kind: 'note written', text: `load ${(made += 1)}` },
        }));
        for (let tries = 0; ; tries += 1) {
          const answer = await caller.post(`/api/visits/${visit}/entries`, { entries });
          tally.note(answer);
          if (answer.status === 200) {
            for (const { id, outcome } of answer.body.verdicts) if (outcome !== 'refused') tally.acknowledged.add(id);
            break;
          }
          if (answer.status === 422) throw new Error(JSON.stringify(answer.body));
          if (!going() && tries > 60) break;
          await sleep(Math.min(200 * (tries + 1), 1000));
        }
        await sleep(every);
      }
    }),
  );
}

/** People who read views one after the other. */
export async function readers(callers, paths, going, tally) {
  await Promise.all(
    callers.map(async (caller, at) => {
      for (let turn = at; going(); turn += 1) {
        const answer = await caller.get(paths[turn % paths.length]);
        tally.note(answer);
        await sleep(answer.status === 200 ? 50 : 1000);
      }
    }),
  );
}
