import { endpoints } from '@brave-comb/contract';
import * as fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { raiseRevision, revise, revisionOf } from '../src/database/revision-store';
import { Kept, onceARevision } from '../src/kept';
import { type School, openSchool, pathOf } from './school';

const soon = () => new Promise((done) => setImmediate(done));

describe('what is kept', () => {
  it('is shared by all who ask while it is reckoned, and by those who ask later at the same moment', async () => {
    const kept = new Kept<string>(1_000, ({ length }) => length);
    let reckoned = 0;
    const reckon = async () => {
      reckoned += 1;
      await soon();
      return `answer ${reckoned}`;
    };
    expect(await Promise.all([kept.ask('year', '1', reckon), kept.ask('year', '1', reckon)])).toEqual([
      'answer 1',
      'answer 1',
    ]);
    expect(await kept.ask('year', '1', reckon)).toBe('answer 1');
    expect(await kept.ask('strip', '1', reckon)).toBe('answer 2');
    expect(await kept.ask('year', '2', reckon)).toBe('answer 3');
  });

  it('is not what failed: whoever asks next has it tried again', async () => {
    const kept = new Kept<string>(1_000, ({ length }) => length);
    await expect(kept.ask('year', '1', () => Promise.reject(new Error('away')))).rejects.toThrow('away');
    expect(await kept.ask('year', '1', () => Promise.resolve('there'))).toBe('there');
  });

  it('is never of another moment or of something else, and never more than there is room for', async () => {
    const asks = fc.array(
      fc.record({
        what: fc.constantFrom('a', 'b', 'c', 'd'),
        moment: fc.nat(3),
        size: fc.integer({ min: 1, max: 30 }),
      }),
      { maxLength: 60 },
    );
    await fc.assert(
      fc.asyncProperty(asks, async (asked) => {
        const most = 80;
        const kept = new Kept<{ said: string; size: number }>(most, ({ size }) => size);
        for (const { what, moment, size } of asked) {
          const answer = await kept.ask(what, `${moment}`, () => Promise.resolve({ said: `${what} ${moment}`, size }));
          expect(answer.said).toBe(`${what} ${moment}`);
        }
        let held = 0;
        for (const what of ['a', 'b', 'c', 'd'])
          for (const moment of ['0', '1', '2', '3']) {
            const again = await kept.ask(what, moment, () => Promise.reject(new Error('gone'))).catch(() => null);
            held += again?.size ?? 0;
          }
        expect(held).toBeLessThanOrEqual(most);
      }),
      { numRuns: 80 },
    );
  });
});

describe('a school’s revision', () => {
  let school: School;
  let id: string;
  let lead: Awaited<ReturnType<School['signIn']>>;
  let trainee: typeof lead;
  beforeAll(async () => {
    school = await openSchool();
    id = (await school.db('people').where({ sign_in: 'morag' }).first<{ school: string }>('school')).school;
    lead = await school.signIn('morag');
    trainee = await school.signIn('salma');
  });
  afterAll(() => school.close());
  const strip = (agent: typeof lead, tag?: string) => {
    const asked = agent.get(endpoints.seasonStrip.path);
    return tag === undefined ? asked : asked.set('If-None-Match', tag);
  };
  const tagOf = ({ headers }: { headers: unknown }) => (headers as Record<string, string>).etag ?? '';
  const see = (kind: 'hot' | 'cold') =>
    school
      .db('sites')
      .orderBy('name')
      .first<{ id: string }>('id')
      .then((site) =>
        lead.post(pathOf(endpoints.enterObservation, { site: site.id })).send({
          at: '2026-05-14T06:30:00Z',
          temperature: kind === 'hot' ? 31 : 2,
          wind: null,
          gust: null,
          rain: null,
          cloud: null,
          thunder: null,
        }),
      );

  it('rises with every change, however many come at once, and with none that is undone', async () => {
    const before = await revisionOf(school.db, id);
    await Promise.all(Array.from({ length: 20 }, () => revise(school.db, id, () => Promise.resolve())));
    expect(await revisionOf(school.db, id)).toBe(before + 20);
    await expect(revise(school.db, id, () => Promise.reject(new Error('refused')))).rejects.toThrow('refused');
    expect(await revisionOf(school.db, id)).toBe(before + 20);
  });

  it('lets an answer be asked for by its tag: nothing is sent again until something changes', async () => {
    const first = await strip(lead).expect(200).expect('cache-control', 'no-store');
    const again = await strip(lead, tagOf(first)).expect(304);
    expect(again.text).toBe('');
    await see('hot').then(({ status }) => expect(status).toBe(200));
    const changed = await strip(lead, tagOf(first)).expect(200);
    expect(changed.body).not.toEqual(first.body);
    expect(tagOf(changed)).not.toBe(tagOf(first));
  });

  it('tells a change that changed nothing of this answer with 304 too, after reckoning it', async () => {
    const first = await strip(lead).expect(200);
    await revise(school.db, id, () => Promise.resolve());
    const again = await strip(lead, tagOf(first)).expect(304);
    expect(tagOf(again)).not.toBe(tagOf(first));
  });

  it('is somebody’s own: another’s tag is no excuse', async () => {
    const leads = await strip(lead).expect(200);
    const own = await strip(trainee, tagOf(leads)).expect(200);
    expect(own.body).not.toEqual(leads.body);
  });

  it('goes by the clock too', async () => {
    const first = await strip(lead).expect(200);
    await school.context.clock.moveTo(new Date(school.context.clock.now().getTime() + 2 * 86_400_000));
    const later = await strip(lead, tagOf(first)).expect(200);
    expect((later.body as { today: string }).today).not.toBe((first.body as { today: string }).today);
  });

  it('is seen by another process at once', async () => {
    const other = await openSchool('', 'school', true);
    try {
      const there = await other.signIn('morag');
      const first = await strip(there).expect(200);
      await strip(there, tagOf(first)).expect(304);
      await see('cold').then(({ status }) => expect(status).toBe(200));
      await strip(there, tagOf(first)).expect(200);
    } finally {
      await other.close();
    }
  });

  it('keeps what is reckoned for all who ask, and reckons anew after a change and within one', async () => {
    let reckoned = 0;
    const ask = (context: Pick<School['context'], 'db' | 'clock'> = school.context) =>
      onceARevision(context, id, 'a sum', () => Promise.resolve((reckoned += 1)));
    expect(await Promise.all([ask(), ask()])).toEqual([1, 1]);
    await school.db.transaction(async (trx) => {
      expect(await ask({ ...school.context, db: trx })).toBe(2);
      await raiseRevision(trx, id);
      expect(await ask()).toBe(1);
    });
    expect(await ask()).toBe(3);
  });
});
