import { LISTS, endpoints } from '@brave-comb/contract';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, entry, openSchool, openVisit, pathOf, sideOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
type Row = Record<string, string>;
let school: School;
let morag: Agent;
let visit: string;

const csvOf = async (list: string, agent = morag): Promise<string> => {
  const answer = await agent
    .get(pathOf(endpoints.listOut, { list }))
    .expect(200)
    .expect('content-type', /text\/csv/);
  expect(answer.headers['content-disposition']).toMatch(new RegExp(`attachment; filename="?${list}-2026-05-14.csv"?`));
  return answer.text;
};
const rowsOf = async (list: string, agent = morag): Promise<Row[]> => {
  const { data, errors } = Papa.parse<Row>((await csvOf(list, agent)).replace(/^\u{feff}/u, ''), {
    header: true,
    skipEmptyLines: true,
  });
  expect(errors).toEqual([]);
  return data;
};

beforeAll(async () => {
  school = await openSchool('', 'lists');
  morag = await school.signIn('morag');
  visit = await openVisit(morag);
  const address = { box: 'brood box', frame: 4, face: 'low' } as const;
  const wrong = entry({ kind: 'frame-side-recorded', address, side: sideOf({ S: 1 }), seen: null });
  const right = entry({ kind: 'frame-side-recorded', address, side: sideOf({ S: 6, H: 2 }), seen: wrong.id });
  const washed = entry({
    kind: 'measured',
    measure: { what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites: 9 },
  });
  const undone = entry({ kind: 'measured', measure: { what: 'nest-temperature', celsius: 35 } });
  await morag
    .post(pathOf(endpoints.recordEntries, { visit }))
    .send({ entries: [wrong, right, washed, undone, entry({ kind: 'entry-undone', entry: undone.id })] })
    .expect(200);
}, 120_000);
afterAll(() => school.close());

describe('lists for a spreadsheet', () => {
  it('hold each side once, as it was read at last', async () => {
    const rows = (await rowsOf('frame-sides')).filter(
      ({ date, hive, frame, side }) => `${date} ${hive} ${frame} ${side}` === '2026-05-14 4 4 low',
    );
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({
      box: 'brood box',
      S: '6',
      H: '2',
      E: '0',
      bees: '6',
      queen: 'false',
      doubtful: 'false',
    });
    const kept = await school
      .db('visit_entries')
      .where({ kind: 'frame-side-recorded' })
      .count<{ n: number }[]>({ n: '*' });
    expect((await rowsOf('frame-sides')).length).toBeGreaterThan(kept[0]!.n / 2);
  });

  it('hold what was measured, and nothing that was taken back', async () => {
    const today = (await rowsOf('samples')).filter(({ date }) => date === '2026-05-14');
    expect(today).toEqual([
      expect.objectContaining({ hive: '4', what: 'mites-on-bees', method: 'alcohol-wash', of: '300', found: '9' }),
    ]);
  });

  it('hold visits, weights, trainees, evidence and weather, every one of them', async () => {
    const count = async (table: string, where: object = {}) => {
      const { id } = await school
        .db('schools')
        .where({ name: 'Brenna Fell School of Beekeeping' })
        .first<{ id: string }>('id');
      const [all] = await school
        .db(table)
        .where({ school: id, ...where })
        .count<{ n: number }[]>({ n: '*' });
      return all!.n;
    };
    expect(await rowsOf('visits')).toHaveLength(await count('visits'));
    expect(await rowsOf('evidence')).toHaveLength(await count('demonstrations'));
    expect(await rowsOf('trainees')).toHaveLength(await count('people', { role: 'trainee' }));
    expect((await rowsOf('trainees')).find(({ name }) => name === 'Salma')).toMatchObject({
      groups: 'Curlew',
      left: '',
    });
    expect((await rowsOf('weights')).length).toBeGreaterThan(300);
    expect(Object.keys((await rowsOf('weather'))[0]!)).toEqual([
      'date',
      'site',
      'low °C',
      'high °C',
      'rain mm',
      'dew point °C',
    ]);
    const ahead = (await rowsOf('visits')).find(({ date }) => date === '2026-05-14');
    expect(ahead).toMatchObject({ hive: '4', 'sides read': '1', closed: '' });
  });

  it('tell a cell that a spreadsheet would run as a text, and names in any script as they are', async () => {
    await school.db('people').where({ sign_in: 'salma' }).update({ name: '=HYPERLINK("http://x","Salma")' });
    await school.db('people').where({ sign_in: 'nadia' }).update({ name: 'নাদিয়া, “Naďa”' });
    await school.wrote();
    const names = (await rowsOf('trainees')).map(({ name }) => name);
    expect(names).toContain(`'=HYPERLINK("http://x","Salma")`);
    expect(names).toContain('নাদিয়া, “Naďa”');
    expect(await csvOf('trainees')).toMatch(/^\u{feff}name,groups,mail,left\r\n/u);
  });

  it('are of one’s own school, for leads, and written down', async () => {
    for (const list of LISTS) {
      await (await school.signIn('tomasz')).get(pathOf(endpoints.listOut, { list })).expect(403);
      const others = await rowsOf(list, await school.signIn('ines'));
      expect(JSON.stringify(others)).not.toContain('Home orchard');
    }
    await morag.get(pathOf(endpoints.listOut, { list: 'passwords' })).expect(404);
    expect(await school.db('audit_log').where({ what: 'records-taken-out', about: 'samples.csv' })).not.toHaveLength(0);
  });
});
