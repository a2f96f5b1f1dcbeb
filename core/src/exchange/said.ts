import { saying } from '../language';

/** What is wrong with a file, and what to do, with the facts of each sentence. Columns and values are told as the file writes them. */
export interface ExchangeSentences {
  'no-epw': null;
  'epw-hours': { needed: number; there: number };
  'epw-no-place': { line: string };
  'epw-day-without-temperature': { line: number };
  'epw-no-number': { line: number; cell: string };
  'no-hours': null;
  'too-many-lines': { lines: number; most: number };
  'no-column': { needed: string; found: readonly string[] };
  'no-time': { time: string };
  'figure-out-of-range': { figure: string; cell: string; least: number; most: number; unit: string };
  'no-temperature': null;
  'head-lacks': { columns: readonly string[] };
  'no-skills': null;
  'no-id': { cell: string };
  'no-name': { id: string };
  'none-of': { text: string; column: string; of: readonly string[] };
  'no-whole-number': { text: string; column: string; least: number; most: number };
  'no-eighths': { text: string };
  'yes-or-no': { text: string; column: string };
  'coverage-lacks': { what: string };
  'coverage-uneven': { name: string; length: number; hours: number; members: number };
  'coverage-unit': { name: string; unit: string; known: readonly string[] };
  'coverage-times-differ': null;
  'no-sensor-list': null;
  'coverage-skips': { time: string };
  'no-archive': null;
  'archive-newer': { version: number; reads: number };
  'archive-head': null;
  'archive-line': { line: number };
  'archive-long-line': { line: number };
  'archive-rows': { table: string; promised: number; there: number };
  'archive-cut-off': { lines: number };
}

export const say = saying<ExchangeSentences>('exchange');
