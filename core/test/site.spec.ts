import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Around,
  BARE_PLAN,
  FLIGHT_LANE,
  type Landmark,
  type PlacedHive,
  type PlanHive,
  type PlanStand,
  type SitePlan,
  awayFrom,
  clearShift,
  freePlace,
  inFlightLane,
  metresBetween,
  moveBetween,
  moveWithin,
  movedStand,
  planTroubles,
  setOut,
  standingPlan as saidStandingPlan,
} from '../src/site';
import { inEnglish } from '../src/words';
import { rowsOf } from './case-tables';
import { answersInEnglish } from './in-english';

const standingPlan = answersInEnglish(saidStandingPlan);

/** The ground of a case, piece by piece. */
function groundOf(text: string) {
  const stands: PlanStand[] = [];
  const landmarks: Landmark[] = [];
  let hives: readonly PlanHive[] = [];
  let wind: number | null = null;
  let around: Around = { latitude: 55, group: 8 };
  const spot = (said: string) => {
    const [east, north] = said.split(',').map(Number);
    return { east: east!, north: north! };
  };
  for (const piece of text.split(';').map((each) => each.trim())) {
    const id = `${stands.length + landmarks.length}`;
    const stand = /^([A-Z]) (\S+) faces (\d+), (\d+|no) hives?(?:, (\d+) cm high)?$/.exec(piece);
    const line = /^(path|hedge|wall) (?:(\S+) m )?(\S+) to (\S+)$/.exec(piece);
    const tree = /^tree (\S+) of (\S+) m$/.exec(piece);
    const gate = /^gate (\S+)$/.exec(piece);
    const from = /^wind from (\d+)$/.exec(piece);
    const place = /^(\d+)° (north|south)$/.exec(piece);
    const people = /^(\d+) trainees$/.exec(piece);
    if (stand) {
      const [, name, at, faces, count, height] = stand;
      const made = { id, name: name!, ...spot(at!), faces: Number(faces), height: height ? Number(height) : null };
      stands.push(made);
      for (let number = 1; number <= (Number(count) || 0); number += 1)
        hives = [
          ...hives,
          {
            id: `${id}-${number}`,
            number: `${hives.length + 1}`,
            stand: name!,
            place: freePlace(
              made,
              hives.filter((each) => each.stand === name),
            ),
          },
        ];
    } else if (line) {
      const along = [spot(line[3]!), spot(line[4]!)];
      landmarks.push(
        line[1] === 'path'
          ? { id, kind: 'path', name: 'path', along, width: 1 }
          : { id, kind: 'barrier', name: line[1]!, along, height: Number(line[2]) },
      );
    } else if (tree) landmarks.push({ id, kind: 'tree', name: 'tree', at: spot(tree[1]!), radius: Number(tree[2]) });
    else if (gate) landmarks.push({ id, kind: 'gate', name: 'gate', at: spot(gate[1]!) });
    else if (from) wind = Number(from[1]);
    else if (place) around = { ...around, latitude: Number(place[1]) * (place[2] === 'south' ? -1 : 1) };
    else if (people) around = { ...around, group: Number(people[1]) };
    else throw new Error(`"${piece}" is no piece of a plan`);
  }
  return { plan: { stands, landmarks, wind } satisfies SitePlan, hives, around };
}

const text = readFileSync(join(import.meta.dirname, '../../docs/cases/site-plan.md'), 'utf8');
const told = ({ plan, hives, around }: ReturnType<typeof groundOf>) =>
  planTroubles(plan, hives, around).map(({ stand, says, serious }) => {
    const { metres, cm } = (says.of ?? {}) as { metres?: number; cm?: number };
    const name = plan.stands.find(({ id }) => id === stand)!.name;
    return [`${serious ? '!' : ''}${says.say.replace('site/', '')}`, name, metres ?? cm]
      .filter((each) => each !== undefined)
      .join(' ');
  });

describe('the plan of a site', () => {
  it.each(rowsOf(text))('%s: %s', (ground, says) => {
    expect(told(groundOf(ground))).toEqual(says === 'nothing' ? [] : says.split('; '));
  });

  it('is told in whole sentences, in feet where one measures so', () => {
    const { plan, hives, around } = groundOf('A 4,6 faces 180, 3 hives; path 0,3 to 20,3');
    expect(inEnglish(planTroubles(plan, hives, around))[0]!.says).toBe(
      'Bees fly across path at 2.5 m. Keep 4 m clear before the entrances, turn them, or plant or set up a screen as tall as a person between.',
    );
  });
});

describe('the shortest shift', () => {
  it('takes people off the path: 1.2 m away from it', () => {
    const { plan, hives, around } = groundOf('B 4,6 faces 180, 2 hives; path 0,7.5 to 20,7.5');
    expect(clearShift(plan, hives, plan.stands[0]!, around)).toEqual({
      metres: 1.4,
      towards: 'south',
      to: { east: 4, north: 4.6, faces: 180 },
    });
  });

  it('is none where nothing is wrong, or nothing near helps', () => {
    const fine = groundOf('A 4,6 faces 160, 3 hives');
    expect(clearShift(fine.plan, fine.hives, fine.plan.stands[0]!, fine.around)).toBeNull();
    const walled = groundOf('A 4,6 faces 180, 1 hive; path 4,-30 to 4,30');
    expect(clearShift(walled.plan, walled.hives, walled.plan.stands[0]!, walled.around)?.metres ?? 9).toBeGreaterThan(
      2,
    );
  });

  it('leaves nothing serious at the stand, nor more at others, wherever they are', () => {
    const at = fc.integer({ min: 0, max: 12 });
    fc.assert(
      fc.property(at, at, fc.integer({ min: 0, max: 359 }), at, (east, north, faces, path) => {
        const { plan, hives, around } = groundOf(
          `A ${east},${north} faces ${faces}, 2 hives; B 6,6 faces 160, 2 hives; path ${path},-20 to ${path},30; 4 trainees`,
        );
        const shift = clearShift(plan, hives, plan.stands[0]!, around);
        if (!shift) return;
        const moved = movedStand(plan.stands[0]!, shift.to, hives);
        const after = planTroubles({ ...plan, stands: [moved.stand, plan.stands[1]!] }, moved.hives, around);
        const serious = (of: typeof after, stand: string) =>
          of.filter((each) => each.serious && each.stand === stand).length;
        expect(serious(after, plan.stands[0]!.id)).toBe(0);
        expect(serious(after, plan.stands[1]!.id)).toBeLessThanOrEqual(
          serious(planTroubles(plan, hives, around), plan.stands[1]!.id),
        );
      }),
      { numRuns: 25 },
    );
  });
});

describe('a stand and its hives', () => {
  const any = fc.record({
    east: fc.integer({ min: -50, max: 50 }),
    north: fc.integer({ min: -50, max: 50 }),
    faces: fc.integer({ min: 0, max: 359 }),
  });

  it('move and turn as one: distances stay, entrances turn with the stand', () => {
    fc.assert(
      fc.property(any, any, fc.integer({ min: 1, max: 5 }), (was, to, count) => {
        const { plan, hives } = groundOf(`A ${was.east},${was.north} faces ${was.faces}, ${count} hives`);
        const moved = movedStand(plan.stands[0]!, to, hives);
        for (const [at, { place }] of moved.hives.entries()) {
          expect(place!.faces).toBe(to.faces);
          expect(metresBetween(moved.stand, place!)).toBeCloseTo(metresBetween(plan.stands[0]!, hives[at]!.place!), 2);
        }
        const back = movedStand(moved.stand, plan.stands[0]!, moved.hives);
        for (const [at, { place }] of back.hives.entries())
          expect(metresBetween(place!, hives[at]!.place!)).toBeLessThan(0.02);
      }),
    );
  });

  it('are set out where nothing is known: a stand for each name, toward the sun, no hive in another', () => {
    const hives = ['1', '2', '3', '4', '5'].map((number, at) => ({
      id: number,
      number,
      stand: at < 3 ? 'A' : 'B',
      place: null,
    }));
    let ids = 0;
    const out = setOut(BARE_PLAN, hives, 180, () => `${(ids += 1)}`);
    expect(out.plan.stands.map(({ name, east, north, faces }) => [name, east, north, faces])).toEqual([
      ['A', 0, 0, 180],
      ['B', 6.9, 0, 180],
    ]);
    expect(planTroubles(out.plan, out.hives, { latitude: 55, group: 4 })).toEqual([]);
    expect(setOut(out.plan, out.hives, 0, () => 'none')).toEqual(out);
  });

  it('that have places get a stand in their middle and keep them', () => {
    const place = (east: number) => ({ east, north: 6, faces: 160 });
    const hives = [4, 5.4, 6.8].map((east) => ({ id: `${east}`, number: `${east}`, stand: 'A', place: place(east) }));
    const out = setOut(BARE_PLAN, hives, 180, () => 'a');
    expect(out.plan.stands).toEqual([{ id: 'a', name: 'A', east: 5.4, north: 6, faces: 160, height: null }]);
    expect(out.hives).toEqual(hives);
  });
});

describe('a move', () => {
  const within: readonly (readonly [why: string, metres: number, turn: number, says: RegExp | null])[] = [
    ['a hand', 0.2, 0, null],
    ['a step', 0.9, 0, /Moved by 0.9 m: its foragers find it/],
    ['turned a little', 0, 30, null],
    ['turned about', 0, 180, /Turned by 180°: turn it by steps, 4 days/],
    ['five steps', 4.7, 0, /4.7 m is too far at once.*1 m a day when bees fly, 5 days/],
    ['across the orchard', 40, 0, /40 m is too far at once.*Take it away for three weeks/],
  ];
  it.each(within)('%s', (_why, metres, turn, says) => {
    const was = { east: 3, north: 4, faces: 180 };
    const found = moveWithin(was, { ...awayFrom(was, 70, metres), faces: 180 + turn });
    if (says) expect(inEnglish(found!)).toMatch(says);
    else expect(found).toBeNull();
  });

  it('between sites: within the flight of foragers, or beyond it', () => {
    const at = (latitude: number) => ({ latitude, longitude: -3.3 });
    expect(inEnglish(moveBetween(at(55.1), at(55.12)))).toMatch(/^2.2 km apart: within the flight.*for 21 days/);
    expect(inEnglish(moveBetween(at(55.1), at(55.2)))).toMatch(/^11.1 km apart: foragers learn.*standstill/);
  });
});

describe('where to stand', () => {
  const people = { frames: 2, smoke: 1, record: 1, clock: 1, watch: 2 };
  const hive = (number: string, x: number, y: number, faces: number): PlacedHive => ({ number, x, y, faces });

  it('is behind and beside the hive: nobody before an entrance that faces south', () => {
    const { marks, noPlace, says } = standingPlan(hive('4', 0, 0, 180), [], people);
    expect(marks).toHaveLength(7);
    expect(noPlace).toEqual([]);
    const handlers = marks.filter(({ role }) => role === 'frames');
    for (const { y } of handlers) expect(y).toBeGreaterThan(0);
    expect(says[0]).toBe('Entrance faces south: stand to the north, behind the hive. Nobody within 4 m before it.');
  });

  it('keeps every lane open and half a metre between people, wherever the neighbours are', () => {
    const place = fc.record({
      x: fc.double({ min: -5, max: 5, noNaN: true }),
      y: fc.double({ min: -5, max: 5, noNaN: true }),
      faces: fc.integer({ min: 0, max: 359 }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.array(place, { maxLength: 6 }), (faces, others) => {
        const opened = hive('1', 0, 0, faces);
        const neighbours = others.map(({ x, y, faces: to }, at) => hive(`${at + 2}`, x, y, to));
        const { marks, noPlace } = standingPlan(opened, neighbours, people);
        expect(marks.length + noPlace.length).toBe(7);
        for (const [at, mark] of marks.entries()) {
          for (const each of [opened, ...neighbours]) expect(inFlightLane(each, mark.x, mark.y)).toBe(false);
          for (const other of marks.slice(at + 1))
            expect(Math.hypot(mark.x - other.x, mark.y - other.y)).toBeGreaterThanOrEqual(0.6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('turns with the hive: the same plan, rotated', () => {
    const north = standingPlan(hive('1', 0, 0, 0), [], people).marks;
    const east = standingPlan(hive('1', 0, 0, 90), [], people).marks;
    for (const [at, { x, y }] of north.entries()) {
      expect(east[at]!.x).toBeCloseTo(y, 6);
      expect(east[at]!.y).toBeCloseTo(-x, 6);
    }
  });

  it('names a neighbour whose bees fly where one would stand', () => {
    const behind = hive('5', 0, 2.5, 180); // Stands behind and flies straight at the back of the hive.
    expect(standingPlan(hive('4', 0, 0, 180), [behind], people).inTheWay).toEqual(['5']);
    expect(standingPlan(hive('4', 0, 0, 180), [hive('9', 0, 30, 180)], people).inTheWay).toEqual([]);
  });

  it('has a lane of four metres that widens before the entrance and is shut behind it', () => {
    const south = hive('4', 10, 10, 180);
    expect(inFlightLane(south, 10, 10 - FLIGHT_LANE.metres + 0.1)).toBe(true);
    expect(inFlightLane(south, 10, 10 - FLIGHT_LANE.metres - 0.1)).toBe(false);
    expect(inFlightLane(south, 10, 10.2)).toBe(false);
    expect(inFlightLane(south, 11.2, 7)).toBe(true);
    expect(inFlightLane(south, 11.2, 9.5)).toBe(false);
  });
});
