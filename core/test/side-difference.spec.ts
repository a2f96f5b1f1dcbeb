import { describe, expect, it } from 'vitest';
import { parseSide, sideDifference } from '../src/inspection';
import { inEnglish } from '../src/words';

describe('what changed on one side', () => {
  it.each([
    ['8C B3', '2E 6C B5', 'Eggs +2, empty comb −2 and bees +2 eighths.'],
    ['4S 4H', '4S 4H', 'As last time.'],
    ['8F', '3F 5C', 'Empty comb +5 and undrawn foundation −5 eighths.'],
    ['4S 2N 2C B6', '6S 2C B6', 'Sealed worker +2 and nectar −2 eighths.'],
  ])('%s, then %s: %s', (last, now, says) => {
    expect(inEnglish(sideDifference(parseSide(last), parseSide(now)) ?? '').toLowerCase()).toBe(says.toLowerCase());
  });

  it('is not told where one was not read', () => {
    expect(sideDifference(null, parseSide('8C'))).toBeNull();
    expect(sideDifference(parseSide('8C'), null)).toBeNull();
  });
});
