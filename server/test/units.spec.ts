import { type Output, endpoints } from '@brave-comb/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, today } from './school';

let school: School;
let [morag, tomasz]: Awaited<ReturnType<School['signIn']>>[] = [];
type Person = NonNullable<Output<(typeof endpoints)['whoAmI']>['person']>;

const me = async (agent = tomasz!): Promise<Person> => {
  const { person } = (await agent.get(endpoints.whoAmI.path).expect(200)).body as { person: Person | null };
  return person ?? expect.fail('nobody is signed in');
};
const choose = (body: object, agent = tomasz!) => agent.post(endpoints.chooseUnits.path).send(body);
/** All that the day sheet says. */
const told = async (agent = tomasz!): Promise<string> => JSON.stringify((await today(agent)).sheet);

beforeAll(async () => {
  school = await openSchool('', 'units');
  [morag, tomasz] = [await school.signIn('morag'), await school.signIn('tomasz')];
});
afterAll(() => school.close());

describe('units', () => {
  it('are those of the school until somebody chooses, and at once where somebody does', async () => {
    expect((await me()).units).toEqual({ own: null, school: 'metric' });
    expect(await told()).toMatch(/\d kg: (two people|one person)/);
    await choose({ own: 'british' }).expect(200);
    expect((await me()).units).toEqual({ own: 'british', school: 'metric' });
    expect(await told()).toMatch(/\d lb: (two people|one person)/);
    expect(await told()).not.toMatch(/\d kg: /);
    expect(await told(morag)).toMatch(/\d kg: (two people|one person)/);
  });

  it('of the school are set by the lead, and leave an own choice as it is', async () => {
    await choose({ own: null, school: 'imperial' }).expect(403);
    expect((await me()).units).toEqual({ own: 'british', school: 'metric' });
    await choose({ own: null, school: 'imperial' }, morag).expect(200);
    expect((await me(morag)).units).toEqual({ own: null, school: 'imperial' });
    expect((await me()).units).toEqual({ own: 'british', school: 'imperial' });
    await choose({ own: null }).expect(200);
    expect(await told()).toMatch(/\d lb: (two people|one person)/);
    await choose({ own: 'furlongs' }).expect(422);
  });
});
