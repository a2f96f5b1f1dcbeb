import { createHash, randomBytes } from 'node:crypto';

/**
 * A secret that nobody guesses, as it stands in a link or a cookie.
 *
 * @param bytes how long, before it is written in letters: 24 make 32 of them, 32 make 43
 */
export const newSecret = (bytes: 24 | 32 = 32): string => randomBytes(bytes).toString('base64url');

/** What is kept of a secret: it is known again by it, and not found out. Hexadecimal, 64 letters. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
