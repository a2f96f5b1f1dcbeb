// People and devices that use a running server for `npm run faults`.
import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';

export const PASSWORD = 'willow-before-gorse';
const PATIENCE = 60_000;

/** How long to wait before the same is sent again, ms: as the server says, not all at the same moment. */
const restAfter = ({ headers }, otherwise) => {
  const told = Number(headers.get('retry-after'));
  return (told > 0 ? told * 1000 : otherwise) * (0.75 + Math.random() / 2);
};

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

  /** Asks until the server is not too busy, as it says when. */
  async patiently(method, path, body) {
    for (;;) {
      const answer = await this.ask(method, path, body);
      if (answer.status !== 503) return answer;
      await sleep(restAfter(answer, 1000));
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

/** Which of some people may write in which of some visits: each gets the visits in which a first entry was taken. */
export async function whoWrites(people, { visits, now }, tally) {
  const pairs = [];
  for (const visit of visits)
    for (const caller of people) {
      const entry = { id: randomUUID(), at: now, body: { kind: 'note-written', text: 'first' } };
      const { status, body } = await caller.post(`/api/visits/${visit}/entries`, { entries: [entry] });
      if (status !== 200 || body.verdicts[0].outcome === 'refused') continue;
      tally.acknowledged.add(entry.id);
      pairs.push({ caller, visit });
    }
  return pairs;
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
 * @param devices who each belongs to, and the visit that it writes in
 * @param now time of the entries
 * @param going whether to make new entries
 * @param tally counts
 * @param batch entries at a time
 * @param every rest between two batches, ms
 */
export async function writers(devices, { now }, going, tally, { batch = 1, every = 0 } = {}) {
  let made = 0;
  await Promise.all(
    devices.map(async ({ caller, visit }, at) => {
      if (every > 0) await sleep((every * at) / devices.length);
      while (going()) {
        const entries = Array.from({ length: batch }, () => ({
          id: randomUUID(),
          at: now,
          body: { kind: 'note-written', text: `load ${(made += 1)}` },
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
          await sleep(restAfter(answer, Math.min(200 * (tries + 1), 1000)));
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
        await sleep(answer.status === 200 ? 50 : restAfter(answer, 1000));
      }
    }),
  );
}
