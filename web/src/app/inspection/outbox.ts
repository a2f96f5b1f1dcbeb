import { Injectable, inject } from '@angular/core';
import type { EntryVerdict, Problem } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { DeviceStore, type WaitingEntry } from '../device/device-store';
import { InspectionEvents } from './inspection.events';

const BATCH = 100;
const RETRY = 8_000;

/** Sends what its author has waiting on this device, in order, as often as it takes. What the server would not keep is set aside, visible until somebody settles it, and holds up nothing else. */
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
      if (start.problem) continue;
      const { id, session, hive, startedAt } = start;
      try {
        const body = { id, session, hive, startedAt };
        const visit = await firstValueFrom(this.client.call(endpoints.startVisit, { body }));
        if (visit.id === start.id) await this.device.started(start.id);
        else {
          await this.device.join(start.id, visit.id);
          this.store.dispatch(InspectionEvents.visitJoined({ from: start.id, to: visit.id }));
        }
      } catch (error) {
        const problem = finalProblem(error as CallFault);
        if (!problem) throw error;
        await this.device.keepStart({ ...start, problem });
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

  /** Photos and voice notes go last and one by one: on a thin signal entries come first. */
  private async sendAttachments(): Promise<void> {
    const unsent = new Set((await this.device.starts()).map((start) => start.id));
    for (const attachment of await this.device.attachments()) {
      const { id, visit, takenAt, type, file, problem } = attachment;
      if (problem || unsent.has(visit)) continue;
      try {
        const body = { id, takenAt, type, content: await inBase64(file) };
        await firstValueFrom(this.client.call(endpoints.keepAttachment, { params: { visit }, body }));
        await this.device.forgetAttachment(id);
      } catch (error) {
        const problem = finalProblem(error as CallFault);
        if (!problem) throw error;
        await this.device.keepAttachment({ ...attachment, problem });
      }
    }
  }

  private async sendBatch(visit: string, entries: readonly WaitingEntry[]): Promise<readonly EntryVerdict[]> {
    const body = { entries: entries.map(({ entry: { id, at, body: said } }) => ({ id, at, body: said })) };
    try {
      return (await firstValueFrom(this.client.call(endpoints.recordEntries, { params: { visit }, body }))).verdicts;
    } catch (error) {
      const fault = error as CallFault;
      // A batch that the server stumbles over is taken apart: one entry must not hold up the others.
      if (fault.status === 500 && entries.length > 1) {
        const apart: EntryVerdict[] = [];
        for (const each of entries) apart.push(...(await this.sendBatch(visit, [each])));
        return apart;
      }
      const problem = finalProblem(fault);
      if (!problem) throw error;
      return entries.map(({ id }) => ({
        id,
        outcome: 'refused' as const,
        problem: { ...problem, message: fault.details.find((each) => each.path === id)?.message ?? problem.message },
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

/** What the server said for good; `null` for what passes: no connection, too much at once, somebody else signed in. */
function finalProblem({ status, problem, message }: CallFault): Problem | null {
  return [400, 403, 404, 409, 410, 413, 415, 422, 500].includes(status) ? { problem, message } : null;
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
