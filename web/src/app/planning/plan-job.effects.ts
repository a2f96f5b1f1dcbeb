import { inject } from '@angular/core';
import { endpoints } from '../api/endpoints';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { catchError, exhaustMap, filter, map, merge, of, switchMap, timer } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { jobEvents } from './job-events';
import { PlanJobEvents } from './plan-job.feature';

const ASK_AGAIN = 1500;

export const askForPlan = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PlanJobEvents.asked),
      switchMap(({ id, seconds, seed }) =>
        client.call(endpoints.askPlan, { body: { id, seconds, seed } }).pipe(
          switchMap((job) => of(PlanJobEvents.told({ job }), PlanJobEvents.watched({ id }))),
          catchError((fault: CallFault) => of(PlanJobEvents.lost({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

/** Follows a job by its events; when they break, asks every now and then until they can be followed again. */
export const followJob = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PlanJobEvents.watched),
      switchMap(({ id }) =>
        jobEvents(id).pipe(
          map((job) => PlanJobEvents.told({ job })),
          catchError(() =>
            timer(ASK_AGAIN).pipe(
              switchMap(() => client.call(endpoints.planJob, { params: { job: id } })),
              switchMap((job) => of(PlanJobEvents.told({ job }), PlanJobEvents.watched({ id }))),
              catchError((fault: CallFault) =>
                merge(
                  of(PlanJobEvents.lost({ fault })),
                  timer(ASK_AGAIN).pipe(
                    filter(() => fault.status === 0 || fault.status >= 500),
                    map(() => PlanJobEvents.watched({ id })),
                  ),
                ),
              ),
            ),
          ),
        ),
      ),
    ),
  { functional: true },
);

export const stopJob = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PlanJobEvents.stopAsked),
      exhaustMap(({ id }) =>
        client.call(endpoints.stopPlanJob, { params: { job: id } }).pipe(
          map((job) => PlanJobEvents.told({ job })),
          catchError((fault: CallFault) => of(PlanJobEvents.lost({ fault }))),
        ),
      ),
    ),
  { functional: true },
);

export const resumeJob = createEffect(
  (actions = inject(Actions), client = inject(ContractClient)) =>
    actions.pipe(
      ofType(PlanJobEvents.resumeAsked),
      exhaustMap(({ id, seconds }) =>
        client.call(endpoints.resumePlanJob, { params: { job: id }, body: { seconds } }).pipe(
          switchMap((job) => of(PlanJobEvents.told({ job }), PlanJobEvents.watched({ id }))),
          catchError((fault: CallFault) => of(PlanJobEvents.lost({ fault }))),
        ),
      ),
    ),
  { functional: true },
);
