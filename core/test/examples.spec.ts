import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { inspect } from 'node:util';
import { runInNewContext } from 'node:vm';
import { describe, expect, it } from 'vitest';

const SRC = join(import.meta.dirname, '../src');

/** What stands behind `@example`: an expression, and behind two slashes what it comes to. */
interface Example {
  readonly file: string;
  readonly expression: string;
  readonly comesTo: string | null;
}

const examples = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .flatMap((file) =>
    [...readFileSync(join(SRC, file), 'utf8').matchAll(/@example (.+)/g)].map(([, text]): Example => {
      const at = text!.indexOf(' // ');
      return at < 0
        ? { file, expression: text!, comesTo: null }
        : { file, expression: text!.slice(0, at), comesTo: text!.slice(at + 4).trim() };
    }),
  );

/** What each room offers, by name. */
const offered = new Map<string, Record<string, unknown>>();
for (const room of readdirSync(SRC))
  offered.set(room, (await import(`../src/${room}/index.ts`)) as Record<string, unknown>);
const known = (file: string) =>
  Object.assign({ Date }, ...offered.values(), offered.get(file.split('/')[0]!)) as object;

const shown = (value: unknown): string =>
  inspect(value, { depth: 9, breakLength: Infinity, maxArrayLength: null, compact: true }).replace(
    /^\[Object: null prototype\] /,
    '',
  );

/** Whether a value is what is written: numbers to the decimals given, and up to an ellipsis where there is one. */
function agrees(value: unknown, written: string): boolean {
  const [begin, ...rest] = written.split('…');
  if (rest.length > 0) return shown(value).startsWith(begin!.trimEnd());
  if (typeof value === 'number') {
    const decimals = written.split('.')[1]?.length ?? 0;
    return value.toFixed(decimals) === Number(written).toFixed(decimals);
  }
  if (Array.isArray(value) && value.every((each) => typeof each === 'number')) {
    const numbers = written.slice(1, -1).split(',').filter(Boolean);
    return numbers.length === value.length && value.every((each, at) => agrees(each, numbers[at]!.trim()));
  }
  return shown(value) === shown(runInNewContext(`(${written})`));
}

describe('the examples of the core', () => {
  it('are many', () => {
    expect(examples.length).toBeGreaterThan(100);
  });

  it.each(examples)('$file: $expression', ({ file, expression, comesTo }) => {
    const value: unknown = runInNewContext(`(${expression})`, known(file));
    if (comesTo !== null && !agrees(value, comesTo)) expect(shown(value)).toBe(comesTo);
  });
});
