import { type Endpoint, endpoints, openApiOf } from '@brave-comb/contract';
import { Validator } from '@seriousme/openapi-schema-validator';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, entry, openSchool, openVisit, pathOf, sideOf, today } from './school';

let school: School;
beforeAll(async () => {
  school = await openSchool();
});
afterAll(() => school.close());

describe('without signing in', () => {
  for (const [name, endpoint] of Object.entries<Endpoint>(endpoints)) {
    const call = (agent: Pick<ReturnType<typeof supertest>, 'get' | 'post'>) =>
      endpoint.method === 'GET' ? agent.get(pathOf(endpoint)) : agent.post(pathOf(endpoint)).send({});

    it(`${name}: ${endpoint.access === 'anyone' ? 'open to anyone' : 'closed to strangers'}`, async () => {
      const { status } = await call(supertest(school.app));
      if (endpoint.access === 'anyone') expect([200, 422]).toContain(status);
      else expect(status).toBe(401);
    });
  }
});

describe('everybody sees only what is theirs', () => {
  it('hides one school from another, with the same answer as for what does not exist', async () => {
    const ours = await school.signIn('morag');
    const theirs = await school.signIn('ines');
    const { session } = await today(ours);
    const hidden = await theirs.get(pathOf(endpoints.daySheet, { session }));
    const missing = await theirs.get(pathOf(endpoints.daySheet));
    expect(hidden.status).toBe(404);
    expect(hidden.body).toEqual(missing.body);
    const visit = await openVisit(ours);
    expect((await theirs.get(pathOf(endpoints.visitReview, { visit }))).status).toBe(404);
    const sent = { entries: [entry({ kind: 'mood-noted', mood: 2 })] };
    expect((await theirs.post(pathOf(endpoints.recordEntries, { visit })).send(sent)).status).toBe(404);
  });

  it('shows a trainee the own group and no other people’s notes', async () => {
    const salma = await school.signIn('salma');
    const { sheet } = await today(salma);
    expect((sheet.groups as { group: { name: string } }[]).map((each) => each.group.name)).toEqual(['Curlew']);
    expect(JSON.stringify(sheet)).not.toMatch(/allergy/);
    expect(sheet.mayStart).toBe(false);
    expect(sheet.mine).not.toBeNull();
    const lead = await today(await school.signIn('morag'));
    expect(JSON.stringify(lead.sheet)).toMatch(/allergy/);
  });

  it('lets a trainee see the own passport only', async () => {
    const lead = await school.signIn('morag');
    const salma = await school.signIn('salma');
    const me = (await salma.get(endpoints.whoAmI.path)).body as { person: { id: string } };
    const jun = (await (await school.signIn('jun')).get(endpoints.whoAmI.path)).body as { person: { id: string } };
    const own = await salma.get(pathOf(endpoints.passport, { trainee: me.person.id })).expect(200);
    expect((own.body as { skills: unknown[] }).skills.length).toBeGreaterThan(20);
    await salma.get(pathOf(endpoints.passport, { trainee: jun.person.id })).expect(404);
    await lead.get(pathOf(endpoints.passport, { trainee: jun.person.id })).expect(200);
    const other = await school.signIn('ruth');
    await other.get(pathOf(endpoints.passport, { trainee: me.person.id })).expect(404);
  });

  it('shows a trainee a review of the own group with the own judgements only', async () => {
    const tomasz = await school.signIn('tomasz');
    const visit = await openVisit(tomasz);
    const file = (await tomasz.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as {
      trainees: { id: string; name: string }[];
    };
    const judge = (name: string) =>
      entry({
        kind: 'skill-judged',
        trainee: file.trainees.find((each) => each.name === name)!.id,
        skill: 'finds-eggs',
        level: 'alone',
      });
    await tomasz
      .post(pathOf(endpoints.recordEntries, { visit }))
      .send({ entries: [judge('Salma'), judge('Jun')] })
      .expect(200);
    const seen = async (name: string) => {
      const { body } = await (await school.signIn(name)).get(pathOf(endpoints.visitReview, { visit }));
      return (body as { judgements?: { trainee: string }[] }).judgements?.map((each) => each.trainee);
    };
    expect(await seen('salma')).toEqual(['Salma']);
    expect(await seen('morag')).toEqual(['Salma', 'Jun']);
    expect(await seen('hoa')).toBeUndefined();
  });

  it('keeps a supervisor to the sessions that they supervise', async () => {
    const marit = await school.signIn('marit');
    const ours = await today(await school.signIn('morag'));
    expect((await marit.get(pathOf(endpoints.daySheet, { session: ours.session }))).status).toBe(404);
  });
});

describe('the API document', () => {
  it('is served, valid OpenAPI, and can be browsed', async () => {
    const { body } = await supertest(school.app).get('/api/openapi.json').expect(200);
    expect(body).toEqual(JSON.parse(JSON.stringify(openApiOf(endpoints))));
    const { valid, errors } = await new Validator().validate(body as Record<string, unknown>);
    expect(errors).toBeUndefined();
    expect(valid).toBe(true);
    const page = await supertest(school.app).get('/api/docs').redirects(1).expect(200);
    expect(page.text).toContain('swagger-ui-bundle.js');
    await supertest(school.app).get('/api/docs/swagger-ui-bundle.js').expect(200);
  });
});

describe('a record over the wire', () => {
  it('keeps sides of a frame as they were sent', async () => {
    const tomasz = await school.signIn('tomasz');
    const visit = await openVisit(tomasz);
    const side = sideOf({ S: 3, L: 1, P: 1, H: 3 });
    const sent = entry({
      kind: 'frame-side-recorded',
      address: { box: 'brood box', frame: 6, face: 'high' },
      side,
      seen: null,
    });
    await tomasz
      .post(pathOf(endpoints.recordEntries, { visit }))
      .send({ entries: [sent] })
      .expect(200);
    const { body } = await tomasz.get(pathOf(endpoints.visitFile, { visit })).expect(200);
    expect((body as { entries: unknown[] }).entries).toContainEqual(
      expect.objectContaining({ id: sent.id, body: sent.body }),
    );
  });
});
