import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type AdviceKind, holdsHere } from '../src/care';
import { factsOf, judgeSituation } from '../src/situation';
import { inEnglish } from '../src/words';
import { rowsOf, situationOf } from './case-tables';

describe('whether a rule holds here', () => {
  const rows = rowsOf(readFileSync(join(import.meta.dirname, '../../docs/cases/climates.md'), 'utf8'));

  it.each(rows.map((row) => [`${row[0]} in ${row[1]}`, row] as const))('%s', (_, row) => {
    const [kind, place, holding, words] = row as [AdviceKind, string, string, string];
    const here = inEnglish(holdsHere(kind, factsOf(situationOf(`at ${place}`)).band));
    expect(here.holding).toBe(holding);
    expect(here.says.toLowerCase()).toContain(words);
  });

  it('is not known where nobody knows the place, and stands with each advice', () => {
    expect(holdsHere('feed', null)).toMatchObject({ band: null, holding: 'not-known' });
    const [first] = inEnglish(judgeSituation(situationOf('at subtropical; nest poor; blooming nothing')).advice);
    expect(first).toMatchObject({ kind: 'feed', climate: { band: 'subtropical', holding: 'not-here' } });
  });
});
