import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Language, inOne, isSaid, listed, sameText, saying, wayOf } from '../src/language';
import { TOPICS } from '../src/practice';
import { DEFAULT_TRIGGERS, PLANTS } from '../src/season';
import { DEFAULT_CHECKLIST } from '../src/skills';
import { britishDates, english } from '../src/words';

const SRC = join(import.meta.dirname, '../src');
const { sentences }: Language = english;
const rooms = Object.keys(sentences);
const sourceOf = (room: string): string =>
  readdirSync(join(SRC, room), { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts'))
    .map((file) => readFileSync(join(SRC, room, file), 'utf8'))
    .join('\n');

describe('sentences', () => {
  it.each(rooms)('of %s are each said somewhere in their room', (room) => {
    const source = sourceOf(room);
    const idle = Object.keys(sentences[room]!).filter((code) => !source.includes(`say('${code}'`));
    expect(idle).toEqual([]);
  });

  it('name things of sets that there are', () => {
    const said = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts'))
      .flatMap((file) => [...readFileSync(join(SRC, file), 'utf8').matchAll(/(?:named|\.name)\('(\w+)', /g)]);
    expect(said.length).toBeGreaterThan(50);
    expect([...new Set(said.map(([, set]) => set!))].filter((set) => !(set in english.names))).toEqual([]);
  });

  it('name nothing that nobody asks for', () => {
    const asking = ['core/src', 'server/src', 'web/src/app'].flatMap((folder) => {
      const from = join(import.meta.dirname, '../..', folder);
      return readdirSync(from, { recursive: true, encoding: 'utf8' })
        .filter((file) => /\.(ts|html)$/.test(file) && !file.endsWith('.spec.ts'))
        .map((file) => readFileSync(join(from, file), 'utf8'));
    });
    const text = asking.join('\n');
    const idle = Object.keys(english.names).filter(
      (set) => ![`'${set}'`, `of="${set}"`, `Names.${set}[`].some((use) => text.includes(use)),
    );
    expect(idle).toEqual([]);
  });

  it.each([
    ['the usual checklist', DEFAULT_CHECKLIST],
    ['triggers', DEFAULT_TRIGGERS],
    ['drills', TOPICS],
  ])('of %s have words for every id, and none to spare', (_what, list) => {
    const asked: [string, string][] = [];
    JSON.stringify(list, (_key, value: unknown) => {
      if (isSaid(value) && value.say.startsWith('name/'))
        asked.push([value.say.slice(5), (value.of as { id: string }).id]);
      return value;
    });
    const { names }: Language = english;
    expect(asked.filter(([set, id]) => !names[set]?.[id])).toEqual([]);
    for (const set of new Set(asked.map(([each]) => each)))
      expect(
        asked
          .filter(([each]) => each === set)
          .map(([, id]) => id)
          .toSorted(),
      ).toEqual(expect.arrayContaining(set === 'skillGear' ? [] : Object.keys(names[set]!).toSorted()));
  });

  it('have a name for every plant of the list', () => {
    expect(PLANTS.map(({ id }) => id).toSorted()).toEqual(Object.keys(english.names.plant).toSorted());
  });

  const say = saying<{ bare: null; days: { days: number } }>('test');
  const way = wayOf({
    names: {},
    sentences: { test: { bare: 'bare', days: ({ days }: { days: number }) => `${days} days` } },
    list: (parts) => parts.join(' & '),
    dates: britishDates,
  });

  it('are plain data that come back from JSON as they were', () => {
    const said = say('days', { days: 3 });
    expect(JSON.parse(JSON.stringify(said))).toEqual(said);
    expect(sameText(say('days', { days: 3 }), said)).toBe(true);
    expect(sameText(say('days', { days: 4 }), said)).toBe(false);
  });

  it('stand beside what people wrote, and within one another', () => {
    expect(way.text(inOne([say('bare'), 'own words', say('days', { days: 2 })], '; '))).toBe('bare; own words; 2 days');
    expect(way.text(listed([say('bare'), 7]))).toBe('bare & 7');
  });

  it('that another version kept and this one does not know are told by their code, and stop no view', () => {
    expect(way.text(inOne([{ say: 'test/room-ahead', of: { days: 3 } }, say('bare')], '; '))).toBe('room ahead; bare');
  });
});
