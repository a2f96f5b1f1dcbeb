import { inject } from '@angular/core';
import { type CanActivateFn, Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { filter, map, take } from 'rxjs';
import { peopleFeature } from './people.feature';

/** Lets nobody in who is not signed in; after signing in they come back. */
export const signedIn: CanActivateFn = (_route, state) => {
  const router = inject(Router);
  return inject(Store)
    .select(peopleFeature.selectStatus)
    .pipe(
      filter((status) => status !== 'unknown'),
      take(1),
      map((status) =>
        status === 'in' ? true : router.createUrlTree(['/sign-in'], { queryParams: { back: state.url } }),
      ),
    );
};
