import { Injectable, inject, signal } from '@angular/core';
import type { Spot } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../people/clock';
import { DeviceStore, type WaitingAttachment } from '../device/device-store';
import { inspectionFeature } from './inspection.feature';
import { Outbox } from './outbox';
import { VisitDesk } from './visit-desk';

const TYPES = ['audio/webm', 'audio/ogg', 'audio/mp4'] as const satisfies readonly WaitingAttachment['type'][];
/** Speech stays clear at this rate; three minutes are under half a megabyte. */
const BITS_A_SECOND = 16_000;
export const MOST_SECONDS = 180;

/** Voice notes of a visit: spoken with gloves on, kept on the device, sent when there is a signal. */
@Injectable({ providedIn: 'root' })
export class Voice {
  private readonly store = inject(Store);
  private readonly device = inject(DeviceStore);
  private readonly desk = inject(VisitDesk);
  private readonly clock = inject(Clock);
  private readonly outbox = inject(Outbox);
  private readonly visit = this.store.selectSignal(inspectionFeature.selectVisit);
  private recorder: MediaRecorder | null = null;
  /** When the note that is being spoken began, ms since 1970; `null` while nobody speaks. */
  readonly since = signal<number | null>(null);

  /** Begins to listen. Returns what stands in the way, or `null`. */
  async begin(): Promise<string | null> {
    const devices = navigator.mediaDevices as MediaDevices | undefined;
    if (!devices || !('MediaRecorder' in globalThis))
      return $localize`This device cannot record sound here. Type the note, or take a photo.`;
    const type = TYPES.find((each) => MediaRecorder.isTypeSupported(each));
    if (!type) return $localize`This device records sound in a format that cannot be saved. Type the note.`;
    try {
      const stream = await devices.getUserMedia({ audio: true });
      this.recorder = new MediaRecorder(stream, { mimeType: type, audioBitsPerSecond: BITS_A_SECOND });
      this.recorder.start();
      this.since.set(Date.now());
      return null;
    } catch {
      return $localize`The microphone is blocked or in use. Allow it in the browser, or type the note.`;
    }
  }

  /**
   * Ends the note and keeps it.
   *
   * @returns its id and length in seconds, `null` when nothing was recorded
   */
  async end(spot: Spot | null): Promise<{ readonly id: string; readonly seconds: number } | null> {
    const [recorder, visit, since] = [this.recorder, this.visit(), this.since()];
    this.since.set(null);
    this.recorder = null;
    if (!recorder || !visit || since === null) return null;
    const file = await recorded(recorder);
    const type = TYPES.find((each) => recorder.mimeType.startsWith(each));
    if (!type || file.size === 0) return null;
    const id = uuid();
    const seconds = Math.min(MOST_SECONDS, Math.round((Date.now() - since) / 1000));
    await this.device.keepAttachment({ id, visit, takenAt: this.clock.instant(), type, file });
    this.desk.enter({ kind: 'voice-recorded', recording: id, seconds, spot });
    void this.outbox.send();
    return { id, seconds };
  }
}

/** All that a recorder heard; the microphone is let go. */
const recorded = (recorder: MediaRecorder): Promise<Blob> =>
  new Promise((done) => {
    const pieces: Blob[] = [];
    recorder.ondataavailable = ({ data }) => pieces.push(data);
    recorder.onstop = () => {
      for (const track of recorder.stream.getTracks()) track.stop();
      done(new Blob(pieces, { type: recorder.mimeType }));
    };
    recorder.stop();
  });
