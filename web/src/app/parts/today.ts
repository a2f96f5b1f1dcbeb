import { InjectionToken, type Signal } from '@angular/core';

/** The day at the school, "2026-05-14". */
export const TODAY = new InjectionToken<Signal<string>>('day at the school');
