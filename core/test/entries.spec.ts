import { describe, expect, it } from 'vitest';
import {
  ENTRY_KINDS,
  type EntryBody,
  type References,
  entryText,
  kindOf,
  recordOf,
  referencesOf,
} from '../src/inspection';
import { englishNames } from '../src/words/en/names';
import { inEnglish } from '../src/words';
import { entry, read } from './visit-entries';

const address = { box: 'brood box', frame: 3, face: 'low' as const };

// What an entry names, as a reader of the yard book would say it.
const NAMED: readonly [string, EntryBody, References][] = [
  ['a side read', { kind: 'reading-settled', address, keep: 'e1' }, { frame: address, entry: 'e1' }],
  ['a frame lifted', { kind: 'frame-lifted', box: 'b', frame: 2 }, { frame: { box: 'b', frame: 2 } }],
  ['seams counted', { kind: 'seams-counted', box: 'b', seams: 5 }, { box: 'b' }],
  ['a part taken off', { kind: 'part-taken-off', part: 'roof' }, { part: 'roof' }],
  ['a job given', { kind: 'role-given', role: 'smoke', person: 'p' }, { trainee: 'p' }],
  ['gear of one person', { kind: 'checked', check: 'veil', ok: true, person: 'p' }, { person: 'p' }],
  ['gear of nobody by name', { kind: 'checked', check: 'smoker-fuel', ok: true, person: null }, { person: null }],
  [
    'a skill shown',
    { kind: 'skill-judged', trainee: 'p', skill: 's', level: 'alone' },
    { judged: { trainee: 'p', skill: 's' } },
  ],
  ['a task done', { kind: 'task-settled', task: 't', done: true }, { task: 't' }],
  ['a mood', { kind: 'mood-noted', mood: 2 }, {}],
];

describe('entries of a visit', () => {
  it.each(NAMED)('%s names what it is held against', (_name, body, names) => {
    expect(referencesOf(body)).toEqual(names);
  });

  it('are each called something in the language', () => {
    const called = englishNames.names.entryKind as Readonly<Record<string, string>>;
    expect(ENTRY_KINDS.filter((kind) => !called[kind])).toEqual([]);
  });

  it('keep what follows from the work out of undo', () => {
    expect(ENTRY_KINDS.filter((kind) => kindOf({ kind } as EntryBody).byItself)).toEqual([
      'box-opened',
      'frame-lifted',
      'frame-set-back',
    ]);
  });

  it('leave judging, settling and ending to supervisors', () => {
    expect(ENTRY_KINDS.filter((kind) => kindOf({ kind } as EntryBody).bySupervisors).toSorted()).toEqual([
      'doubt-looked-at-again',
      'guard-overridden',
      'reading-settled',
      'skill-judged',
      'stack-changed',
      'visit-closed',
    ]);
  });

  it('of a version to come change nothing, and are told by their name', () => {
    const later = { kind: 'drone-trap-set', trap: 4 } as unknown as EntryBody;
    expect(recordOf([entry(later)]).sides).toEqual({});
    expect(recordOf([entry(later), read(3, '8S')]).sides).not.toEqual({});
    expect(inEnglish(entryText(later))).toBe('drone trap set');
    expect(referencesOf(later)).toEqual({});
  });
});
