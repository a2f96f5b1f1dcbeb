import { type DaySheet, type Hives, type SitePlanView, type Sites, endpoints } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let lead: Agent;
let orchard: string;
let moor: string;

beforeAll(async () => {
  school = await openSchool('', 'site_plan');
  lead = await school.signIn('morag');
  const { sites } = (await lead.get(endpoints.schoolSites.path).expect(200)).body as Sites;
  orchard = sites.find(({ name }) => name === 'Home orchard')!.id;
  moor = sites.find(({ name }) => name === 'Moor edge')!.id;
}, 120_000);
afterAll(() => school.close());

const planOf = async (site: string, agent = lead): Promise<SitePlanView> =>
  (await agent.get(pathOf(endpoints.sitePlan, { site })).expect(200)).body as SitePlanView;
const keep = (view: SitePlanView, change: object = {}, agent = lead) =>
  agent.post(pathOf(endpoints.keepSitePlan, { site: view.site.id })).send({
    version: view.site.version,
    plan: view.plan,
    hives: view.hives.map(({ id, stand, place }) => ({ id, stand, place })),
    ...change,
  });
const hiveOf = async (number: string) => {
  const { hives } = (await lead.get(endpoints.schoolHives.path).expect(200)).body as Hives;
  return hives.find((each) => each.number === number)!;
};
const changeHive = async (number: string, change: object) => {
  const { id, colony: _colony, siteName: _name, changed: _changed, retired: _retired, ...form } = await hiveOf(number);
  return lead.post(pathOf(endpoints.changeHive, { hive: id })).send({ ...form, colony: null, ...change });
};

describe('the plan of a site', () => {
  it('is seen by everybody of the school and changed by leads only', async () => {
    const seen = await planOf(orchard, await school.signIn('nadia'));
    expect(seen.plan.stands.map(({ name }) => name)).toEqual(['A', 'B', 'C']);
    expect(seen.hives.map(({ number }) => number)).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', '9']);
    expect(seen.group).toBe(7);
    expect((await keep(seen, {}, await school.signIn('nadia'))).status).toBe(403);
    expect((await keep(seen, {}, await school.signIn('tomasz'))).status).toBe(403);
    await lead.get(pathOf(endpoints.sitePlan, { site: uuid() })).expect(404);
    await (await school.signIn('ines')).get(pathOf(endpoints.sitePlan, { site: orchard })).expect(404);
  });

  it('moves hives with it, and Changes tells what went where', async () => {
    const before = await planOf(orchard);
    const stands = before.plan.stands.map((stand) =>
      stand.name === 'B' ? { ...stand, north: stand.north - 1 } : stand,
    );
    const hives = before.hives.map(({ id, stand, place }) => ({
      ...{ id, stand },
      place: stand === 'B' ? { ...place!, north: place!.north - 1 } : place,
    }));
    const { body, status } = await keep(before, { plan: { ...before.plan, stands }, hives });
    expect(status).toBe(200);
    const after = body as SitePlanView;
    expect(after.plan.stands[1]).toMatchObject({ name: 'B', north: 11 });
    expect(after.hives[3]).toMatchObject({ number: '4', place: { east: 6, north: 11, faces: 160 } });
    const { lines } = (await lead.get(endpoints.changeLog.path).expect(200)).body as {
      lines: { name: string; parts: object[] }[];
    };
    expect(lines.filter(({ name }) => ['4', '5', '6'].includes(name)).map(({ parts }) => parts)).toContainEqual([
      { field: 'place', was: '6 m, 12 m, 160°', is: '6 m, 11 m, 160°' },
    ]);
    expect(lines.some(({ name }) => name === '1')).toBe(false);
  });

  it('is never written over unseen: who comes second is told who was first', async () => {
    const both = await planOf(orchard);
    expect((await keep(both, { plan: { ...both.plan, wind: 230 } })).status).toBe(200);
    const second = await keep(both, { plan: { ...both.plan, wind: 90 } });
    expect(second.status).toBe(409);
    expect(second.body).toMatchObject({ problem: 'changed-meanwhile', message: /Morag Selkirk has changed this/ });
    expect((await planOf(orchard)).plan.wind).toBe(230);
  });

  it.each<[why: string, change: (view: SitePlanView) => object, status: number, message: RegExp]>([
    [
      'a hive on a stand that is not drawn',
      ({ plan, hives }) => ({ plan: { ...plan, stands: plan.stands.slice(1) }, hives }),
      422,
      /Hive 1 is on stand A, which the plan does not have/,
    ],
    [
      'a hive of another site',
      ({ hives }) => ({ hives: [{ ...hives[0]!, id: uuid() }] }),
      409,
      /One of the hives has left Home orchard meanwhile/,
    ],
    [
      'two stands of one name',
      ({ plan }) => ({ plan: { ...plan, stands: [...plan.stands, { ...plan.stands[0]!, id: uuid(), name: 'a' }] } }),
      422,
      /Two stands have the same name/,
    ],
    [
      'a path of one point',
      ({ plan }) => ({
        plan: {
          ...plan,
          landmarks: [{ id: uuid(), kind: 'path', name: '', along: [{ east: 0, north: 0 }], width: 1 }],
        },
      }),
      422,
      /A path or hedge has 2 to 40 points/,
    ],
  ])('refuses %s, and nothing is changed', async (_why, change, status, message) => {
    const view = await planOf(orchard);
    const answer = await keep(view, change(view));
    expect(answer.status).toBe(status);
    expect(JSON.stringify(answer.body)).toMatch(message);
    expect(await planOf(orchard)).toEqual(view);
  });

  it('says where people stand: nobody in the hedge behind the hives', async () => {
    const { session } = (await lead.get(endpoints.nextSession.path).expect(200)).body as { session: string };
    const sheet = async () => (await lead.get(pathOf(endpoints.daySheet, { session })).expect(200)).body as DaySheet;
    const view = await planOf(orchard);
    const placed = (of: DaySheet) => of.groups.filter(({ standing }) => standing !== null);
    const [card] = placed(await sheet());
    const hive = view.hives.find(({ number }) => number === card!.hive.number)!;
    const behind = { east: hive.place!.east, north: hive.place!.north + 0.6 };
    const along = [
      { ...behind, east: behind.east - 9 },
      { ...behind, east: behind.east + 9 },
    ];
    const hedge = { id: uuid(), kind: 'barrier', name: 'new hedge', along, height: 2 };
    expect((await keep(view, { plan: { ...view.plan, landmarks: [hedge] } })).status).toBe(200);
    const marks = placed(await sheet()).find((each) => each.hive.number === card!.hive.number)!.standing!.marks;
    expect(card!.standing!.marks.some(({ y }) => y > 0.6)).toBe(true);
    expect(marks.length).toBeGreaterThan(0);
    for (const { y } of marks) expect(y).toBeLessThan(0.6);
    const now = await planOf(orchard);
    expect((await keep(now, { plan: view.plan })).status).toBe(200);
  });
});

describe('a hive that is put on another stand by its form', () => {
  it('takes the next free place there, loses it on a stand that is not drawn, and finds one at another site', async () => {
    expect((await changeHive('4', { stand: 'C' })).status).toBe(200);
    const { plan, hives } = await planOf(orchard);
    const c = plan.stands.find(({ name }) => name === 'C')!;
    const four = hives.find(({ number }) => number === '4')!.place!;
    expect(four.faces).toBe(c.faces);
    for (const { number, place } of hives)
      if (number !== '4') expect(Math.hypot(place!.east - four.east, place!.north - four.north)).toBeGreaterThan(0.8);
    expect((await changeHive('4', { stand: 'Behind the barn' })).status).toBe(200);
    expect((await planOf(orchard)).hives.find(({ number }) => number === '4')!.place).toBeNull();
    expect((await changeHive('4', { site: moor, stand: 'e' })).status).toBe(200);
    expect((await planOf(orchard)).hives.map(({ number }) => number)).not.toContain('4');
    expect((await planOf(moor)).hives.find(({ number }) => number === '4')!.place).toMatchObject({ faces: 90 });
  });
});

describe('sites as GeoJSON', () => {
  it('hold every site, stand and hive that is set out, for leads', async () => {
    const answer = await lead.get(endpoints.sitesOut.path).expect(200);
    expect(answer.headers['content-type']).toContain('application/geo+json');
    expect(answer.headers['content-disposition']).toMatch(/attachment; filename="?sites-2026-05-14.geojson"?/);
    const { features } = answer.body as { features: { properties: { kind: string } }[] };
    const count = (kind: string) => features.filter(({ properties }) => properties.kind === kind).length;
    expect([count('site'), count('stand'), count('hive'), count('gate')]).toEqual([2, 5, 14, 2]);
    await (await school.signIn('tomasz')).get(endpoints.sitesOut.path).expect(403);
  });
});
