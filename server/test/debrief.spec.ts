import { type Debrief, TALK_PARTS, endpoints } from '@brave-comb/contract';
import { DEBRIEF_PARTS } from '@brave-comb/core/skills';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, earlyVisit, entry, openSchool, pathOf, sideOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;

let school: School;
let [morag, tomasz, ruth, salma, ines]: Agent[] = [];
let visit = '';

const debrief = async (agent = morag!, session?: string) =>
  (await agent.get(`${endpoints.debrief.path}${session ? `?session=${session}` : ''}`).expect(200)).body as Debrief;
const enter = (body: Parameters<typeof entry>[0], at: string, agent = tomasz!, status = 200) =>
  agent
    .post(pathOf(endpoints.recordEntries, { visit }))
    .send({ entries: [entry(body, at)] })
    .expect(status);
const sign = (found: Debrief, more: object = {}, status = 200, agent = morag!) =>
  agent
    .post(pathOf(endpoints.signDebrief, { session: found.session }))
    .send({ id: uuid(), revision: found.revision, read: DEBRIEF_PARTS, ...more })
    .expect(status);
const problemOf = (answer: { body: unknown }) => (answer.body as { problem: string }).problem;
const at = (minute: number) => `2026-05-14T05:${`${minute}`.padStart(2, '0')}:00.000Z`;
const side = (frame: number, face: 'low' | 'high', eighths: Record<string, number>) =>
  ({
    kind: 'frame-side-recorded',
    address: { box: 'brood box', frame, face },
    side: sideOf(eighths),
    seen: null,
  }) as const;

beforeAll(async () => {
  school = await openSchool('', 'debrief');
  [morag, tomasz, ruth, salma, ines] = [
    await school.signIn('morag'),
    await school.signIn('tomasz'),
    await school.signIn('ruth'),
    await school.signIn('salma'),
    await school.signIn('ines'),
  ];
});
afterAll(() => school.close());

describe('a debrief', () => {
  it('is of the latest session with visits, by group and trainee; for those who led it, for no trainee', async () => {
    const found = await debrief();
    expect(found.groups.map(({ group }) => group)).toContain('Curlew');
    expect(found.sessions[0]?.id).toBe(found.session);
    for (const { trainees, frames } of found.groups)
      for (const { roles } of trainees) expect(roles).toHaveLength(frames);
    const held = found.groups.flatMap(({ trainees }) => trainees.flatMap(({ roles }) => roles));
    expect(new Set(held)).toEqual(new Set(['smoke', 'frames', 'record', 'clock', 'watch']));
    expect(found.talk.map(({ part }) => part)).toEqual(TALK_PARTS);
    const own = await debrief(tomasz);
    expect(own.groups.some(({ supervisor }) => supervisor.name.startsWith('Tomasz'))).toBe(true);
    await salma!.get(endpoints.debrief.path).expect(403);
    await ines!.get(`${endpoints.debrief.path}?session=${found.session}`).expect(404);
  });

  it('tells a visit as it went: roles by frame, judged before and after, own readings, what went wrong', async () => {
    visit = await earlyVisit(tomasz!);
    const group = (await debrief()).groups.find((each) => each.visit === visit)!;
    expect(group.trainees.every(({ roles }) => roles.every((role) => role === null))).toBe(true);
    const [one, two] = group.trainees;
    await enter({ kind: 'part-taken-off', part: 'roof' }, at(12));
    await enter(side(1, 'low', { H: 8 }), at(13));
    await enter({ kind: 'role-given', role: 'frames', person: one!.id }, at(14));
    await enter(
      {
        kind: 'side-read-by-trainee',
        person: two!.id,
        address: { box: 'brood box', frame: 2, face: 'low' },
        side: sideOf({ S: 6, H: 2 }),
      },
      at(15),
    );
    await enter(side(2, 'low', { S: 4, H: 4 }), at(16));
    await enter(
      { kind: 'skill-judged', trainee: one!.id, skill: 'free-comb', level: 'alone', prompt: '', note: 'calm' },
      at(17),
    );
    await enter(
      { kind: 'skill-judged', trainee: one!.id, skill: 'sums-up', level: 'alone', prompt: '', note: '' },
      at(17),
    );
    await enter({ kind: 'sting-counted', person: two!.id }, at(18));
    await enter({ kind: 'note-written', text: 'Slows down when asked what comes next.' }, at(19));

    const found = await debrief();
    const told = found.groups.find((each) => each.visit === visit)!;
    const [first, second] = [one!, two!].map(({ id }) => told.trainees.find((each) => each.id === id)!);
    expect(first!.roles[1]).toBe('frames');
    expect(first!.roles[2]).toBeNull();
    expect(first!.judged).toContainEqual(expect.objectContaining({ after: 'alone', note: 'calm' }));
    // Two eighths of honey went to sealed brood.
    expect(second!.off).toMatchObject({ eighths: 2, sides: 1 });
    expect(Math.abs(second!.off!.by)).toBe(2);
    expect(found.wrong.map(({ text }) => text).join(' ')).toContain(
      `Sting, ${second!.name}, hive 4, nobody asked after it.`,
    );
    expect(found.notes).toContainEqual({ lead: 'Tomasz Wierzba', text: 'Slows down when asked what comes next.' });
    expect(found.open).toContainEqual({ lead: 'Hive 4', text: 'The visit is not closed.' });
    expect(told.says).toContain('2 sides, 1 role swapped');

    // Whole sentences, names first, clock times in words at the yard's own time.
    const talk = (part: string) => found.talk.find((each) => each.part === part)!.lines.join(' ');
    expect(talk('did')).toContain(
      'Curlew opened hive 4 with Tomasz at ten past six and it is still open. 2 sides were read.',
    );
    expect(talk('found')).toMatch(/Hive 4 has .* of brood\. No eggs were noted\./);
    expect(talk('well')).toContain(`${first!.name} sums up in four headings, alone now.`);
    expect(talk('learn')).toContain(`Sting, ${second!.name}, hive 4`);
    expect(talk('next')).toBe('Nothing is put down yet for next time.');
    for (const { lines } of found.talk) {
      expect(lines.length).toBeLessThanOrEqual(12);
      for (const line of lines) expect(line).toMatch(/^[A-Z0-9].*[.?!]$/);
      expect(lines.join(' ')).not.toMatch(/UTC|\d:\d\d|;/);
    }
    expect(found.talk.at(-1)!.ask).toBe('What would each of you do first next time?');
  });

  it('cannot be signed while a visit is open, a side has two readings, or a part is unread', async () => {
    const open = await debrief();
    expect(open.toSign.filter(({ bars }) => bars !== null).map(({ part }) => part)).toEqual(['records']);
    expect(problemOf(await sign(open, {}, 409))).toBe('not-settled');

    // The lead reads the same side without having seen the first reading.
    await enter(side(1, 'low', { H: 6, N: 2 }), at(20), morag);
    await enter({ kind: 'visit-closed', reason: 'time', note: '' }, at(21));
    const double = await debrief();
    const readings = double.toSign.find(({ part }) => part === 'readings')!;
    expect(readings.text).toBe('Frame 1 toward the wall of hive 4 has two readings');
    expect(problemOf(await sign(double, {}, 409))).toBe('not-settled');
    const [conflict] = double.open.filter(({ text }) => text.startsWith('Two readings'));
    expect(conflict).toBeDefined();
  });

  it('is signed by the lead once all is settled and read, and tells when something came since', async () => {
    const file = (await morag!.get(pathOf(endpoints.visitFile, { visit })).expect(200)).body as {
      entries: { id: string; body: { kind: string; side?: { eighths: object } } }[];
    };
    const kept = file.entries.find(({ body }) => JSON.stringify(body.side?.eighths) === JSON.stringify({ H: 8 }))!;
    await enter(
      { kind: 'reading-settled', address: { box: 'brood box', frame: 1, face: 'low' }, keep: kept.id },
      at(22),
      morag,
    );
    const found = await debrief();
    expect(found.toSign.every(({ bars }) => bars === null)).toBe(true);
    expect(problemOf(await sign(found, { read: ['levels'] }, 422))).toBe('not-read');
    expect(problemOf(await sign(found, { revision: 'older' }, 409))).toBe('changed-since');
    await sign(found, {}, 403, tomasz);
    const body = (await sign(found)).body as Debrief;
    expect(body.signed).toMatchObject({ by: 'Morag Selkirk', outdated: false });
    await enter({ kind: 'note-written', text: 'One more.' }, at(23));
    expect((await debrief()).signed).toMatchObject({ outdated: true });
  });

  it('is sent back to its supervisor, who is told once', async () => {
    const found = await debrief();
    const group = found.groups.find((each) => each.visit === visit)!;
    const body = { id: uuid(), supervisor: group.supervisor.id, note: 'Frame 4: which reading counts?' };
    const back = (status: number, more: object = {}) =>
      morag!
        .post(pathOf(endpoints.sendDebriefBack, { session: found.session }))
        .send({ ...body, ...more })
        .expect(status);
    await back(422, { note: '' });
    await back(404, { id: uuid(), supervisor: uuid() });
    await back(200);
    const told = (await back(200)).body as Debrief;
    expect(told.sentBack.filter(({ note }) => note === body.note)).toHaveLength(1);
    const messages = (await tomasz!.get(endpoints.messages.path).expect(200)).body as {
      messages: { subject: string; lines: string[] }[];
    };
    const own = messages.messages.filter(({ subject }) => subject.startsWith('Debrief of'));
    expect(own).toHaveLength(1);
    expect(own[0]!.lines[0]).toContain('Frame 4: which reading counts?');
    const others = (await ruth!.get(endpoints.messages.path).expect(200)).body as typeof messages;
    expect(others.messages.filter(({ subject }) => subject.startsWith('Debrief of'))).toEqual([]);
  });
});
