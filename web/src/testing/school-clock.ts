import { signal } from '@angular/core';
import { Clock } from '../app/people/clock';
import { SCHOOL_ZONE } from '../app/people/school-zone';

/** Half past seven on Thursday 14 May 2026 at the school, for fields that know what day it is. */
export const SCHOOL_CLOCK = [
  { provide: Clock, useValue: { now: signal(Date.parse('2026-05-14T06:30:00Z')) } },
  { provide: SCHOOL_ZONE, useValue: signal('Europe/London') },
];
