import { Unfit } from '@brave-comb/core/language';
import { Refusal } from '../src/problem';
import { inEnglish } from '../src/words';

/** What is said in English of something that is refused or cannot be used; fails where it is taken. */
export async function refusalBy(use: () => unknown): Promise<string> {
  try {
    await use();
  } catch (error) {
    if (error instanceof Refusal || error instanceof Unfit) return inEnglish(error.says);
    throw error;
  }
  throw new Error('it was taken');
}
