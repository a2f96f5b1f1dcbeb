import fc from 'fast-check';
import { type Drawn, PlanDraft, freeName, itemMoved, itemTaken, itemTurned, spotOf } from './plan-draft';

const DRAWN: Drawn = {
  plan: {
    stands: [
      { id: 'a', name: 'A', east: 4, north: 6, faces: 180, height: 35 },
      { id: 'b', name: 'B', east: 12, north: 6, faces: 160, height: null },
    ],
    landmarks: [
      {
        id: 'p',
        kind: 'path',
        name: 'path',
        along: [
          { east: 0, north: 0 },
          { east: 9, north: 0 },
          { east: 12, north: 4 },
        ],
        width: 1,
      },
      { id: 'g', kind: 'gate', name: 'gate', at: { east: 0, north: -2 } },
    ],
    wind: null,
  },
  hives: [
    { id: '1', number: '1', stand: 'A', place: { east: 4, north: 6, faces: 180 } },
    { id: '2', number: '2', stand: 'A', place: { east: 4.9, north: 6, faces: 180 } },
    { id: '3', number: '3', stand: 'B', place: null },
  ],
};

describe('what is moved on a plan', () => {
  it.each<
    [
      what: string,
      item: Parameters<typeof itemMoved>[1],
      to: { east: number; north: number },
      sees: (of: Drawn) => unknown,
      is: unknown,
    ]
  >([
    [
      'a stand takes its hives along',
      { kind: 'stand', id: 'a' },
      { east: 6.04, north: 5 },
      ({ hives }) => hives.map(({ place }) => place?.east ?? null),
      [6, 6.9, null],
    ],
    [
      'a hive goes alone',
      { kind: 'hive', id: '2' },
      { east: 5.2, north: 6 },
      ({ hives }) => hives.map(({ place }) => place?.east ?? null),
      [4, 5.2, null],
    ],
    ['a hive that is not set out stays so', { kind: 'hive', id: '3' }, { east: 1, north: 1 }, (drawn) => drawn, DRAWN],
    [
      'a path as a whole',
      { kind: 'landmark', id: 'p' },
      { east: 1, north: -1 },
      (drawn) => spotOf(drawn, { kind: 'landmark', id: 'p', point: 2 }),
      { east: 13, north: 3 },
    ],
    [
      'one point of a path',
      { kind: 'landmark', id: 'p', point: 1 },
      { east: 8, north: -3 },
      ({ plan }) => 'along' in plan.landmarks[0]! && plan.landmarks[0].along,
      [
        { east: 0, north: 0 },
        { east: 8, north: -3 },
        { east: 12, north: 4 },
      ],
    ],
    [
      'a gate',
      { kind: 'landmark', id: 'g' },
      { east: 2, north: -2 },
      (drawn) => spotOf(drawn, { kind: 'landmark', id: 'g' }),
      { east: 2, north: -2 },
    ],
    ['what is not there moves nothing', { kind: 'stand', id: 'z' }, { east: 2, north: -2 }, (drawn) => drawn, DRAWN],
  ])('%s', (_what, item, to, sees, is) => {
    expect(sees(itemMoved(DRAWN, item, to))).toEqual(is);
  });

  it('is turned where it has a side, and comes round after a whole turn', () => {
    const turned = itemTurned(DRAWN, { kind: 'stand', id: 'a' }, 15);
    expect(turned.plan.stands[0]!.faces).toBe(195);
    expect(turned.hives[1]!.place!.faces).toBe(195);
    expect(itemTurned(DRAWN, { kind: 'hive', id: '1' }, 360)).toEqual(DRAWN);
    expect(itemTurned(DRAWN, { kind: 'landmark', id: 'g' }, 15)).toBe(DRAWN);
  });

  it('is taken off: a hive stays in the school, a line loses points until two are left', () => {
    expect(itemTaken(DRAWN, { kind: 'hive', id: '1' }).hives[0]).toMatchObject({ number: '1', place: null });
    const bent = itemTaken(DRAWN, { kind: 'landmark', id: 'p', point: 1 });
    expect(bent.plan.landmarks[0]).toMatchObject({
      along: [
        { east: 0, north: 0 },
        { east: 12, north: 4 },
      ],
    });
    expect(itemTaken(bent, { kind: 'landmark', id: 'p', point: 1 }).plan.landmarks.map(({ id }) => id)).toEqual(['g']);
    expect(itemTaken(DRAWN, { kind: 'stand', id: 'b' }).plan.stands.map(({ id }) => id)).toEqual(['a']);
  });

  it('names new stands by the next free letter', () => {
    expect(freeName(DRAWN)).toBe('C');
    const letters = Array.from({ length: 26 }, (_, at) => ({
      ...DRAWN.plan.stands[0]!,
      name: String.fromCodePoint(97 + at),
    }));
    expect(freeName({ ...DRAWN, plan: { ...DRAWN.plan, stands: letters } })).toBe('A1');
  });
});

describe('steps of a draft', () => {
  it('go back and forth one by one: after as many undone as were done all is as it was saved', () => {
    const move = fc.record({ east: fc.integer({ min: -9, max: 9 }), north: fc.integer({ min: -9, max: 9 }) });
    fc.assert(
      fc.property(fc.array(move, { maxLength: 8 }), (moves) => {
        const draft = new PlanDraft();
        draft.begin(DRAWN, 3);
        for (const to of moves) draft.change(itemMoved(draft.now()!, { kind: 'stand', id: 'a' }, to));
        const last = draft.now();
        for (const _ of moves) draft.undo();
        expect(draft.now()).toBe(DRAWN);
        expect(draft.dirty()).toBe(false);
        expect(draft.canUndo()).toBe(false);
        for (const _ of moves) draft.redo();
        expect(draft.now()).toBe(last);
        expect(draft.canRedo()).toBe(false);
      }),
    );
  });

  it('forget what was undone once something else is done', () => {
    const draft = new PlanDraft();
    draft.begin(DRAWN, 1);
    draft.change(itemTurned(DRAWN, { kind: 'stand', id: 'a' }, 15));
    draft.undo();
    draft.change(itemTurned(DRAWN, { kind: 'stand', id: 'a' }, 30));
    draft.redo();
    expect(draft.now()!.plan.stands[0]!.faces).toBe(210);
  });
});
