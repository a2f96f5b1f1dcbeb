import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { provideStore } from '@ngrx/store';
import { of, throwError } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { Clock } from '../people/clock';
import { DeviceStore } from '../device/device-store';
import { Outbox } from './outbox';
import { PreparedVisits } from './prepared-visits';

const group = (number: string, visit: object | null = null) => ({ hive: { id: `hive-${number}`, number }, visit });
const sheet = (...groups: object[]) => ({ session: { id: 's1' }, groups }) as never;
const fileOf = (hive: string) => ({ visit: { id: `new-${hive}`, hive, session: 's1', closedAt: null } });

describe('a day fetched ahead', () => {
  let kept: string[];
  let lost: Set<string>;
  let asked: string[];
  let gone: string[][];

  const visits = (device: object = {}) => {
    [kept, lost, asked, gone] = [[], new Set(), [], []];
    TestBed.resetTestingModule().configureTestingModule({
      providers: [
        provideStore({}),
        {
          provide: DeviceStore,
          useValue: {
            starts: () => Promise.resolve([]),
            prepared: () => Promise.resolve(undefined),
            file: () => Promise.resolve(undefined),
            preparedFor: () => Promise.resolve(undefined),
            keepPrepared: (file: { visit: { hive: string } }) => Promise.resolve(kept.push(file.visit.hive)),
            keepFile: (file: { visit: { id: string } }) => Promise.resolve(kept.push(file.visit.id)),
            start: (_file: object, start: { hive: string }) => Promise.resolve(kept.push(`started ${start.hive}`)),
            ...device,
          },
        },
        { provide: Outbox, useValue: { send: () => Promise.resolve() } },
        { provide: Clock, useValue: { instant: () => '2026-05-14T06:40:00.000Z', now: () => 0 } },
        { provide: Router, useValue: { navigate: (to: string[]) => Promise.resolve(gone.push(to)) } },
        {
          provide: ContractClient,
          useValue: {
            call: ({ path }: { path: string }, { params }: { params?: Record<string, string> } = {}) => {
              const of_ = params?.hive ?? params?.visit ?? '';
              // Practice is fetched with every day, for a wet one.
              if (path !== endpoints.practice.path) asked.push(of_);
              if (lost.has(of_)) return throwError(() => ({ status: 0, message: 'no signal', details: [] }));
              if (path === endpoints.visitFile.path) return of({ visit: { id: of_ } });
              return of(
                path === endpoints.nextSession.path ? { session: null, date: null, today: false } : fileOf(of_),
              );
            },
          },
        },
      ],
    });
    return TestBed.inject(PreparedVisits);
  };

  it('has what is to be started and what is open, and leaves alone what is closed', async () => {
    const prepared = visits();
    await prepared.prepare(
      sheet(group('4'), group('6', { id: 'v6', closed: false }), group('7', { id: 'v7', closed: true })),
    );
    expect(kept).toEqual(['hive-4', 'v6']);
    expect(prepared.ready()).toMatchObject({ session: 's1', hives: ['4', '6'], missing: [] });
  });

  it('says which hives did not come, and counts what an earlier fetch left here', async () => {
    const prepared = visits({
      prepared: (_session: string, hive: string) => Promise.resolve(hive === 'hive-7' ? {} : undefined),
    });
    lost = new Set(['hive-6', 'hive-7']);
    await prepared.prepare(sheet(group('4'), group('6'), group('7')));
    expect(prepared.ready()).toMatchObject({ state: 'partly', hives: ['4', '7'], missing: ['6'] });
  });

  it('does not fetch anew what was started here without signal', async () => {
    const prepared = visits({ starts: () => Promise.resolve([{ id: 'mine', session: 's1', hive: 'hive-4' }]) });
    await prepared.prepare(sheet(group('4')));
    expect(asked).toEqual([]);
    expect(prepared.ready()?.hives).toEqual(['4']);
  });

  it('starts a visit once, whichever door leads to it; a closed one is reviewed', async () => {
    const prepared = visits();
    await prepared.open(sheet(), group('4') as never);
    await prepared.open(sheet(), group('7', { id: 'v7', closed: true }) as never);
    expect(gone).toEqual([
      ['/at-the-hive/visit', 'new-hive-4'],
      ['/afterwards', 'v7'],
    ]);
    const again = visits({ starts: () => Promise.resolve([{ id: 'mine', session: 's1', hive: 'hive-4' }]) });
    await again.open(sheet(), group('4') as never);
    expect(gone).toEqual([['/at-the-hive/visit', 'mine']]);
    expect(kept).toEqual([]);
  });

  it('says in words when a label leads to a hive without a session', async () => {
    expect(await visits().openHive('hive-9')).toEqual({
      says: expect.stringMatching(/No session of yours/) as string,
      unplanned: true,
    });
  });
});
