import { type DaySheet, type VisitFile, endpoints } from '@brave-comb/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, openVisit, pathOf, today } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;
let nadia: string;

beforeAll(async () => {
  school = await openSchool('', 'notes_shown');
  morag = await school.signIn('morag');
  nadia = (await school.db('people').where({ sign_in: 'nadia' }).first<{ id: string }>('id')).id;
}, 120_000);
afterAll(() => school.close());

const sheet = async (agent: Agent): Promise<DaySheet> => {
  const { session } = await today(agent);
  return (await agent.get(pathOf(endpoints.daySheet, { session })).expect(200)).body as DaySheet;
};
const shownTo = (name: string) =>
  school
    .db('audit_log')
    .join('people', 'people.id', 'audit_log.person')
    .where({ what: 'note-on-sheet', about: nadia, sign_in: name })
    .pluck<string[]>('people.name');

describe('an emergency note on a sheet', () => {
  it('is one reading of whoever is shown it, however often they look that day', async () => {
    expect((await sheet(morag)).emergency.people.map(({ name }) => name)).toContain('Nadia');
    await school.wrote();
    await sheet(morag);
    expect(await shownTo('morag')).toEqual(['Morag Selkirk']);
    // Yesterday's reading is not today's.
    await school
      .db('audit_log')
      .where({ what: 'note-on-sheet' })
      .update({ at: new Date(Date.now() - 24 * 3_600_000) });
    await school.wrote();
    await sheet(morag);
    expect(await shownTo('morag')).toHaveLength(2);
    const read = await morag.post(pathOf(endpoints.readEmergencyNote, { person: nadia })).expect(200);
    const { readers } = read.body as { readers: { by: string }[] };
    expect(readers.map(({ by }) => by)).toEqual(['Morag Selkirk', 'Morag Selkirk', 'Morag Selkirk']);
  });

  it('is the own one where a trainee looks, of whatever name others are, and that is nobody’s reading', async () => {
    await school.db('people').where({ sign_in: 'niamh' }).update({ name: 'Nadia' });
    await school.wrote();
    const hers = await school.signIn('nadia');
    expect((await sheet(hers)).emergency.people).toEqual([expect.objectContaining({ id: nadia })]);
    const groups = (await sheet(morag)).groups.filter(({ group }) => group.name === 'Dipper');
    const visit = await openVisit(morag, groups[0]!.hive.number);
    const file = (await hers.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as VisitFile;
    expect(file.emergency.people).toEqual([expect.objectContaining({ id: nadia })]);
    expect(await shownTo('nadia')).toEqual([]);
  });

  it('is of the file that a device takes to the hive, too', async () => {
    await school.db('audit_log').where({ what: 'note-on-sheet' }).delete();
    const groups = (await sheet(morag)).groups.filter(({ group }) => group.name === 'Dipper');
    await school.db('audit_log').where({ what: 'note-on-sheet' }).delete();
    const { session } = await today(morag);
    const prepared = pathOf(endpoints.preparedVisit, { session, hive: groups[0]!.hive.id });
    await school.wrote();
    await morag.get(prepared).expect(200);
    expect(await shownTo('morag')).toHaveLength(1);
  });
});
