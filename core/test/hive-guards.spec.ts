import { inEnglish } from '../src/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Comb,
  type Deed,
  type EntryBody,
  type GuardFacts,
  type GuardId,
  type VisitEntry,
  arranged,
  closeAdvice as closeAdviceInCodes,
  closingTasks as closingTasksInCodes,
  gradeComb as gradeCombInCodes,
  guardsOf as guardsOfInCodes,
  openMinutes as openMinutesInCodes,
  openingScript as openingScriptInCodes,
  outOfOrder,
  readClock,
  recordOf,
  jobsNow,
  spacingVerdict,
  guardsLeft as guardsLeftInCodes,
  temperAdvice,
  temperScore,
} from '../src/inspection';
import { stackAfter, stackProblem } from '../src/equipment';
import { START, STACK, entry, read } from './visit-entries';
import { answersInEnglish } from './in-english';

const closeAdvice = answersInEnglish(closeAdviceInCodes);
const closingTasks = answersInEnglish(closingTasksInCodes);
const gradeComb = answersInEnglish(gradeCombInCodes);
const guardsOf = answersInEnglish(guardsOfInCodes);
const openMinutes = answersInEnglish(openMinutesInCodes);
const openingScript = answersInEnglish(openingScriptInCodes);
const guardsLeft = answersInEnglish(guardsLeftInCodes);

const lifted = (frame: number, minute?: number) => entry({ kind: 'frame-lifted', box: 'brood', frame }, minute);
const comb = (id: string): Comb => ({ id, kind: 'drawn', since: null, donor: null, label: id });
const found = { brood: Array.from({ length: 11 }, (_, index) => comb(`c${index + 1}`)) };
const facts = (entries: readonly VisitEntry[], more: Partial<GuardFacts> = {}): GuardFacts => ({
  stack: STACK,
  record: recordOf(entries),
  found,
  lock: null,
  suspicion: null,
  ordered: null,
  late: false,
  depth: { allowed: 'full', why: 'warm and dry' },
  foodAbove: false,
  robbingSeason: false,
  others: {},
  barred: { ravi: ['fits the veil and has it checked'] },
  frames: { brood: 11, 'super 1': 10 },
  ...more,
});
const against = (deed: Deed, entries: readonly VisitEntry[], more: Partial<GuardFacts> = {}) =>
  guardsOf(deed, facts(entries, more)).map(({ id, bar }) => [id, bar] as const);
const ids = (deed: Deed, entries: readonly VisitEntry[], more: Partial<GuardFacts> = {}): readonly GuardId[] =>
  against(deed, entries, more).map(([id]) => id);
const smoked = entry({ kind: 'smoke-given', place: 'entrance' });
const lift = (frame: number): Deed => ({ do: 'lift-frame', box: 'brood', frame });
const moving = (frame: number, to: Extract<Deed, { do: 'move-comb' }>['move']['to']): Deed => ({
  do: 'move-comb',
  move: { comb: found.brood[frame - 1]!, to, reason: '' },
  box: 'brood',
  frame,
});
const both = (frame: number, line: string) => [read(frame, line), read(frame, line, 'high')];
const away = { in: 'hive', hive: 'h9', box: 'brood', place: 4 } as const;

describe('guards at the open hive', () => {
  it('warns when a centre frame is taken first, at either wall it does not', () => {
    expect(ids(lift(6), [smoked])).toContain('centre-frame-first');
    expect(ids(lift(1), [smoked])).not.toContain('centre-frame-first');
    expect(ids(lift(11), [smoked])).not.toContain('centre-frame-first');
    expect(ids(lift(6), [smoked, lifted(1)])).not.toContain('centre-frame-first');
  });

  it('hands frames of a lively colony to one who is not ready only with a reason, other roles freely', () => {
    const give = (role: 'frames' | 'record', person: string): Deed => ({ do: 'give-role', role, person });
    expect(against(give('frames', 'ravi'), [])).toEqual([['not-ready-for-frames', 'needs-a-reason']]);
    expect(guardsOf(give('frames', 'ravi'), facts([]))[0]!.says).toContain('fits the veil');
    expect(against(give('record', 'ravi'), [])).toEqual([]);
    expect(against(give('frames', 'salma'), [])).toEqual([]);
  });

  it('lets a frame go only where it hangs, and warns of the room that is left below it', () => {
    const to = (box: 'national-brood' | 'national-14x12' | 'national-super' | 'langstroth-10-deep') =>
      against(moving(1, away), both(1, '8H'), {
        others: { h9: [{ id: 'brood', kind: 'box', box, frames: 10, dummy: false }] },
      });
    expect(to('national-brood')).toEqual([]);
    expect(to('national-14x12')).toEqual([['frame-does-not-fit', 'warns']]);
    expect(to('national-super')).toEqual([['frame-does-not-fit', 'bars']]);
    expect(to('langstroth-10-deep')).toEqual([['frame-does-not-fit', 'bars']]);
    expect(ids(moving(1, { in: 'box', box: 'super 1', place: 2 }), [])).toEqual(['frame-does-not-fit']);
  });

  it('asks for smoke before each new box, but not where the smokeless plan is in force', () => {
    expect(ids({ do: 'lift-box', box: 'super 1' }, [])).toEqual(['smoke-first']);
    const opened = [
      entry({ kind: 'smoke-given', place: 'entrance' }, 1),
      entry({ kind: 'box-opened', box: 'super 1' }, 2),
    ];
    expect(ids({ do: 'lift-box', box: 'brood' }, opened)).toEqual(['smoke-first']);
    const again = [...opened, entry({ kind: 'smoke-given', place: 'between-boxes' }, 3)];
    expect(ids({ do: 'lift-box', box: 'brood' }, again)).toEqual([]);
    const noFuel = entry({ kind: 'checked', check: 'smoker-fuel', ok: false, person: null });
    expect(ids({ do: 'lift-box', box: 'super 1' }, [noFuel])).toEqual([]);
  });

  it('warns at every move of the frame that carries the queen, and asks for her at closing', () => {
    const seen = [smoked, lifted(4), read(4, '4S 1E 3H Q')];
    expect(ids(lift(4), [...seen, lifted(5)])).toContain('queen-on-this-frame');
    expect(ids(lift(5), seen)).not.toContain('queen-on-this-frame');
    expect(against(moving(4, { in: 'box', box: 'brood', place: 5 }), seen)).toContainEqual([
      'queen-on-this-frame',
      'warns',
    ]);
    expect(against(moving(4, away), seen)).toContainEqual(['queen-on-this-frame', 'needs-a-reason']);
    expect(ids({ do: 'close' }, seen)).toContain('queen-not-accounted-for');
    const safe = entry({ kind: 'queen-accounted-for', how: 'on-her-frame' });
    expect(ids({ do: 'close' }, [...seen, safe])).not.toContain('queen-not-accounted-for');
  });

  const into = (store: 'melting' | 'freezer' | 'burnt' | 'food-reserve' | 'drawn-reserve') =>
    ({ in: 'store', store }) as const;

  /** What is on frame 3, where it goes, what stands against it. Drone comb out, all brood out and splits are ordinary work. */
  it.each([
    ['worker brood into the freezer, on purpose', both(3, '2S 6C'), into('freezer'), 'needs-a-reason'],
    ['worker brood to be melted, on purpose', both(3, '2S 6C'), into('melting'), 'needs-a-reason'],
    ['sealed drone brood into the freezer', both(3, '8D'), into('freezer'), 'needs-a-reason'],
    ['brood into the store of drawn comb, where it dies and rots', both(3, '2S 6C'), into('drawn-reserve'), 'bars'],
    ['brood among the food combs', both(3, '2S 6H'), into('food-reserve'), 'bars'],
    ['the queen on it', both(3, '8C Q'), into('freezer'), 'bars'],
    ['empty comb to be melted', both(3, '8C'), into('melting'), null],
    ['one side unread', [read(3, '8C')], into('melting'), 'needs-a-reason'],
    ['nobody looked at it', [], into('melting'), 'needs-a-reason'],
  ] as const)('%s', (_name, entries, to, bar) => {
    const found = against(moving(3, to), entries).filter(([id]) => id === 'queen-or-brood-on-it');
    expect(found.map(([, how]) => how)[0] ?? null).toBe(bar);
  });

  it('says what it means when brood goes, in which order, and who carries it', () => {
    const says = (line: string) => guardsOf(moving(3, into('freezer')), facts(both(3, line)))[0]?.says ?? '';
    expect(says('4S 4C')).toMatch(/8 eighths of worker brood.*foundation in before bees are shaken.*carries it/);
    expect(says('8D')).toMatch(/drone brood.*mites/);
  });

  it('burns nothing before the inspector has seen it', () => {
    const sick = { suspicion: 'foulbrood' };
    expect(against(moving(3, into('burnt')), both(3, '8C'), sick)).toContainEqual(['disease-suspected', 'bars']);
    const ordered = { ...sick, ordered: 'burn all combs, the inspector on 12 May' };
    expect(against(moving(3, into('burnt')), both(3, '8C'), ordered)).toEqual([
      ['disease-suspected', 'needs-a-reason'],
    ]);
    expect(against(moving(3, into('melting')), both(3, '8C'), ordered)).toContainEqual(['disease-suspected', 'bars']);
  });

  it('warns when brood goes to another hive while nobody has seen the queen', () => {
    expect(against(moving(3, away), both(3, '2S 6C'))).toEqual([['queen-or-brood-on-it', 'warns']]);
    expect(against(moving(3, away), [...both(3, '2S 6C'), read(5, '8C Q')])).toEqual([]);
    expect(against(moving(3, away), both(3, '8H'))).toEqual([]);
  });

  it('keeps a doubtful frame in its hive and the hive from closing until it was looked at again', () => {
    const doubt = [read(3, '4S 4C !')];
    expect(against(moving(3, away), doubt)).toContainEqual(['doubtful-frame', 'bars']);
    expect(against({ do: 'close' }, doubt)).toContainEqual(['doubtful-sides-left', 'bars']);
    const again = (sound: boolean) =>
      entry({
        kind: 'doubt-looked-at-again',
        address: { box: 'brood', frame: 3, face: 'low' },
        sound,
        found: 'pearly',
      });
    expect(ids({ do: 'close' }, [...doubt, again(true)])).not.toContain('doubtful-sides-left');
    expect(ids(moving(3, away), [...doubt, again(true)])).not.toContain('doubtful-frame');
    expect(against({ do: 'close' }, [...doubt, again(false)])).toContainEqual(['doubtful-frame', 'warns']);
    expect(ids({ do: 'close' }, [...doubt, again(false)])).not.toContain('doubtful-sides-left');
    expect(against(moving(3, away), [...doubt, again(false)])).toContainEqual(['doubtful-frame', 'bars']);
    const settled = [...doubt, read(3, '4S 4C')];
    expect(ids(moving(3, away), settled)).not.toContain('doubtful-frame');
    expect(ids({ do: 'close' }, settled)).not.toContain('doubtful-sides-left');
  });

  it('bars every frame from leaving while disease is suspected, by test, by finding, or from before', () => {
    const clean = both(1, '8H');
    const rope = entry({
      kind: 'measured',
      measure: { what: 'ropiness', test: { lid: 'sunken', larva: 'brown', threadMm: 20, foulSmell: true } },
    });
    const finding = entry({
      kind: 'finding-noted',
      finding: 'ropy-brood',
      found: true,
      count: null,
      sure: 60,
      spot: null,
      note: '',
    });
    expect(ids(moving(1, away), clean)).toEqual([]);
    for (const entries of [
      [...clean, rope],
      [...clean, finding],
    ])
      expect(against(moving(1, away), entries)).toContainEqual(['disease-suspected', 'bars']);
    expect(against(moving(1, away), clean, { suspicion: 'foulbrood' })).toContainEqual(['disease-suspected', 'bars']);
    expect(against(moving(1, { in: 'box', box: 'brood', place: 2 }), clean, { suspicion: 'foulbrood' })).toEqual([]);
    const denied = entry({ ...(finding.body as Extract<EntryBody, { kind: 'finding-noted' }>), found: false });
    expect(ids(moving(1, away), [...clean, denied])).toEqual([]);
  });

  it('opens a colony that must be left alone only with a reason', () => {
    const locked = { lock: 'a young queen is mating' };
    const guards = guardsOf({ do: 'open' }, facts([], locked));
    expect(guards[0]).toMatchObject({ id: 'do-not-open', bar: 'needs-a-reason' });
    const given = [entry({ kind: 'guard-overridden', guard: 'do-not-open', reason: 'starving, emergency feed' })];
    const now = facts(given, locked);
    expect(guardsLeft(guardsOf({ do: 'open' }, now), now.record).map(({ id }) => id)).not.toContain('do-not-open');
  });

  it('lets nobody start with an open veil', () => {
    const veil = (ok: boolean) => entry({ kind: 'checked', check: 'veil', ok, person: 'salma' });
    expect(against({ do: 'open' }, [veil(false)])).toContainEqual(['nobody-checked', 'bars']);
    expect(ids({ do: 'open' }, [veil(false), veil(true)])).toEqual([]);
  });

  it('asks why a hive is opened deeper than the hour allows', () => {
    const cold = { depth: { allowed: 'lid', why: '9 °C' } } as const;
    const veil = entry({ kind: 'checked', check: 'veil', ok: true, person: 'ravi' });
    const deep = (depth: 'lid' | 'full') => entry({ kind: 'depth-chosen', depth });
    expect(against({ do: 'open' }, [veil, deep('full')], cold)).toEqual([['deeper-than-the-hour', 'needs-a-reason']]);
    expect(against({ do: 'open' }, [veil, deep('lid')], cold)).toEqual([]);
    expect(against({ do: 'open' }, [veil], cold)).toEqual([]);
  });

  it('wants frames, parts and a tipped box put right before closing', () => {
    const entries = [
      entry({ kind: 'part-taken-off', part: 'roof' }),
      entry({ kind: 'box-tipped', box: 'super 1' }),
      lifted(1),
    ];
    expect(ids({ do: 'close' }, entries)).toEqual(
      expect.arrayContaining(['frames-still-out', 'parts-still-off', 'box-was-tipped']),
    );
    const put = [
      ...entries,
      entry({ kind: 'frame-set-back', box: 'brood', frame: 1 }),
      entry({ kind: 'part-put-back', part: 'roof' }),
      entry({ kind: 'checked', check: 'respaced', ok: true, person: null }),
    ];
    expect(ids({ do: 'close' }, put)).toEqual([]);
  });

  it('asks why when frames stand in another order than they came', () => {
    const move = (reason: string) =>
      entry({ kind: 'comb-moved', comb: found.brood[10]!, to: { in: 'box', box: 'brood', place: 5 }, reason });
    expect(ids({ do: 'close' }, [move('')])).toContain('order-changed');
    expect(ids({ do: 'close' }, [move('a food comb nearer to the nest')])).not.toContain('order-changed');
  });
});

describe('frames in hand', () => {
  it('sets the frame before back, but leaves the first of a box aside: it makes the gap', () => {
    const record = recordOf([lifted(1, 0), lifted(2, 2), lifted(3, 5)]);
    expect(record.inHand).toMatchObject({ frame: 3 });
    expect(record.aside.map(({ frame }) => frame)).toEqual([1]);
    expect(record.exposures).toEqual([{ box: 'brood', frame: 2, seconds: 180 }]);
  });

  it('counts the seconds that each frame was out', () => {
    const back = entry({ kind: 'frame-set-back', box: 'brood', frame: 2 }, 7);
    expect(recordOf([lifted(1, 0), lifted(2, 2), back]).exposures).toEqual([{ box: 'brood', frame: 2, seconds: 300 }]);
  });
});

describe('taking back and bringing again', () => {
  it('redoes what was undone, as often as it was, until something new is entered', () => {
    const [a, b] = [read(1, '8H'), read(2, '8S')];
    const undo = (target: string) => entry({ kind: 'entry-undone', entry: target });
    const [undoB, undoA] = [undo(b.id), undo(a.id)];
    const back = [a, b, undoB, undoA];
    expect(recordOf(back)).toMatchObject({ sides: {}, redoable: undoA.id });
    const redoA = undo(undoA.id);
    const once = recordOf([...back, redoA]);
    expect(Object.keys(once.sides)).toEqual(['brood/1/low']);
    expect(once.redoable).toBe(undoB.id);
    const twice = recordOf([...back, redoA, undo(undoB.id)]);
    expect(Object.keys(twice.sides)).toEqual(['brood/1/low', 'brood/2/low']);
    expect(twice.redoable).toBeNull();
    expect(recordOf([...back, read(3, '8C')]).redoable).toBeNull();
  });

  it('undoing and redoing any number of entries ends where it began (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 8 }), (count, back) => {
        const entries: VisitEntry[] = Array.from({ length: count }, (_, index) => read(index + 1, '4S 4H'));
        const before = recordOf(entries).sides;
        const steps = Math.min(back, count);
        for (let i = 0; i < steps; i += 1)
          entries.push(entry({ kind: 'entry-undone', entry: recordOf(entries).undoable.at(-1)! }));
        expect(Object.keys(recordOf(entries).sides)).toHaveLength(count - steps);
        for (let i = 0; i < steps; i += 1)
          entries.push(entry({ kind: 'entry-undone', entry: recordOf(entries).redoable! }));
        expect(recordOf(entries).sides).toEqual(before);
        expect(recordOf(entries).redoable).toBeNull();
      }),
    );
  });
});

describe('combs that move', () => {
  it('lets neighbours close up and make room, and keeps every comb in one place (property)', () => {
    const place = fc.record({
      in: fc.constant('box' as const),
      box: fc.constant('brood'),
      place: fc.integer({ min: 1, max: 11 }),
    });
    const store = fc.record({
      in: fc.constant('store' as const),
      store: fc.constantFrom('stand' as const, 'melting' as const),
    });
    const move = fc.record({
      comb: fc.constantFrom(...found.brood),
      to: fc.oneof(place, store),
      reason: fc.constant(''),
    });
    fc.assert(
      fc.property(fc.array(move, { maxLength: 20 }), (moves) => {
        const now = arranged(found, moves);
        const all = [...Object.values(now.boxes).flat(), ...now.away.map((each) => each.comb)].map(({ id }) => id);
        expect(all.toSorted()).toEqual(found.brood.map(({ id }) => id).toSorted());
        const last = moves.at(-1);
        if (last?.to.in === 'store') expect(now.away.at(-1)?.comb.id).toBe(last.comb.id);
      }),
    );
  });

  it('calls combs out of order only when they changed places with others', () => {
    const out = arranged(found, [{ comb: found.brood[2]!, to: { in: 'store', store: 'melting' }, reason: '' }]);
    expect(outOfOrder(found, out)).toEqual([]);
    const swapped = arranged(found, [{ comb: found.brood[2]!, to: { in: 'box', box: 'brood', place: 4 }, reason: '' }]);
    expect(outOfOrder(found, swapped).map((each) => each.comb.id)).toEqual(['c4', 'c3']);
  });

  it('grades by age, and by what was seen where the age is not known', () => {
    const aged = (since: number | null) => ({ ...comb('x'), since });
    const sound = { old: false, broken: false };
    expect(gradeComb(aged(2025), 2026, sound).grade).toBe('keep');
    expect(gradeComb(aged(2024), 2026, sound).grade).toBe('edge');
    expect(gradeComb(aged(2022), 2026, sound).grade).toBe('replace');
    expect(gradeComb(aged(null), 2026, { old: true, broken: false }).grade).toBe('replace');
    expect(gradeComb(aged(2026), 2026, { old: false, broken: true }).grade).toBe('replace');
  });
});

describe('closing in reverse', () => {
  const off = (...parts: readonly string[]) => parts.map((part) => entry({ kind: 'part-taken-off', part }));
  const on = (...parts: readonly string[]) => parts.map((part) => entry({ kind: 'part-put-back', part }));
  const yes = (check: 'tight-frames' | 'wires-across' | 'even-supers' | 'stragglers' | 'scraps') =>
    entry({ kind: 'checked', check, ok: true, person: null });
  const tasks = (...entries: readonly VisitEntry[]) =>
    closingTasks(STACK, recordOf(entries), found).map(({ says }) => says);
  const opened = () => [...off('roof', 'crown board', 'super 1', 'excluder'), lifted(1)];

  it('goes from the inside out: frames, then each part with its check before the next one covers it, the roof last', () => {
    expect(tasks(...opened()).slice(0, 11)).toEqual([
      'frame 1 back into brood',
      'Dummy board back beside the frames',
      'Brood frames closed up',
      'excluder on',
      'Excluder wires run across the frames',
      'super 1 on',
      'Super frames spaced evenly',
      'crown board on',
      'No bees left on covers, frames or in the bucket',
      'Scraps in the lidded bucket, old strips and bags out',
      'roof on',
    ]);
  });

  it('asks for the dummy board of a box that was read, before its frames are closed up', () => {
    const out = { do: 'dummy', box: 'brood', in: false } as const;
    const without = stackAfter(STACK, [out]);
    const left = (stack: typeof STACK) => closingTasks(stack, recordOf([...opened()]), found).map(({ says }) => says);
    expect(left(STACK)).toContain('Dummy board back beside the frames');
    expect(left(without)).not.toContain('Dummy board back beside the frames');
    expect(left(stackAfter(without, [{ ...out, in: true }]))).toEqual(left(STACK));
    expect(inEnglish(stackProblem('national', STACK, { ...out, in: true }))).toMatch(/has its dummy board already/);
    expect(inEnglish(stackProblem('national', without, out))).toMatch(/no dummy board/);
  });

  it('asks each thing once: what was answered under the roof is not asked again because the roof went on', () => {
    const done = (check: 'stragglers' | 'scraps') => entry({ kind: 'checked', check, ok: true, person: null });
    const left = tasks(
      ...opened(),
      ...on('excluder', 'super 1', 'crown board'),
      done('stragglers'),
      done('scraps'),
      ...on('roof'),
    );
    expect(left.some((says) => says.startsWith('No bees left') || says.startsWith('Scraps'))).toBe(false);
  });

  it('never offers the roof before the crown board, also after a second opening', () => {
    // The roof went on with the crown board off; then a frame was looked at once more.
    const again = tasks(
      ...opened(),
      ...on('excluder', 'super 1', 'roof'),
      ...off('roof', 'super 1', 'excluder'),
      lifted(4),
    );
    const at = (part: string) => again.indexOf(`${part} on`);
    expect(at('excluder')).toBeGreaterThanOrEqual(0);
    expect([at('excluder'), at('super 1'), at('crown board'), at('roof')]).toEqual(
      [at('excluder'), at('super 1'), at('crown board'), at('roof')].toSorted((a, b) => a - b),
    );
    expect(tasks(...opened(), ...on('excluder', 'super 1', 'roof'))).toContain(
      'roof off once more, then crown board on',
    );
  });

  it('asks again what was answered before frames or parts were moved once more', () => {
    const shut = [
      ...opened(),
      entry({ kind: 'frame-set-back', box: 'brood', frame: 1 }),
      yes('tight-frames'),
      ...on('excluder'),
      yes('wires-across'),
      ...on('super 1'),
      yes('even-supers'),
      ...on('crown board'),
      yes('stragglers'),
      yes('scraps'),
      ...on('roof'),
    ];
    expect(tasks(...shut)).not.toContain('Brood frames closed up');
    const again = tasks(...shut, ...off('roof', 'crown board', 'super 1', 'excluder'), lifted(3));
    for (const asked of [
      'Brood frames closed up',
      'Excluder wires run across the frames',
      'No bees left on covers, frames or in the bucket',
    ])
      expect(again).toContain(asked);
  });

  it('asks for the comb on the frame rest, and does not let the visit end with it outside', () => {
    const rest = entry({
      kind: 'comb-moved',
      comb: found.brood[3]!,
      to: { in: 'store', store: 'stand' },
      reason: 'room',
    });
    const outside = [...opened(), read(4, '8C Q'), lifted(4), rest];
    expect(tasks(...outside)).toContain('frame 4 from the frame rest back into brood');
    expect(against({ do: 'close' }, outside)).toContainEqual(['frames-still-out', 'bars']);
    const back = entry({
      kind: 'comb-moved',
      comb: found.brood[3]!,
      to: { in: 'box', box: 'brood', place: 4 },
      reason: 'back from the frame rest',
    });
    expect(tasks(...outside, back)).not.toContain('frame 4 from the frame rest back into brood');
  });

  it('ends with nothing outside, whatever was taken off in whatever order (property)', () => {
    const parts = ['roof', 'crown board', 'super 1', 'excluder'] as const;
    const acts = fc.array(fc.record({ part: fc.constantFrom(...parts), away: fc.boolean() }), { maxLength: 12 });
    fc.assert(
      fc.property(acts, (list) => {
        const entries = list.flatMap(({ part, away: gone }) => (gone ? off(part) : on(part)));
        const before = recordOf(entries);
        const asked = closingTasks(STACK, before, found).flatMap((task) =>
          task.kind === 'part' ? [task.part.id] : [],
        );
        expect([...asked].sort()).toEqual([...before.partsOff].sort());
        const heights = asked.map((id) => STACK.findIndex((layer) => layer.id === id));
        expect(heights).toEqual([...heights].sort((a, b) => a - b));
      }),
    );
  });

  it('spaces brood frames tight and drawn supers even', () => {
    expect(spacingVerdict('brood', 10, 10, 0).ok).toBe(true);
    expect(spacingVerdict('brood', 9, 10, 0).ok).toBe(false);
    expect(spacingVerdict('super', 9, 10, 0).ok).toBe(true);
    expect(spacingVerdict('super', 9, 10, 3).ok).toBe(false);
    expect(spacingVerdict('super', 6, 10, 0).ok).toBe(false);
  });
});

describe('the clocks', () => {
  const minutes = (count: number) => count * 60_000;
  it('warns gently at four fifths, firmly at the end, and counts on', () => {
    expect(readClock(0, null, minutes(19), 25).state).toBe('well');
    expect(readClock(0, null, minutes(20), 25).state).toBe('start-closing');
    expect(readClock(0, null, minutes(25), 25).state).toBe('shut-now');
    expect(readClock(0, null, minutes(40), 25)).toMatchObject({ state: 'shut-now', minutes: 40, left: -15 });
    expect(readClock(0, minutes(10), minutes(40), 25)).toMatchObject({ state: 'closed', minutes: 10 });
  });

  it('allows less in the cold, in robbing season and late in the year', () => {
    const warm = { temperature: 20, robbingSeason: false, pressed: false, late: false };
    expect(openMinutes(25, warm)).toEqual({ minutes: 25, because: [] });
    expect(openMinutes(25, { ...warm, temperature: 12 }).minutes).toBe(10);
    expect(openMinutes(25, { ...warm, robbingSeason: true }).minutes).toBe(15);
    expect(openMinutes(25, { ...warm, pressed: true, robbingSeason: true })).toMatchObject({ minutes: 8 });
    expect(openMinutes(5, { ...warm, late: true })).toEqual({ minutes: 5, because: [] });
  });

  it('says close now for robbing, rain, cold, overstaying and angry bees, each by itself', () => {
    const calm = {
      temper: 'go-on',
      clock: 'well',
      broodOut: 1,
      broodAllowed: 5,
      temperature: 18,
      rainIn: null,
      robbing: false,
    } as const;
    expect(closeAdvice(calm)).toEqual({ level: 'go-on', reasons: [] });
    for (const change of [
      { robbing: true },
      { rainIn: 0 },
      { temperature: 5 },
      { clock: 'shut-now' },
      { temper: 'close' },
    ] as const)
      expect(closeAdvice({ ...calm, ...change }).level).toBe('close-now');
    for (const change of [{ rainIn: 8 }, { broodOut: 6 }, { clock: 'start-closing' }, { temper: 'pause' }] as const)
      expect(closeAdvice({ ...calm, ...change }).level).toBe('hurry');
  });

  it('lets a lid be off for a minute in the cold: no brood is out', () => {
    const lid = {
      temper: 'go-on',
      clock: 'well',
      broodOut: null,
      broodAllowed: 0,
      temperature: 4,
      rainIn: null,
      robbing: false,
    } as const;
    expect(closeAdvice(lid).level).toBe('go-on');
    expect(closeAdvice({ ...lid, broodOut: 0 }).level).toBe('close-now');
  });

  it('answers the first head-butts with smoke, a bee at the hand with a pause, more with closing', () => {
    const at = (sign: 'head-butt' | 'at-the-hand' | 'sting', minute: number) => ({
      sign,
      at: new Date(START + minutes(minute)).toISOString(),
    });
    const now = START + minutes(10);
    expect(temperAdvice([at('head-butt', 10)], null, now).advice).toBe('smoke');
    expect(temperAdvice([at('at-the-hand', 10)], null, now).advice).toBe('pause');
    expect(temperAdvice([at('at-the-hand', 10), at('sting', 10)], null, now).advice).toBe('close');
    expect(temperAdvice([at('at-the-hand', 0)], null, START + minutes(30)).advice).toBe('go-on');
    expect(temperAdvice([], 5, now).advice).toBe('close');
  });

  it('scores temper by the worst mood, one more for followers and repeated stings', () => {
    expect(temperScore([1, 2], [], 20)).toBe(2);
    expect(temperScore([2], [{ sign: 'following', at: '' }], 20)).toBe(3);
    expect(
      temperScore(
        [5],
        [
          { sign: 'sting', at: '' },
          { sign: 'sting', at: '' },
        ],
        10,
      ),
    ).toBe(5);
    expect(temperScore([], [], 20)).toBeNull();
  });
});

describe('how deep', () => {
  it('leaves out what a shallow visit does not do, and has a step for supers only where there are some', () => {
    const steps = (depth: 'outside' | 'lid' | 'full') =>
      openingScript('national', STACK, 'brood', depth).map(({ id }) => id);
    expect(steps('outside')).toEqual(['before', 'outside', 'sum-up', 'entrance']);
    expect(steps('lid')).toEqual(['before', 'outside', 'smoke', 'open', 'sum-up', 'close', 'entrance']);
    expect(steps('full')).toContain('supers');
    const lid = openingScript('national', STACK, 'brood', 'lid').find(({ id }) => id === 'close');
    expect(lid?.parts.map(({ id }) => id)).toEqual(['crown board', 'roof']);
  });
});

describe('jobs given by hand', () => {
  it('moves a person to the job and leaves everybody else where the rota has them', () => {
    const rota = { smoke: ['Ife'], frames: ['Salma', 'Jun'], record: ['Piotr'], clock: [], watch: [] };
    const given = recordOf([entry({ kind: 'role-given', role: 'clock', person: 'jun' })]).roles;
    const names: Record<string, string> = { jun: 'Jun' };
    expect(jobsNow(rota, given, (id) => names[id]!)).toEqual({ ...rota, frames: ['Salma'], clock: ['Jun'] });
  });
});
