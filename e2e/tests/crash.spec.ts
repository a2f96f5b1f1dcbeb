import { spawnSync } from 'node:child_process';
import { expect, request, test } from '@playwright/test';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ended, start } from './own-server';
import { PASSWORD } from './school';

/** Databases that run on some data, by their command lines. */
const databasesOn = (data: string): string[] =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .flatMap((pid) => {
      try {
        const line = readFileSync(join('/proc', pid, 'cmdline'), 'utf8');
        return line.includes('mariadbd') && line.includes(data) ? [pid] : [];
      } catch {
        return [];
      }
    });

test('kill -9 in the middle of a visit loses nothing that was acknowledged and leaves no database behind', async () => {
  const data = mkdtempSync(join(tmpdir(), 'brave-comb-crash-'));
  const port = 18_377;
  if (process.env.DEMO_DATA) spawnSync('cp', ['-a', `${process.env.DEMO_DATA}/.`, data]);
  try {
    const first = await start(port, data);
    expect(first.said).toContain('morag');
    const api = await request.newContext({ baseURL: `http://127.0.0.1:${port}` });
    expect((await api.post('/api/people/sign-in', { data: { name: 'morag', password: PASSWORD } })).status()).toBe(200);
    const { session } = (await (await api.get('/api/sessions/next')).json()) as { session: string };
    const sheet = (await (await api.get(`/api/sessions/${session}/day-sheet`)).json()) as {
      groups: { hive: { id: string } }[];
    };
    const visit = crypto.randomUUID();
    const hive = sheet.groups[0]?.hive.id;
    const startedAt = '2026-05-14T07:00:00Z';
    expect((await api.post('/api/visits', { data: { id: visit, session, hive, startedAt } })).status()).toBe(200);
    const kept: string[] = [];
    for (let mood = 0; mood < 25; mood += 1) {
      const entry = { id: crypto.randomUUID(), at: startedAt, body: { kind: 'mood-noted', mood: (mood % 5) + 1 } };
      const answer = await api.post(`/api/visits/${visit}/entries`, { data: { entries: [entry] } });
      if (answer.ok()) kept.push(entry.id);
    }
    first.process.kill('SIGKILL');
    await ended(first.process);
    await expect.poll(() => databasesOn(data)).toEqual([]);

    const second = await start(port, data);
    const file = (await (await api.get(`/api/visits/${visit}`)).json()) as { entries: { id: string }[] };
    expect(file.entries.map((entry) => entry.id)).toEqual(kept);
    expect(kept).toHaveLength(25);

    const third = await start(port, data);
    expect(third.said).toMatch(/Port 18377 is in use.*\n.*PORT=18378 npm start/s);
    expect(await ended(third.process)).toBe(1);

    second.process.kill('SIGINT');
    expect(await ended(second.process)).toBe(0);
    expect(databasesOn(data)).toEqual([]);
    await api.dispose();
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
});

test('a port in use is named before anything else is done', async () => {
  const blocker = createServer().listen(18_378, '127.0.0.1');
  const tried = await start(18_378, '/nowhere/at/all');
  expect(tried.said).toContain('PORT=18379 npm start');
  expect(await ended(tried.process)).toBe(1);
  blocker.close();
});
