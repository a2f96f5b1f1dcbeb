import { describe, expect, it } from 'vitest';
import { spokenTime } from '../src/words';

// How English clocks are read aloud: common usage.
describe('a clock time said aloud', () => {
  it.each([
    ['13:00', 'one o’clock'],
    ['13:02', 'one o’clock'],
    ['13:14', 'quarter past one'],
    ['13:28', 'half past one'],
    ['13:33', 'twenty-five to two'],
    ['13:45', 'quarter to two'],
    ['13:58', 'two o’clock'],
    ['23:56', 'five to twelve'],
    ['23:58', 'twelve o’clock'],
    ['00:10', 'ten past twelve'],
    ['11:50', 'ten to twelve'],
  ])('%s: %s', (time, said) => {
    expect(spokenTime(time)).toBe(said);
  });
});
