import type { Term } from './term';

/** Words that nobody who opens a hive needs explained, and those of software: marking them would mark every line. */
const EVERYDAY = new Set([
  ...[
    'worker',
    'drone',
    'queen',
    'queen-mark',
    'temper',
    'brood',
    'egg',
    'larva',
    'stores',
    'hive',
    'colony',
    'brood-box',
  ],
  ...[
    'super',
    'floor',
    'roof',
    'feeder',
    'visit',
    'session',
    'smoke',
    'hive-tool',
    'role',
    'prompt',
    'debrief',
    'indoors',
    'anyway',
    'side',
    'turns',
    'odds',
  ],
]);
const EXPLAINED = (term: Term): boolean => term.about !== 'records' && !EVERYDAY.has(term.id);

/** A stretch of a sentence, with the word of the trade that it is. */
export interface Worded {
  readonly text: string;
  readonly term: Term | null;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** "bearding", "inner cover" and "crown board" of "inner cover, crown board". */
const namesOf = ({ term, also = [] }: Term): readonly string[] => [term, ...also].flatMap((name) => name.split(', '));

/** Which term each name means, and all names as one pattern, the longest first; a plural s is the same word. */
function patternOf(terms: readonly Term[]): { readonly names: ReadonlyMap<string, Term>; readonly pattern: RegExp } {
  const names = new Map<string, Term>();
  for (const term of terms.filter(EXPLAINED))
    for (const name of namesOf(term)) if (!names.has(name.toLowerCase())) names.set(name.toLowerCase(), term);
  const longest = [...names.keys()].sort((a, b) => b.length - a.length).map(escaped);
  return { names, pattern: new RegExp(`(?<![\\p{L}\\d-])(${longest.join('|')})(s?)(?![\\p{L}\\d-])`, 'giu') };
}
const patterns = new WeakMap<readonly Term[], ReturnType<typeof patternOf>>();

/**
 * Finds the words of the trade in a sentence, to be explained where they stand.
 *
 * @param text a sentence in the glossary's language
 * @param terms the glossary
 * @returns the whole sentence in stretches; each term is marked where it comes first, the longest name wins, everyday words are not marked
 */
export function termsIn(text: string, terms: readonly Term[]): readonly Worded[] {
  const known = patterns.get(terms) ?? patternOf(terms);
  patterns.set(terms, known);
  if (known.names.size === 0) return [{ text, term: null }];
  const told = new Set<string>();
  const found: Worded[] = [];
  let from = 0;
  for (const match of text.matchAll(known.pattern)) {
    const term = known.names.get(match[1]!.toLowerCase())!;
    if (told.has(term.id)) continue;
    told.add(term.id);
    if (match.index > from) found.push({ text: text.slice(from, match.index), term: null });
    found.push({ text: match[0], term });
    from = match.index + match[0].length;
  }
  if (from < text.length || found.length === 0) found.push({ text: text.slice(from), term: null });
  return found;
}
