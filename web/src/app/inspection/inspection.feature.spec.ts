import type { VisitFile } from '@brave-comb/contract';
import { type EntryBody, type VisitEntry, formatSide, parseSide } from '@brave-comb/core/inspection';
import { TestBed } from '@angular/core/testing';
import { provideEffects } from '@ngrx/effects';
import { Store, provideState, provideStore } from '@ngrx/store';
import { DeviceStore, type SideDraft } from '../device/device-store';
import { keepDraft } from './visit.effects';
import { InspectionEvents } from './inspection.events';
import { inspectionFeature } from './inspection.feature';

const { reducer } = inspectionFeature;
const address = { box: 'brood', frame: 1, face: 'low' as const };
const entry = (id: string, body: EntryBody): VisitEntry => ({ id, at: '2026-05-14T12:00:00Z', by: 'tomasz', body });
const read = (id: string, line: string) =>
  entry(id, { kind: 'frame-side-recorded', address, side: parseSide(line), seen: null });

const file = {
  visit: { id: 'visit', questions: ['laying'] },
  hiveType: 'national',
  stack: [{ id: 'brood', kind: 'box', box: 'national-brood', frames: 11, dummy: true }],
  box: { id: 'brood', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
  last: null,
  entries: [],
} as unknown as VisitFile;

const opened = [InspectionEvents.visitOpened({ visit: 'visit' }), InspectionEvents.visitFileLoaded({ file })].reduce(
  reducer,
  reducer(undefined, { type: 'start' }),
);
const shown = (state: typeof opened) =>
  formatSide(
    inspectionFeature.selectShown.projector(
      state.entry,
      inspectionFeature.selectReading.projector(state.address, recordOf(state)),
      state.reader,
    ).side,
  );
const recordOf = (state: typeof opened) =>
  inspectionFeature.selectRecord.projector(
    state.file,
    Object.values(state.waiting.entities).flatMap((each) => (each && !each.problem ? [each] : [])),
  );

describe('a visit on this device', () => {
  it('starts at the outermost frame', () => {
    expect(opened.address).toEqual(address);
  });

  it('counts an entry at once and once, also after the server kept it and sends it back', () => {
    const made = read('a', '8H');
    const waiting = reducer(opened, InspectionEvents.entryMade({ entry: made }));
    expect(Object.keys(recordOf(waiting).sides)).toHaveLength(1);
    expect(waiting.waiting.ids).toEqual(['a']);
    const kept = reducer(waiting, InspectionEvents.entriesKept({ entries: [made] }));
    expect(kept.waiting.ids).toEqual([]);
    expect(kept.file?.entries).toHaveLength(1);
    const again = reducer(
      waiting,
      InspectionEvents.visitFileLoaded({ file: { ...file, entries: [made] as VisitFile['entries'] } }),
    );
    expect(again.waiting.ids).toEqual([]);
    expect(Object.keys(recordOf(again).sides)).toHaveLength(1);
  });

  it('keeps what was acknowledged while an older file of the visit was on its way', () => {
    const made = read('a', '8H');
    const kept = [
      InspectionEvents.entryMade({ entry: made }),
      InspectionEvents.entriesKept({ entries: [made] }),
    ].reduce(reducer, opened);
    const late = reducer(kept, InspectionEvents.visitFileLoaded({ file }));
    expect(Object.keys(recordOf(late).sides)).toHaveLength(1);
  });

  it('hears what other devices entered, once, and strikes off what was its own', () => {
    const own = read('a', '8H');
    const waiting = reducer(opened, InspectionEvents.entryMade({ entry: own }));
    const other = { ...read('b', '8S'), by: 'ruth' };
    const heard = InspectionEvents.entriesHeard({ visit: 'visit', entries: [own, other], heard: 2 });
    const once = reducer(waiting, heard);
    expect(once.waiting.ids).toEqual([]);
    expect(once.file?.entries.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(reducer(once, heard).file?.entries).toHaveLength(2);
    expect(reducer(once, InspectionEvents.entriesHeard({ visit: 'another', entries: [], heard: 9 }))).toBe(once);
  });

  it('has the entries in one order on every device, whoever came back last', () => {
    const [phone, tablet] = [read('p', '8S'), { ...read('t', '8H'), by: 'leilani' }];
    const online = [
      InspectionEvents.entryMade({ entry: phone }),
      InspectionEvents.entriesKept({ entries: [phone] }),
      InspectionEvents.entriesHeard({ visit: 'visit', entries: [phone, tablet], heard: 2 }),
    ].reduce(reducer, opened);
    const offline = [
      InspectionEvents.entryMade({ entry: tablet }),
      InspectionEvents.entriesKept({ entries: [tablet] }),
      InspectionEvents.entriesHeard({ visit: 'visit', entries: [phone, tablet], heard: 2 }),
    ].reduce(reducer, opened);
    expect(offline.file?.entries.map(({ id }) => id)).toEqual(['p', 't']);
    expect(recordOf(offline)).toEqual(recordOf(online));
    expect(recordOf(offline).conflicts).toHaveLength(1);
  });

  it('keeps its own step while another device goes on', () => {
    const step = (id: string, at: 'frames' | 'sum-up') => ({
      ...read(id, '8H'),
      body: { kind: 'step-reached' as const, step: at },
    });
    const mine = reducer(opened, InspectionEvents.entryMade({ entry: step('a', 'frames') }));
    const heard = reducer(
      mine,
      InspectionEvents.entriesHeard({ visit: 'visit', entries: [step('a', 'frames'), step('b', 'sum-up')], heard: 2 }),
    );
    expect(inspectionFeature.selectStep.projector(heard.ownStep, recordOf(heard))).toBe('frames');
    const undone = reducer(
      heard,
      InspectionEvents.entryMade({ entry: { ...read('u', '8H'), body: { kind: 'entry-undone', entry: 'a' } } }),
    );
    expect(undone.ownStep).toBeNull();
  });

  it('brings a change of a side again that was taken back', () => {
    const change = (line: string) => InspectionEvents.sideChanged({ entry: { side: parseSide(line), pending: '' } });
    const back = [
      change('7H'),
      change('7H 1N'),
      InspectionEvents.sideChangeUndone(),
      InspectionEvents.sideChangeUndone(),
    ];
    const undone = back.reduce(reducer, opened);
    expect(shown(undone)).toBe('');
    const once = reducer(undone, InspectionEvents.sideChangeRedone());
    expect(shown(once)).toBe('7H');
    expect(shown(reducer(once, InspectionEvents.sideChangeRedone()))).toBe('1N 7H');
    expect(reducer(once, change('6H')).after).toEqual([]);
  });

  it('keeps a refused entry in sight but out of the record, until it is settled', () => {
    const made = read('a', '8H');
    const waiting = reducer(opened, InspectionEvents.entryMade({ entry: made }));
    const refused = reducer(
      waiting,
      InspectionEvents.entriesRefused({
        entries: [{ id: 'a', visit: 'visit', entry: made, problem: { problem: 'not-valid', message: 'no' } }],
      }),
    );
    expect(recordOf(refused).sides).toEqual({});
    expect(refused.waiting.ids).toEqual(['a']);
    expect(reducer(refused, InspectionEvents.refusedEntrySettled({ id: 'a' })).waiting.ids).toEqual([]);
  });

  it('takes changes of a side back one by one, down to the reading in force', () => {
    const before = reducer(opened, InspectionEvents.entriesKept({ entries: [] }));
    const withReading = reducer(
      before,
      InspectionEvents.visitFileLoaded({ file: { ...file, entries: [read('a', '8H')] as VisitFile['entries'] } }),
    );
    const change = (line: string) => InspectionEvents.sideChanged({ entry: { side: parseSide(line), pending: '' } });
    const changed = [change('7H'), change('7H 1N')].reduce(reducer, withReading);
    expect(shown(changed)).toBe('1N 7H');
    const once = reducer(changed, InspectionEvents.sideChangeUndone());
    expect(shown(once)).toBe('7H');
    expect(shown(reducer(once, InspectionEvents.sideChangeUndone()))).toBe('8H');
  });

  it('forgets a waiting number with the change before it', () => {
    const number = reducer(opened, InspectionEvents.sideChanged({ entry: { side: opened.entry.side, pending: '8' } }));
    const eight = reducer(number, InspectionEvents.sideChanged({ entry: { side: parseSide('8S'), pending: '' } }));
    expect(reducer(eight, InspectionEvents.sideChangeUndone()).entry).toMatchObject({ pending: '' });
  });

  it('keeps the side in hand on the device as it stands: changed, undone, done again', () => {
    const kept: string[] = [];
    const device = { keepDraft: ({ entry }: SideDraft) => kept.push(formatSide(entry.side)) };
    TestBed.configureTestingModule({
      providers: [
        provideStore(),
        provideState(inspectionFeature),
        provideEffects({ keepDraft }),
        { provide: DeviceStore, useValue: device },
      ],
    });
    const store = TestBed.inject(Store);
    const change = (line: string) => InspectionEvents.sideChanged({ entry: { side: parseSide(line), pending: '' } });
    store.dispatch(InspectionEvents.visitOpened({ visit: 'visit' }));
    store.dispatch(InspectionEvents.visitFileLoaded({ file }));
    store.dispatch(InspectionEvents.sideChosen({ address }));
    for (const event of [change('7H'), change('7H 1N'), InspectionEvents.sideChangeUndone()]) store.dispatch(event);
    store.dispatch(InspectionEvents.sideChangeRedone());
    expect(kept).toEqual(['7H', '1N 7H', '7H', '1N 7H']);
  });

  it('takes up a half-typed side from the device', () => {
    const draft = { visit: 'visit', address: { ...address, frame: 4 }, entry: { side: parseSide('3S'), pending: '+' } };
    const found = reducer(
      reducer(undefined, InspectionEvents.visitOpened({ visit: 'visit' })),
      InspectionEvents.visitFoundOnDevice({ file, waiting: [], draft, step: null }),
    );
    expect(found.address?.frame).toBe(4);
    expect(found.entry).toEqual(draft.entry);
  });

  it('follows when the hive was open already under another id', () => {
    const joined = reducer(opened, InspectionEvents.visitJoined({ from: 'visit', to: 'other' }));
    expect(joined.visit).toBe('other');
    expect(joined.file?.visit.id).toBe('other');
  });
});
