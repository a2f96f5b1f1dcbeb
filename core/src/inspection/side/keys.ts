import { letterOf } from './contents';
import { type FrameSide, addEighths, eighthsLeft, setEighths, toggleTrace } from './frame-side';

/** A side being entered: the reading so far and a prefix that waits for its letter or number. */
export interface SideEntry {
  readonly side: FrameSide;
  /** Digits typed before a letter, `+` or `*` before a letter, `B` before a number. */
  readonly pending: string;
}

/** What a key asks of the screen beyond changing the reading. */
export type KeyWish = 'next' | 'undo' | 'help' | 'as-last-time' | 'same-as-the-other-side';

/**
 * What one key press does to the side being entered.
 *
 * @param entry reading and pending prefix
 * @param key `KeyboardEvent.key`
 * @param shift whether shift was held; shift and a letter takes an eighth back
 * @returns the new entry and, for keys that ask for more than that, the wish; `null` when the key means nothing here
 * @example pressKey({ side: EMPTY_SIDE, pending: '3' }, 's', false)?.entry.side.eighths // { S: 3 }
 */
export function pressKey(
  entry: SideEntry,
  key: string,
  shift: boolean,
): { readonly entry: SideEntry; readonly wish?: KeyWish } | null {
  const { side, pending } = entry;
  const done = (next: FrameSide) => ({ entry: { side: next, pending: '' } });
  const wait = (next: string) => ({ entry: { side, pending: next } });
  const wish = (what: KeyWish) => ({ entry: { side, pending: '' }, wish: what });

  if (/^\d$/.test(key)) {
    if (pending === 'B') return Number(key) <= 8 ? done({ ...side, bees: Number(key) }) : wait('');
    return wait(/^\d+$/.test(pending) ? key : pending === '' ? key : '');
  }
  if (key === '+' || key === '*') return wait(key);
  if (key === 'Backspace') return pending ? wait('') : wish('undo');
  if (key === 'Enter') return wish('next');
  if (key === '?') return wish('help');
  if (key === '=') return wish('as-last-time');
  if (key === '/') return wish('same-as-the-other-side');
  if (key === '!') return done({ ...side, doubtful: !side.doubtful });

  const upper = key.length === 1 ? key.toUpperCase() : '';
  if (upper === 'Q') return done({ ...side, queen: !side.queen });
  if (upper === 'K') return done({ ...side, cells: Math.max(0, side.cells + (shift ? -1 : 1)) });
  if (upper === 'B') return wait('B');
  const letter = letterOf(upper);
  if (!letter) return null;
  if (pending === '+') return done(toggleTrace(side, letter));
  if (pending === '*') return done(addEighths(side, letter, Math.max(0, eighthsLeft(side))));
  if (/^\d+$/.test(pending)) return done(setEighths(side, letter, Number(pending)));
  return done(addEighths(side, letter, shift ? -1 : 1));
}
