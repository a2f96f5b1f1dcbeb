import { Injectable, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import type { DaySheet, GroupSheet } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { firstValueFrom } from 'rxjs';
import { v7 as uuid } from 'uuid';
import { type CallFault, ContractClient } from '../api/contract-client';
import { Clock } from '../people/clock';
import { DeviceStore } from '../device/device-store';
import { Outbox } from './outbox';

/** What a device has of a session's day. */
export interface DayReady {
  readonly session: string;
  /** "page only": the visits are here, but this browser cannot open the page again without signal. */
  readonly state: 'fetching' | 'ready' | 'partly' | 'page-only';
  readonly hives: readonly string[];
  readonly missing: readonly string[];
  readonly at: string;
}

/** Why a hive could not be opened. */
export interface HiveShut {
  readonly says: string;
  readonly unplanned: boolean;
}

/** Starts visits, also without signal: what a start needs is put on the device when the day sheet is read. */
@Injectable({ providedIn: 'root' })
export class PreparedVisits {
  private readonly client = inject(ContractClient);
  private readonly device = inject(DeviceStore);
  private readonly outbox = inject(Outbox);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);

  /** What this device has of a session, to work a day of it without signal. */
  readonly ready = signal<DayReady | null>(null);

  /** Fetches the files of a day's visits ahead: of those to be started, and of those that are open. */
  async prepare(sheet: DaySheet): Promise<void> {
    const session = sheet.session.id;
    const groups = sheet.groups.filter(({ visit }) => !visit?.closed);
    this.ready.set({ session, state: 'fetching', hives: [], missing: [], at: this.clock.instant() });
    // A wet day is spent indoors: what practice needs goes on the device with the rest.
    void firstValueFrom(this.client.call(endpoints.practice, {})).catch(() => undefined);
    const here: string[] = [];
    const missing: string[] = [];
    for (const { hive, visit } of groups) {
      const got = visit ? await this.fetchOpen(visit.id) : await this.fetchNew(session, hive.id);
      (got ? here : missing).push(hive.number);
    }
    const shell = 'serviceWorker' in navigator && (await navigator.serviceWorker.getRegistration()) !== undefined;
    const state = missing.length > 0 ? 'partly' : shell ? 'ready' : 'page-only';
    this.ready.set({ session, state, hives: here, missing, at: this.clock.instant() });
  }

  private async fetchNew(session: string, hive: string): Promise<boolean> {
    const known = (await this.device.starts()).some((each) => each.session === session && each.hive === hive);
    if (known) return true;
    try {
      await this.fetch(session, hive);
      return true;
    } catch {
      return (await this.device.prepared(session, hive)) !== undefined;
    }
  }

  private async fetchOpen(visit: string): Promise<boolean> {
    try {
      await this.device.keepFile(await firstValueFrom(this.client.call(endpoints.visitFile, { params: { visit } })));
      return true;
    } catch {
      return (await this.device.file(visit)) !== undefined;
    }
  }

  /** Opens the visit of a group, starting it when it is not open yet; a closed one is reviewed. */
  async open(sheet: DaySheet, group: GroupSheet): Promise<void> {
    const visit = group.visit?.id ?? (await this.start(sheet.session.id, group.hive.id));
    await this.router.navigate([group.visit?.closed ? '/afterwards' : '/at-the-hive/visit', visit]);
  }

  /**
   * Opens the visit of a hive: the one that is prepared on this device, or of a session that is held today.
   *
   * @param hive the hive
   * @param within the session that it belongs to; today's without it
   * @returns nothing when it is open; what is wrong in words, and whether it may be opened outside a planned session
   */
  async openHive(hive: string, within: string | null = null): Promise<HiveShut | null> {
    const prepared = await this.device.preparedFor(hive);
    try {
      const session = within ?? prepared?.visit.session ?? (await this.sessionToday());
      if (!session) return { says: $localize`No session of yours is planned for today.`, unplanned: true };
      return await this.enter(session, hive);
    } catch (fault) {
      const { status, message } = fault as CallFault;
      return { says: message, unplanned: status === 404 || status === 409 };
    }
  }

  /** Opens a hive that no session of today is planned for. It needs a signal: the session is made for it. */
  async openUnplanned(hive: string): Promise<HiveShut | null> {
    try {
      const { session } = await firstValueFrom(
        this.client.call(endpoints.openUnplanned, { body: { id: uuid(), hive } }),
      );
      return await this.enter(session, hive);
    } catch (fault) {
      return { says: (fault as CallFault).message, unplanned: true };
    }
  }

  private async enter(session: string, hive: string): Promise<null> {
    const visit = await this.start(session, hive);
    await this.router.navigate(['/at-the-hive/visit', visit], { replaceUrl: true });
    return null;
  }

  private async sessionToday(): Promise<string | null> {
    const { session, today } = await firstValueFrom(this.client.call(endpoints.nextSession, {}));
    return today ? session : null;
  }

  private async start(session: string, hive: string): Promise<string> {
    const known = (await this.device.starts()).find((each) => each.session === session && each.hive === hive);
    if (known) return known.id;
    const file = (await this.device.prepared(session, hive)) ?? (await this.fetch(session, hive));
    const startedAt = this.clock.instant();
    await this.device.start(
      { ...file, visit: { ...file.visit, startedAt } },
      { id: file.visit.id, session, hive, startedAt },
    );
    void this.outbox.send();
    return file.visit.id;
  }

  private async fetch(session: string, hive: string) {
    const file = await firstValueFrom(this.client.call(endpoints.preparedVisit, { params: { session, hive } }));
    await this.device.keepPrepared(file);
    return file;
  }
}
