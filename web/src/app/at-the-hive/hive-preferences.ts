import { Injectable, signal } from '@angular/core';

const KEY = 'brave-comb/hive-preferences';

interface Preferences {
  readonly sound: boolean;
  readonly vibration: boolean;
  readonly large: boolean;
}
const AT_FIRST: Preferences = { sound: false, vibration: true, large: false };

function kept(): Preferences {
  try {
    return { ...AT_FIRST, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Preferences>) };
  } catch {
    return AT_FIRST;
  }
}

/** How this device warns and how large it writes at the hive. */
@Injectable({ providedIn: 'root' })
export class HivePreferences {
  readonly all = [
    { id: 'sound', name: $localize`Sound` },
    { id: 'vibration', name: $localize`Vibration` },
    { id: 'large', name: $localize`Large text` },
  ] as const;
  readonly now = signal<Preferences>(kept());

  flip(id: keyof Preferences): void {
    this.now.update((now) => ({ ...now, [id]: !now[id] }));
    try {
      localStorage.setItem(KEY, JSON.stringify(this.now()));
    } catch {
      // A full device keeps the entries, not the taste.
    }
  }
}
