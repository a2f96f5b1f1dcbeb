import { type WritableSignal, effect, inject, linkedSignal } from '@angular/core';
import { Store } from '@ngrx/store';
import { DeviceStore } from '../device/device-store';
import { inspectionFeature } from '../inspection/inspection.feature';

/**
 * Something that is tapped or written during a visit and is no entry yet. It outlives a reload and a phone that dies.
 *
 * @param what its name, one in a visit
 * @param blank what it is before anybody wrote
 * @returns a signal that is kept on this device as it changes
 */
export function jotted<T>(what: string, blank: T): WritableSignal<T> {
  const device = inject(DeviceStore);
  const visit = inject(Store).selectSignal(inspectionFeature.selectVisit);
  const jotting = linkedSignal<string | null, T>({
    source: visit,
    computation: (id) => (id === null ? null : (device.jotting(id, what) as T | null)) ?? blank,
  });
  effect(() => {
    const [id, now] = [visit(), jotting()];
    if (id !== null) device.keepJotting(id, what, now === blank ? null : now);
  });
  return jotting;
}
