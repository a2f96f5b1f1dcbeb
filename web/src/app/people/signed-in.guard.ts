import { inject } from '@angular/core';
import { type CanActivateFn, Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { filter, map, take } from 'rxjs';
import { peopleFeature } from './people.feature';

/** Lets nobody in who is not signed in; after signing in they come back. */
export const signedIn: CanActivateFn = (_route, state) => {
  const router = inject(Router);
  return inject(Store)
    .select(peopleFeature.selectPeopleState)
    .pipe(
      filter(({ status }) => status !== 'unknown'),
      take(1),
      map(({ status, beginning }) => {
        if (status === 'in') return true;
        return beginning
          ? router.createUrlTree(['/start'], { queryParams: { back: '/office' } })
          : router.createUrlTree(['/sign-in'], { queryParams: { back: state.url } });
      }),
    );
};

/** Lets in where the installation waits for its first owner, or where it does not: nobody signs in before there is a school. */
export const whileBeginning =
  (wanted: boolean): CanActivateFn =>
  () => {
    const router = inject(Router);
    return inject(Store)
      .select(peopleFeature.selectPeopleState)
      .pipe(
        filter(({ status }) => status !== 'unknown'),
        take(1),
        map(({ beginning }) => beginning === wanted || router.createUrlTree(['/'])),
      );
  };
