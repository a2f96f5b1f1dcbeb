import { makeEnvironmentProviders } from '@angular/core';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { inspectionFeature } from './inspection.feature';
import * as visitEffects from './visit.effects';

/** What the screens of a visit stand on; it comes with them, not with the first screen. */
export const provideVisits = () =>
  makeEnvironmentProviders([provideState(inspectionFeature), provideEffects(visitEffects)]);
