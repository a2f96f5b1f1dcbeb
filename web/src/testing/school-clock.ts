import { signal } from '@angular/core';
import { TODAY } from '../app/parts/today';

/** Thursday 14 May 2026 at the school, for fields that know what day it is. */
export const SCHOOL_CLOCK = [{ provide: TODAY, useValue: signal('2026-05-14') }];
