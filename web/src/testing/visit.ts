import { type Type, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { MatDialogRef } from '@angular/material/dialog';
import type { VisitFile } from '@brave-comb/contract';
import type { EntryBody, VisitEntry } from '@brave-comb/core/inspection';
import { Store, provideStore } from '@ngrx/store';

import { EntranceLook } from '../app/at-the-hive/entrance-look';
import { SideLine } from '../app/at-the-hive/side-line';
import { VisitEnd } from '../app/at-the-hive/visit-end';
import { VisitFlow } from '../app/at-the-hive/visit-flow';
import { DeviceStore } from '../app/device/device-store';
import { InspectionEvents } from '../app/inspection/inspection.events';
import { inspectionFeature } from '../app/inspection/inspection.feature';
import { PeopleEvents, peopleFeature } from '../app/people/people.feature';
import { show } from './show';

const id = (number: number) => `01a20000-0000-7000-8000-00000000000${number}`;
const VISIT = id(0);
export const TRAINEES = [
  { id: id(1), name: 'Salma', seated: false, note: null, barred: [], had: {} },
  { id: id(2), name: 'Piotr', seated: false, note: 'lifts up to 10 kg', barred: [], had: {} },
];

const STACK = [
  { id: 'floor', kind: 'floor' },
  { id: 'brood box', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
  { id: 'excluder', kind: 'excluder' },
  { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false },
  { id: 'roof', kind: 'roof' },
];

/** A visit of a hive with one super, nothing entered yet. */
export const FILE = {
  visit: {
    id: VISIT,
    hive: id(3),
    hiveNumber: '4',
    group: { id: id(6), name: 'Curlew' },
    site: 'Home orchard',
    stand: 'B',
    zone: 'Europe/London',
    startedAt: '2026-05-14T12:10:00.000Z',
    questions: ['laying'],
    supervisor: { id: id(4), name: 'Ruth Okafor' },
  },
  hiveType: 'national',
  stack: STACK,
  box: { id: 'brood box', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
  last: null,
  expected: null,
  entries: [],
  heard: 0,
  combs: [
    {
      box: 'brood box',
      combs: Array.from({ length: 11 }, (_, index) => ({
        id: `c${index + 1}`,
        kind: 'drawn',
        since: null,
        donor: null,
        label: `4-${index + 1}`,
      })),
    },
  ],
  reserve: [],
  neighbours: [{ id: id(5), number: '7', stack: STACK }],
  depth: { allowed: 'full', why: 'warm, dry and light enough at 13:10' },
  cautions: [],
  lock: null,
  suspicion: null,
  late: false,
  robbingSeason: false,
  lifting: [],
  temper: null,
  trainees: TRAINEES,
  skills: [
    {
      id: 'finds-eggs',
      name: 'finds eggs',
      phase: 'read',
      role: 'frames',
      shownBy: 'points at them',
      says: ['Saw it.', 'Was helped.', 'Needed a word.', 'Found them alone.', 'Can teach it.'],
      open: [id(1)],
    },
    {
      id: 'lifts-straight',
      name: 'lifts straight up, slow',
      phase: 'handle',
      role: 'frames',
      shownBy: 'no bee rolled',
      says: [],
      open: [],
    },
  ],
  weather: null,
  limits: { openMinutes: 25, because: [], broodMinutes: 5 },
  answers: [],
} as unknown as VisitFile;

/** What this device keeps, without a database. */
const DEVICE = {
  full: signal(0),
  unsentFiles: signal(0),
  unsentStarts: signal(0),
  jotting: () => null,
  keepJotting: () => undefined,
  entries: () => Promise.resolve([]),
  starts: () => Promise.resolve([]),
  attachments: () => Promise.resolve([]),
  keepAttachment: () => Promise.resolve(),
};

/** A panel of the open hive on a visit, with what it enters. */
export async function showAtHive<T>(
  panel: Type<T>,
  inputs: Readonly<Record<string, unknown>> = {},
  change: Partial<VisitFile> = {},
  providers: Parameters<typeof show>[2] = [],
): Promise<{ fixture: ComponentFixture<T>; store: Store; entered: () => readonly EntryBody[] }> {
  const fixture = await show(panel, inputs, [
    provideStore({
      [inspectionFeature.name]: inspectionFeature.reducer,
      [peopleFeature.name]: peopleFeature.reducer,
    }),
    { provide: DeviceStore, useValue: DEVICE },
    SideLine,
    EntranceLook,
    VisitEnd,
    VisitFlow,
    { provide: MatDialogRef, useValue: { close: () => undefined } },
    ...providers,
  ]);
  const store: Store = TestBed.inject<Store>(Store);
  store.dispatch(PeopleEvents.signedIn({ person: { id: id(4), name: 'Ruth Okafor', role: 'supervisor' } } as never));
  store.dispatch(InspectionEvents.visitOpened({ visit: VISIT }));
  store.dispatch(InspectionEvents.visitFileLoaded({ file: { ...FILE, ...change } }));
  await fixture.whenStable();
  const unsent = store.selectSignal(inspectionFeature.selectUnsent);
  return { fixture, store, entered: () => unsent().map(({ entry }: { entry: VisitEntry }) => entry.body) };
}
