import { inEnglish } from '../src/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import { kitList, jobRota, whyThisHive as saidWhyThisHive } from '../src/planning';
import { inBloom, nectarOf } from '../src/season';
import { JOBS } from '../src/inspection';
import type { SkillJob } from '../src/skills';

const whyThisHive = answersInEnglish(saidWhyThisHive);

describe('the rota', () => {
  const trainee = (name: string, open: readonly SkillJob[] = [], seated = false, barred = false) => ({
    name,
    open,
    seated,
    barred,
  });
  const group = ['ravi', 'li', 'niamh', 'chloe', 'nadia', 'yusuf'];
  const national = { frames: 10, horizontal: false };

  it('goes on round at the second hive: who held no frame holds one first, nobody smokes twice while somebody has not', () => {
    const names = ['ife', 'jun', 'greta', 'salma', 'piotr', 'mateo', 'aroha', 'noor', 'theo'].map((name) =>
      trainee(name),
    );
    const first = jobRota(names, national);
    const second = jobRota(names, national, first);
    const held = first.flatMap(({ roles }) => roles.frames);
    const rest = names.map(({ name }) => name).filter((name) => !held.includes(name));
    expect(rest.length).toBe(3);
    expect(
      second
        .flatMap(({ roles }) => roles.frames)
        .slice(0, 3)
        .toSorted(),
    ).toEqual(rest.toSorted());
    const smoked = [...first, ...second].flatMap(({ roles }) => roles.smoke);
    expect(new Set(smoked).size).toBe(smoked.length);
  });

  it('gives the frames first to those who still have to show what is shown there', () => {
    const [first] = jobRota(
      group.map((name) =>
        trainee(name, name === 'nadia' ? ['frames', 'frames'] : name === 'li' ? ['frames', 'everybody'] : []),
      ),
      national,
    );
    expect(first?.roles.frames).toEqual(['nadia', 'li']);
    expect(first).toMatchObject({ fromFrame: 1, toFrame: 3 });
  });

  it('puts each role to those who need it, and passes it on', () => {
    const turns = jobRota(
      group.map((name) => trainee(name, name === 'yusuf' ? ['smoke', 'smoke'] : name === 'chloe' ? ['record'] : [])),
      national,
    );
    expect(turns[0]?.roles.smoke).toEqual(['yusuf']);
    expect(turns[0]?.roles.record).toEqual(['chloe']);
    expect(new Set(turns.map(({ roles }) => roles.smoke[0])).size).toBe(turns.length);
  });

  it('lets one who works sitting record and keep the time, and hold frames where the hive stands at table height', () => {
    const sitting = group.map((name) => trainee(name, ['frames'], name === 'ravi'));
    const held = (horizontal: boolean) =>
      jobRota(sitting, { frames: 10, horizontal }).flatMap(({ roles }) => roles.frames);
    expect(held(false)).not.toContain('ravi');
    expect(held(true)).toContain('ravi');
    expect(jobRota([trainee('ravi', [], true)], national)[0]?.roles.frames).toEqual(['ravi']);
  });

  it('goes by the visits before: who never smoked smokes first, who held most holds last', () => {
    const earlier = (name: string) => ({
      ...trainee(name, name === 'ravi' ? ['smoke', 'smoke'] : []),
      had: name === 'yusuf' ? {} : { smoke: 2, frames: name === 'li' ? 9 : 1 },
    });
    const turns = jobRota(group.map(earlier), national);
    expect(turns[0]?.roles.smoke.concat(turns[0].roles.frames)).toContain('yusuf');
    expect(turns.slice(0, 2).flatMap(({ roles }) => roles.frames)).not.toContain('li');
  });

  it('gives no frame to one who is barred, however much it is needed, and leaves the frames to the supervisor when all are', () => {
    const some = group.map((name) => trainee(name, ['frames'], false, name !== 'li'));
    const turns = jobRota(some, national);
    expect(new Set(turns.flatMap(({ roles }) => roles.frames))).toEqual(new Set(['li']));
    const none = jobRota(
      group.map((name) => trainee(name, [], false, true)),
      national,
    );
    expect(none.map(({ roles }) => roles.frames)).toEqual([[], [], []]);
    for (const { roles } of none) expect(Object.values(roles).flat().toSorted()).toEqual(group.toSorted());
  });

  it('covers all frames once, seats everybody once a turn, and lets up to six hold a frame each', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.constantFrom(...JOBS), { maxLength: 8 }), { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 3, max: 24 }),
        (open, frames) => {
          const names = open.map((roles, index) => trainee(`trainee ${index}`, roles));
          const turns = jobRota(names, { frames, horizontal: false });
          expect(turns[0]?.fromFrame).toBe(1);
          expect(turns.at(-1)?.toFrame).toBe(frames);
          turns.slice(1).forEach((turn, index) => expect(turn.fromFrame).toBe(turns[index]!.toFrame + 1));
          for (const turn of turns)
            expect(Object.values(turn.roles).flat().sort()).toEqual(names.map(({ name }) => name).sort());
          const held = new Set(turns.flatMap((turn) => turn.roles.frames));
          expect(held.size).toBe(Math.min(names.length, turns.length * turns[0]!.roles.frames.length));
        },
      ),
    );
    expect(() => jobRota([], national)).toThrow(/at least one trainee/);
  });
});

describe('the kit', () => {
  it('grows with groups and adds what the jobs ask for', () => {
    const kit = kitList({
      groups: 3,
      trainees: 19,
      supervisors: 3,
      liftedParts: 6,
      jobs: [
        { hive: '4', question: 'Second super?' },
        { hive: '6', question: 'Cells sealed?' },
        { hive: '7', question: 'Laying check: eggs?' },
        { hive: '9', question: 'Is the food in the super eaten?', about: 'leave-alone' },
        { hive: '11', question: 'On how many bees?', about: 'mites' },
      ],
    });
    const line = (what: RegExp) => kit.find((each) => what.test(inEnglish(each.what)));
    expect(line(/smokers/)).toMatchObject({ count: 4 });
    expect(line(/veils/)).toMatchObject({ count: 24 });
    expect(line(/^super/)).toMatchObject({ count: 1, hives: ['4'] });
    expect(line(/queen cage/)).toMatchObject({ count: 1, hives: ['6'] });
    expect(line(/magnifier/)).toMatchObject({ hives: ['7'] });
    // By the advice that it came from, whatever words it is told in.
    expect(line(/mite/)).toMatchObject({ hives: ['11'] });
  });
});

describe('why this hive', () => {
  const choice = {
    hive: '4',
    moods: [1, 1, 1],
    otherMoods: [[2, 3], [2]],
    openedInThirtyDays: 2,
    openingLimit: 4,
    due: [],
    openSkills: [{ name: 'finds eggs', trainees: 4 }],
    groupSize: 7,
    heaviestLiftKg: 12,
  };

  it('says the strongest reasons with their numbers', () => {
    expect(whyThisHive(choice)).toEqual([
      'Calmest of 3: mood 1.0 on 3 visits',
      '4 of 7 still open: finds eggs',
      'Opened 2 times in 30 days, limit 4',
    ]);
  });

  it('puts what is due today first', () => {
    expect(whyThisHive({ ...choice, due: [{ daysLeft: 5 }, { daysLeft: 0 }] })[0]).toBe(
      'Due, last day today, 2 questions in all',
    );
    expect(whyThisHive({ ...choice, due: [{ daysLeft: -2 }] })[0]).toBe('Due, 2 days late');
  });

  it('warns of a lively colony', () => {
    expect(whyThisHive({ ...choice, moods: [3, 3] }).some((reason) => inEnglish(reason).startsWith('Lively'))).toBe(
      true,
    );
  });
});

describe('bloom', () => {
  const plants = [
    { plant: 'Gorse', nectar: 0, pollen: 3, from: '2026-03-01', to: '2026-05-12', giveOrTake: 0 },
    { plant: 'Sycamore', nectar: 4, pollen: 2, from: '2026-05-06', to: '2026-05-25', giveOrTake: 3 },
  ];

  it('counts first and last day', () => {
    expect(inBloom(plants, '2026-05-12').map((each) => each.plant)).toEqual(['Gorse', 'Sycamore']);
    expect(inBloom(plants, '2026-05-13').map((each) => each.plant)).toEqual(['Sycamore']);
    expect(nectarOf(plants).map((each) => each.plant)).toEqual(['Sycamore']);
  });
});
