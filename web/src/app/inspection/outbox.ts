import { Injectable, inject } from '@angular/core';
import type { EntryVerdict } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { DeviceStore, type WaitingEntry } from './device-store';
import { InspectionEvents } from './inspection.feature';

const BATCH = 100;
const RETRY = 8_000;

/** Sends what waits on this device, in order, as often as it takes. What the server would not keep stays visible until somebody settles it. */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly client = inject(ContractClient);
  private readonly device = inject(DeviceStore);
  private readonly store = inject(Store);
  private sending: Promise<void> | null = null;
  private again = false;

  constructor() {
    globalThis.addEventListener('online', () => void this.send());
    setInterval(() => void this.send(), RETRY);
  }

  /** Sends everything that waits. Calls while it sends make it go round once more. */
  send(): Promise<void> {
    this.again = true;
    this.sending ??= this.rounds().finally(() => (this.sending = null));
    return this.sending;
  }

  private async rounds(): Promise<void> {
    while (this.again) {
      this.again = false;
      try {
        await this.sendStarts();
        await this.sendEntries();
        await this.sendAttachments();
      } catch (fault) {
        this.store.dispatch(InspectionEvents.sendingFailed({ fault: fault as CallFault }));
        return;
      }
    }
  }

  private async sendStarts(): Promise<void> {
    for (const start of await this.device.starts()) {
      const visit = await firstValueFrom(this.client.call(endpoints.startVisit, { body: start }));
      if (visit.id !== start.id) {
        await this.device.join(start.id, visit.id);
        this.store.dispatch(InspectionEvents.visitJoined({ from: start.id, to: visit.id }));
      } else {
        await this.device.started(start.id);
      }
    }
  }

  private async sendEntries(): Promise<void> {
    const waiting = (await this.device.entries()).filter((each) => each.problem === null);
    const unsent = new Set((await this.device.starts()).map((start) => start.id));
    const visits = [...new Set(waiting.map((each) => each.visit))].filter((visit) => !unsent.has(visit));
    for (const visit of visits) {
      const entries = waiting.filter((each) => each.visit === visit).slice(0, BATCH);
      const verdicts = await this.sendBatch(visit, entries);
      await this.settle(entries, verdicts);
      if (waiting.filter((each) => each.visit === visit).length > BATCH) this.again = true;
    }
    this.store.dispatch(InspectionEvents.everythingSent());
  }

  /** Photos and voice notes go last and one by one: on a thin signal entries come first. One that the server will not have is let go, its entry stays. */
  private async sendAttachments(): Promise<void> {
    const unsent = new Set((await this.device.starts()).map((start) => start.id));
    for (const { id, visit, takenAt, type, file } of await this.device.attachments()) {
      if (unsent.has(visit)) continue;
      try {
        const body = { id, takenAt, type, content: await inBase64(file) };
        await firstValueFrom(this.client.call(endpoints.keepAttachment, { params: { visit }, body }));
      } catch (error) {
        const { status } = error as CallFault;
        if (status !== 422 && status !== 404 && status !== 403 && status !== 413) throw error;
      }
      await this.device.forgetAttachment(id);
    }
  }

  private async sendBatch(visit: string, entries: readonly WaitingEntry[]): Promise<readonly EntryVerdict[]> {
    const body = { entries: entries.map(({ entry: { id, at, body: said } }) => ({ id, at, body: said })) };
    try {
      return (await firstValueFrom(this.client.call(endpoints.recordEntries, { params: { visit }, body }))).verdicts;
    } catch (error) {
      const fault = error as CallFault & Error;
      const final = fault.status === 422 || fault.status === 404 || fault.status === 403;
      if (!final) throw fault;
      return entries.map(({ id }) => ({
        id,
        outcome: 'refused' as const,
        problem: {
          problem: fault.problem,
          message: fault.details.find((each) => each.path === id)?.message ?? fault.message,
        },
      }));
    }
  }

  private async settle(entries: readonly WaitingEntry[], verdicts: readonly EntryVerdict[]): Promise<void> {
    const of = new Map(verdicts.map((verdict) => [verdict.id, verdict]));
    const kept = entries.filter((each) => of.get(each.id)?.outcome !== 'refused');
    const refused = entries.flatMap((each): WaitingEntry[] => {
      const problem = of.get(each.id)?.problem;
      return problem ? [{ ...each, problem }] : [];
    });
    for (const entry of refused) await this.device.keepEntry(entry);
    await this.device.forgetEntries(kept.map((each) => each.id));
    if (kept.length > 0) this.store.dispatch(InspectionEvents.entriesKept({ entries: kept.map((each) => each.entry) }));
    if (refused.length > 0) this.store.dispatch(InspectionEvents.entriesRefused({ entries: refused }));
  }
}

/** A blob in base64, without the prefix of a data address. */
function inBase64(blob: Blob): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).split(',')[1] ?? '');
    reader.onerror = () => fail(new Error('the photo cannot be read'));
    reader.readAsDataURL(blob);
  });
}
