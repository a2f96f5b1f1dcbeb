import { Injectable, inject } from '@angular/core';
import { HivePreferences } from './hive-preferences';

const TONES: Readonly<Record<'gentle' | 'firm', readonly number[]>> = { gentle: [660], firm: [880, 660, 880] };

/** Warns by sound and by shaking, as the device is set to. */
@Injectable({ providedIn: 'root' })
export class Alarm {
  private readonly preferences = inject(HivePreferences);

  ring(how: 'gentle' | 'firm'): void {
    const { sound, vibration } = this.preferences.now();
    // Not every browser can shake or play.
    if (vibration) (navigator as Partial<Navigator>).vibrate?.(how === 'firm' ? [300, 120, 300, 120, 300] : [200]);
    if (sound && typeof AudioContext !== 'undefined') this.play(TONES[how]);
  }

  private play(tones: readonly number[]): void {
    const audio = new AudioContext();
    tones.forEach((tone, index) => {
      const note = audio.createOscillator();
      note.frequency.value = tone;
      note.connect(audio.destination);
      note.start(audio.currentTime + index * 0.3);
      note.stop(audio.currentTime + index * 0.3 + 0.2);
      if (index === tones.length - 1) note.onended = () => void audio.close();
    });
  }
}
