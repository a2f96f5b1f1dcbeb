import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import type { DaySheet, GroupSheet } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { Clock } from '../people/clock';
import { DeviceStore } from './device-store';
import { Outbox } from './outbox';

/** Starts visits, also without signal: what a start needs is put on the device when the day sheet is read. */
@Injectable({ providedIn: 'root' })
export class PreparedVisits {
  private readonly client = inject(ContractClient);
  private readonly device = inject(DeviceStore);
  private readonly outbox = inject(Outbox);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);

  /** Fetches the files of a day's visits that are not started yet. */
  async prepare(sheet: DaySheet): Promise<void> {
    for (const group of sheet.groups.filter((each) => each.visit === null)) {
      await this.fetch(sheet.session.id, group.hive.id).catch(() => undefined);
    }
  }

  /** Opens the visit of a group, starting it when it is not open yet; a closed one is reviewed. */
  async open(sheet: DaySheet, group: GroupSheet): Promise<void> {
    const visit = group.visit?.id ?? (await this.start(sheet.session.id, group.hive.id));
    await this.router.navigate([group.visit?.closed ? '/afterwards' : '/at-the-hive/visit', visit]);
  }

  /**
   * Opens the visit of a hive by its label: the one that is prepared on this device, or of the next session.
   *
   * @returns what is wrong in words, or nothing
   */
  async openHive(hive: string): Promise<string | null> {
    const prepared = await this.device.preparedFor(hive);
    const session = prepared?.visit.session ?? (await this.nextSession());
    if (!session)
      return 'No session is planned in which this hive could be opened. Plan one, or open the hive from a day sheet.';
    try {
      const visit = await this.start(session, hive);
      await this.router.navigate(['/at-the-hive/visit', visit], { replaceUrl: true });
      return null;
    } catch (fault) {
      return (fault as CallFault).message;
    }
  }

  private async nextSession(): Promise<string | null> {
    try {
      return (await firstValueFrom(this.client.call(endpoints.nextSession, {}))).session;
    } catch {
      return null;
    }
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
