import type { Stack } from '../src/equipment';
import { type EntryBody, type VisitEntry, parseSide } from '../src/inspection';

/** A hive with one super. */
export const STACK: Stack = [
  { id: 'floor', kind: 'floor' },
  { id: 'brood', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
  { id: 'excluder', kind: 'excluder' },
  { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false },
  { id: 'crown board', kind: 'crown-board' },
  { id: 'roof', kind: 'roof' },
];
export const START = Date.UTC(2026, 4, 14, 12);

let made = 0;
/** An entry so many minutes after the start; without minutes each comes a minute after the one before. */
export const entry = (body: EntryBody, minute = made): VisitEntry => {
  made += 1;
  return { id: `e${made}`, at: new Date(START + minute * 60_000).toISOString(), by: 'ruth', body };
};

/** A side of the brood box as somebody read it. */
export const read = (frame: number, line: string, face: 'low' | 'high' = 'low', box = 'brood') =>
  entry({ kind: 'frame-side-recorded', address: { box, frame, face }, side: parseSide(line), seen: null });
