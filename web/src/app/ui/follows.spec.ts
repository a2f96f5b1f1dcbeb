import { signal } from '@angular/core';
import { follows } from './follows';

describe('a value that follows', () => {
  it('keeps what was typed when its source is read again and is the same, and lets go when it is another', () => {
    const record = signal({ stop: { note: '' }, entries: 1 });
    const note = follows(() => record().stop.note);
    note.set('Frame 11 sticks.');
    record.set({ stop: { note: '' }, entries: 2 });
    expect(note()).toBe('Frame 11 sticks.');
    record.set({ stop: { note: 'Close now' }, entries: 3 });
    expect(note()).toBe('Close now');
  });

  it('compares lists and objects by what they hold', () => {
    const read = signal({ rules: [{ id: 'a', on: false }] });
    const rules = follows(() => read().rules);
    rules.set([{ id: 'a', on: true }]);
    read.set({ rules: [{ id: 'a', on: false }] });
    expect(rules()).toEqual([{ id: 'a', on: true }]);
    read.set({ rules: [] });
    expect(rules()).toEqual([]);
  });
});
