import { type Provider, computed, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { TODAY } from '../parts/today';
import { Clock } from '../people/clock';
import { SCHOOL_ZONE } from '../people/school-zone';
import { civilDate } from '../ui/format';
import { seasonFeature } from './season.feature';

/** Moments are told by the clock of the site on the strip, and so is the day. */
export const provideSchoolZone = (): Provider[] => [
  {
    provide: SCHOOL_ZONE,
    useFactory: () => inject(Store).selectSignal(seasonFeature.selectZone),
  },
  {
    provide: TODAY,
    useFactory: () => {
      const [clock, zone] = [inject(Clock), inject(SCHOOL_ZONE)];
      return computed(() => civilDate(clock.now(), zone()));
    },
  },
];
