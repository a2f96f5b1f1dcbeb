import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import { type ApplicationConfig, isDevMode, provideBrowserGlobalErrorListeners } from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { provideEffects } from '@ngrx/effects';
import { type Action, provideState, provideStore } from '@ngrx/store';
import { provideStoreDevtools } from '@ngrx/store-devtools';
import { asWhom, asksAgain, keptAnswers } from './api/interceptors';
import { asksByTag } from './api/tagged-answers';
import { tellsReach } from './api/reach';
import * as viewsEffects from './api/views.effects';
import { type Change, viewsFeature } from './api/views.feature';
import { routes } from './app.routes';
import { provideIcons } from './icons/icons';
import * as inspectionEffects from './inspection/inspection.effects';
import * as peopleEffects from './people/people.effects';
import { noticesEnd, tellsTime } from './people/interceptors';
import { forgetOnSignOut, peopleFeature } from './people/people.feature';
import { provideWho } from './people/who';
import * as planJobEffects from './planning/plan-job.effects';
import { planJobFeature } from './planning/plan-job.feature';
import * as planningEffects from './planning/planning.effects';
import { planningFeature } from './planning/planning.feature';
import * as seasonEffects from './season/season.effects';
import { provideSchoolZone } from './season/school-zone';
import { seasonFeature } from './season/season.feature';
import { provideArrival } from './ui/arrival';

/** False in the build for users, where what it rules out is left out. */
declare const ngDevMode: boolean;

/** Changes and views of all endpoints share their actions: the log of actions names the endpoint too. */
const withEndpoint = (action: Action & { change?: Change; view?: string }): Action => ({
  ...action,
  type: `${action.type} ${action.change?.endpoint ?? action.view ?? ''}`.trim(),
});

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(
      withFetch(),
      withInterceptors([asWhom, keptAnswers, noticesEnd, asksAgain, tellsTime, asksByTag, tellsReach]),
    ),
    provideRouter(routes, withComponentInputBinding()),
    provideStore(
      {},
      {
        metaReducers: [forgetOnSignOut],
        runtimeChecks: { strictStateImmutability: true, strictActionImmutability: true },
      },
    ),
    provideWho(),
    provideSchoolZone(),
    provideState(peopleFeature),
    provideState(seasonFeature),
    provideState(viewsFeature),
    provideState(planningFeature),
    provideState(planJobFeature),
    provideEffects(peopleEffects, seasonEffects, viewsEffects, planningEffects, planJobEffects, inspectionEffects),
    ...(ngDevMode ? [provideStoreDevtools({ maxAge: 50, connectInZone: false, actionSanitizer: withEndpoint })] : []),
    provideIcons(),
    provideArrival(),
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerImmediately' }),
  ],
};
