import { type Signal, inject, signal } from '@angular/core';
import type { Output, endpoints as Table } from '@brave-comb/contract';
import { firstValueFrom } from 'rxjs';
import { type AnySent, type CallFault, ContractClient, type Sent } from './contract-client';
import { endpoints } from './endpoints';
import { type ChangeName } from './views.feature';
import { ViewDesk } from './view-desk';

/** A form that is sent as a whole: while it is on its way a second press does nothing, and a refusal stands beside what was typed. */
export interface Saving {
  readonly busy: Signal<boolean>;
  readonly fault: Signal<CallFault | null>;
  /** Sends; answers what the server said, or `null` for a refusal. What is shown elsewhere is read again after it. */
  send<C extends ChangeName>(endpoint: C, sent: Sent<(typeof Table)[C]>): Promise<Output<(typeof Table)[C]> | null>;
  /** Forgets the last refusal. */
  clear(): void;
}

/** Makes a {@link Saving} within a component. */
export function saving(): Saving {
  const [client, desk] = [inject(ContractClient), inject(ViewDesk)];
  const [busy, fault] = [signal(false), signal<CallFault | null>(null)];
  return {
    busy: busy.asReadonly(),
    fault: fault.asReadonly(),
    async send(endpoint, sent) {
      if (busy()) return null;
      busy.set(true);
      fault.set(null);
      try {
        const answer = await firstValueFrom(client.send(endpoints[endpoint], sent as AnySent));
        desk.refresh();
        return answer as Output<(typeof Table)[typeof endpoint]>;
      } catch (error) {
        const refused = unsaved(error as CallFault);
        fault.set(refused);
        // What another has saved meanwhile is shown beside what was typed.
        if (refused.problem === 'changed-meanwhile') desk.refresh();
        return null;
      } finally {
        busy.set(false);
      }
    },
    clear: () => fault.set(null),
  };
}

/** A form waits for nobody: without a connection nothing of it is on its way. */
const unsaved = (fault: CallFault): CallFault =>
  fault.status === 0
    ? {
        ...fault,
        message: $localize`No connection. Nothing is saved yet; what you typed stays here. Save again later.`,
      }
    : fault;
