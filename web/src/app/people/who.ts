import { type Provider, inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { WHO } from '../api/who';
import { peopleFeature } from './people.feature';

/** Tells those who call the server as whom. */
export const provideWho = (): Provider => ({
  provide: WHO,
  useFactory: () => inject(Store).selectSignal(peopleFeature.selectId),
});
