/** Shortest password, characters: length is what makes one hard to guess. NIST SP 800-63B asks for 8 and advises more, from memory. */
export const LEAST_PASSWORD = 12;
export { deviceOf } from './device';
