import { InjectionToken, type Signal } from '@angular/core';

/** Id of whoever is signed in here, `null` for nobody. */
export const WHO = new InjectionToken<Signal<string | null>>('who is signed in here');
