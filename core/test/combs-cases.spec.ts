import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import {
  type EntryBody,
  type EvidenceId,
  type HiveRead,
  type Question,
  type VisitEntry,
  parseSide,
  queenStatus,
  readHive,
  recordOf,
  seenEnough as seenEnoughInCodes,
} from '../src/inspection';
import { inEnglish } from '../src/words';
import { rowsOf } from './case-tables';
import { answersInEnglish } from './in-english';
import { STACK, entry, read } from './visit-entries';
import { drawnCombs, measuredBy } from '../src/care';

const tableOf = (name: string) =>
  rowsOf(readFileSync(join(import.meta.dirname, `../../docs/cases/${name}.md`), 'utf8')).map(
    ([situation, ...row]) => [situation!, row] as const,
  );
const piecesOf = (cell: string) =>
  cell
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean);

/** Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core combs -u`. */
const keep = (name: string, answers: readonly (readonly [string, readonly string[]])[]) =>
  expect(
    answers.map(([situation, lines]) => `## ${situation}\n\n${lines.join('\n')}\n`).join('\n'),
  ).toMatchFileSnapshot(`../../docs/cases/answers/${name}.txt`);

describe('is she laying', () => {
  const rows = tableOf('queen-seen');
  const told = (combs: string) => {
    const pieces = piecesOf(combs);
    const notes = ['dark', 'virgin', 'drone layer'];
    const sides = pieces
      .filter((each) => !notes.includes(each))
      .flatMap((piece) => {
        const [, times, line] = /^(?:(\d+) x )?(.+)$/.exec(piece)!;
        return Array.from({ length: Number(times ?? 1) }, () => parseSide(line!));
      });
    const [dark, virginSeen, droneLayerSeen] = notes.map((note) => pieces.includes(note)) as [
      boolean,
      boolean,
      boolean,
    ];
    return queenStatus({ date: '2026-05-14', sides, eggsLookedFor: !dark, virginSeen, droneLayerSeen });
  };

  it.each(rows)('%s', (_, [combs, means, laid]) => {
    const status = told(combs!);
    expect(`${status.verdict}; ${status.evidence}`).toBe(means);
    expect(status.laid ? `${status.laid.from.slice(5)} to ${status.laid.to.slice(5)}` : '').toBe(laid);
  });

  it('is said as kept', async () => {
    await keep(
      'queen-seen',
      rows.map(([situation, [combs]]) => [situation, [inEnglish(told(combs!).says)]]),
    );
  });
});

describe('seen enough', () => {
  const rows = tableOf('seen-enough');
  const seenEnough = answersInEnglish(seenEnoughInCodes);
  const side = (frame: number) => ({ box: 'brood', frame, face: 'low' as const });
  const noted = (finding: string, found: boolean) =>
    ({
      kind: 'finding-noted',
      finding,
      found,
      count: null,
      sure: 'sure',
      spot: null,
      note: '',
    }) as unknown as EntryBody;
  /** What each piece of a row adds to the visit. */
  const ENTRIES: Readonly<Record<string, (rest: string) => readonly (EntryBody | VisitEntry)[]>> = {
    both: (rest) => {
      const [, frame, line] = /^(\d+) (.+)$/.exec(rest)!;
      return [read(Number(frame), line!), read(Number(frame), line!, 'high')];
    },
    ticked: (rest) => [{ kind: 'evidence-ticked', evidence: rest as EvidenceId, seen: true }],
    confirmed: (rest) => {
      const [letter, , frame] = rest.split(' ');
      return [{ kind: 'confirmed-afterwards', address: side(Number(frame)), letter: letter as 'E', there: true }];
    },
    found: (rest) => [noted(rest, true)],
    looked: (rest) => [noted(rest, false)],
    dark: () => [{ kind: 'checked', check: 'light', ok: false, person: null }],
    washed: () => [
      { kind: 'measured', measure: { what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites: 2 } },
    ],
    sound: (rest) => [{ kind: 'doubt-looked-at-again', address: side(Number(rest)), sound: true, found: '' }],
    odd: (rest) => [{ kind: 'doubt-looked-at-again', address: side(Number(rest)), sound: false, found: '' }],
    late: () => [],
    open: () => [],
  };
  const told = ([asked, visit]: readonly string[]) => {
    const pieces = piecesOf(visit!);
    const entries = pieces.flatMap((piece) => {
      const [word, ...rest] = piece.split(' ');
      if (/^\d+$/.test(word!)) return [read(Number(word), rest.join(' '))];
      return ENTRIES[word!]!(rest.join(' ')).map((each) => ('kind' in each ? entry(each) : each));
    });
    const open = pieces.find((piece) => piece.startsWith('open '));
    return seenEnough(recordOf(entries), asked!.split(', ').filter(Boolean) as Question[], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: open ? Number(open.split(' ')[1]) : null,
      late: pieces.includes('late'),
    });
  };

  it.each(rows)('%s', (_, row) => {
    const { enough, evidence, framesToGo } = told(row);
    const missing = evidence.filter(({ state }) => state === 'missing').map(({ id }) => id);
    expect(missing.length > 0 ? `${missing.join(', ')}; ${framesToGo}` : 'nothing').toBe(row[2]);
    expect(enough).toBe(missing.length === 0);
  });

  it('is said as kept', async () => {
    await keep(
      'seen-enough',
      rows.map(([situation, row]) => {
        const { evidence, framesToGo, minutesToGo } = told(row);
        const lines = evidence.map(({ id, state, where }) => `${id} ${state}: ${where}`);
        return [situation, [...lines, `${framesToGo} frames, ${minutesToGo} minutes to go`]];
      }),
    );
  });
});

describe('what a look adds up to', () => {
  const rows = tableOf('sums');
  const second = { id: 'super 2', kind: 'box', box: 'national-super', frames: 10, dummy: false } as const;
  const upper = { id: 'upper', kind: 'box', box: 'national-brood', frames: 11, dummy: false } as const;
  const BOXES: Readonly<Record<string, string>> = { super: 'super 1', second: 'super 2', upper: 'upper' };
  const sidesOf = (words: string, box: string): readonly VisitEntry[] => {
    const [, which, line] = /^(all|both \d+|\d+) (.+)$/.exec(words)!;
    const frame = Number(which!.replace('both ', ''));
    const frames = which === 'all' ? Array.from({ length: 11 }, (_, at) => at + 1) : [frame];
    const faces = /^\d/.test(which!) ? (['low'] as const) : (['low', 'high'] as const);
    return frames.flatMap((each) => faces.map((face) => read(each, line!, face, box)));
  };
  const entriesOf = (piece: string): readonly VisitEntry[] => {
    if (piece === 'double' || piece === 'two supers') return [];
    const weighed = /^weighed (.+) (\S+) kg$/.exec(piece);
    if (weighed)
      return [
        entry({
          kind: 'measured',
          measure: { what: 'weight', part: weighed[1]!, kg: Number(weighed[2]) },
        } as EntryBody),
      ];
    const washed = /^washed (\d+) of (\d+)$/.exec(piece);
    if (washed) {
      const [mites, bees] = washed.slice(1).map(Number) as [number, number];
      return [entry({ kind: 'measured', measure: { what: 'mites-on-bees', method: 'alcohol-wash', bees, mites } })];
    }
    const [word, ...rest] = piece.split(' ');
    return BOXES[word!] ? sidesOf(rest.join(' '), BOXES[word!]!) : sidesOf(piece, 'brood');
  };
  const told = (visit: string): HiveRead => {
    const pieces = piecesOf(visit);
    const stack = STACK.flatMap((layer) =>
      layer.id === 'brood' && pieces.includes('double')
        ? [layer, upper]
        : layer.id === 'super 1' && pieces.includes('two supers')
          ? [layer, second]
          : [layer],
    );
    return readHive(recordOf(pieces.flatMap(entriesOf)), stack, 'brood');
  };
  const figure = (value: number | null, decimals = 2) => (value === null ? '-' : `${Number(value.toFixed(decimals))}`);
  const figuresOf = (hive: HiveRead): readonly string[] => [
    `brood ${figure(measuredBy(hive, 'brood') ?? 0)}`,
    `bees ${figure(measuredBy(hive, 'bees'))}`,
    `food ${figure(measuredBy(hive, 'stores') ?? 0, 1)}`,
    `honey ${figure(measuredBy(hive, 'honey'), 1)}`,
    `mites ${figure(measuredBy(hive, 'mites'))}`,
    `super fill ${figure(hive.superFill)}`,
    `supers fill ${figure(hive.supersFill)}`,
    `drawn combs ${figure(drawnCombs(hive))}`,
    `box ${hive.box.id}`,
  ];

  it.each(rows)('%s', (_, [visit, figures]) => {
    const all = figuresOf(told(visit!));
    for (const each of piecesOf(figures!)) expect(all).toContain(each);
  });

  it('says nothing of a trial where nothing was read', () => {
    const unread = told('');
    for (const measure of ['honey', 'bees', 'brood', 'stores', 'mites'] as const)
      expect(measuredBy(unread, measure)).toBeNull();
  });

  it('is as kept', async () => {
    await keep(
      'sums',
      rows.map(([situation, [visit]]) => {
        const hive = told(visit!);
        return [
          situation,
          [
            ...figuresOf(hive),
            `${hive.nestSides.length} sides of ${hive.nestFrames} frames`,
            JSON.stringify(hive.nest),
          ],
        ];
      }),
    );
  });
});
