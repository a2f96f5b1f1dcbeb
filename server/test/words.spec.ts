import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { WRONG, endpoints } from '@brave-comb/contract';
import { accented } from '@brave-comb/core/words';
import { wrongText } from '../src/problem';
import { inLanguage } from '../src/words';
import { english } from '../src/words/languages';

const SRC = join(import.meta.dirname, '../src');
const source = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .map((file) => readFileSync(join(SRC, file), 'utf8'))
  .join('\n');

describe('what the server says', () => {
  it('is each said somewhere', () => {
    const idle = Object.keys(english.sentences.server!).filter(
      (code) => !new RegExp(`say\\(\\s*'${code}'`).test(source),
    );
    expect(idle).toEqual([]);
  });

  it('names things of sets that there are', () => {
    const sets = [...source.matchAll(/(?:named|\.name)\('(\w+)', /g)].map(([, set]) => set!);
    expect(sets.length).toBeGreaterThan(20);
    expect([...new Set(sets)].filter((set) => !(set in english.names))).toEqual([]);
  });

  it('refuses in sentences that another language can have: none is written where it is thrown', () => {
    const written = [...source.matchAll(/new Refusal\(\s*\d+,\s*'[a-z-]+',\s*['`]/g)].map(([refusal]) => refusal);
    expect(written).toEqual([]);
  });

  it('has words for every rule of the contract', () => {
    expect(Object.keys(english.names.wrong!).toSorted()).toEqual([...WRONG].toSorted());
  });

  it('tells in the reader’s language which rule of the contract was broken', () => {
    const found = endpoints.decide.body.safeParse({
      id: '00000000-0000-4000-8000-000000000001',
      advice: 'feed',
      verdict: 'declined',
      reason: ' ',
    });
    const says = wrongText(found.error!.issues[0]!.message);
    expect(inLanguage(says, 'en')).toBe('Say why, so that whoever opens the hive next understands it.');
    expect(inLanguage(says, 'en-XA')).toBe(accented('Say why, so that whoever opens the hive next understands it.'));
    expect(wrongText('Invalid input')).toBe('Invalid input');
  });
});
