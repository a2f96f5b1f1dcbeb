import { Injectable, inject } from '@angular/core';
import type { PHOTO_SUBJECTS, Spot } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../people/clock';
import { DeviceStore } from '../device/device-store';
import { inspectionFeature } from './inspection.feature';
import { Outbox } from './outbox';
import type { Scaled } from './photo.worker';
import { VisitDesk } from './visit-desk';

const PROBLEMS: Readonly<Record<Extract<Scaled, { problem: unknown }>['problem'] | 'unreadable', string>> = {
  'no-picture': $localize`This picture cannot be read. Take the photo again, or choose a JPEG or PNG.`,
  'too-large': $localize`The photo is too large. Take it from further away, or without flash.`,
  unreadable: $localize`The photo cannot be read. Take it again.`,
};

/** Photos of a visit: scaled down on the device, kept on it, sent when there is a signal. */
@Injectable({ providedIn: 'root' })
export class Photos {
  private readonly store = inject(Store);
  private readonly device = inject(DeviceStore);
  private readonly desk = inject(VisitDesk);
  private readonly clock = inject(Clock);
  private readonly outbox = inject(Outbox);
  private readonly visit = this.store.selectSignal(inspectionFeature.selectVisit);

  /**
   * Keeps a photo and notes it in the visit.
   *
   * @returns its id, or what is wrong with it in words
   */
  async keep(
    photo: Blob,
    of: (typeof PHOTO_SUBJECTS)[number],
    spot: Spot | null,
  ): Promise<{ readonly id: string } | { readonly problem: string }> {
    const visit = this.visit();
    if (!visit) return { problem: $localize`No visit is open.` };
    const scaled = await this.scale(photo);
    if (!scaled || 'problem' in scaled) return { problem: PROBLEMS[scaled?.problem ?? 'unreadable'] };
    const id = uuid();
    await this.device.keepAttachment({
      id,
      visit,
      takenAt: this.clock.instant(),
      type: 'image/jpeg',
      file: scaled.jpeg,
    });
    this.desk.enter({ kind: 'photo-taken', photo: id, of, spot });
    void this.outbox.send();
    return { id };
  }

  private scale(photo: Blob): Promise<Scaled | null> {
    const worker = new Worker(new URL('./photo.worker', import.meta.url), { type: 'module' });
    return new Promise<Scaled | null>((done) => {
      worker.onmessage = ({ data }: MessageEvent<Scaled>) => done(data);
      worker.onerror = () => done(null);
      worker.postMessage(photo);
    }).finally(() => worker.terminate());
  }
}
