import { InjectionToken, type Signal } from '@angular/core';

/** Time zone by which the school's moments are told, IANA name. */
export const SCHOOL_ZONE = new InjectionToken<Signal<string>>('time zone of the school');
