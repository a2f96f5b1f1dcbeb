import { type Provider, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { SCHOOL_ZONE } from '../people/school-zone';
import { seasonFeature } from './season.feature';

/** Moments are told by the clock of the site on the strip. */
export const provideSchoolZone = (): Provider => ({
  provide: SCHOOL_ZONE,
  useFactory: () => inject(Store).selectSignal(seasonFeature.selectZone),
});
