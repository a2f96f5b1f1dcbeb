import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Language, inOne, listed, sameText, saying, wayOf } from '../src/language';
import { english } from '../src/words';

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

  const say = saying<{ bare: null; days: { days: number } }>('test');
  const way = wayOf({
    names: {},
    sentences: { test: { bare: 'bare', days: ({ days }: { days: number }) => `${days} days` } },
    list: (parts) => parts.join(' & '),
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
