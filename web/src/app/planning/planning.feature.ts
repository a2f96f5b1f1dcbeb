import type { DaySheet } from '@brave-comb/contract';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';

export const PlanningEvents = createActionGroup({
  source: 'Planning',
  events: {
    'Day sheet opened': props<{ session: string | null }>(),
    'Day sheet loaded': props<{ sheet: DaySheet }>(),
    'Day sheet failed': props<{ fault: CallFault }>(),
    'No session ahead': emptyProps(),
    /** It may have become another. */
    'Day sheet outdated': props<{ session: string | null }>(),
    /** The day sheet is not on the screen any more. */
    'Day sheet left': emptyProps(),
  },
});

interface PlanningState {
  readonly sheet: DaySheet | null;
  readonly session: string | null;
  readonly status: 'loading' | 'ready' | 'none' | 'failed';
  readonly fault: CallFault | null;
  /** Whether the day sheet is on the screen. */
  readonly shown: boolean;
}

export const planningFeature = createFeature({
  name: 'planning',
  reducer: createReducer<PlanningState>(
    { sheet: null, session: null, status: 'loading', fault: null, shown: false },
    on(PlanningEvents.daySheetOpened, (state, { session }) => ({
      ...state,
      session,
      status: 'loading' as const,
      fault: null,
      shown: true,
    })),
    on(PlanningEvents.daySheetLeft, (state) => ({ ...state, shown: false })),
    on(PlanningEvents.daySheetLoaded, (state, { sheet }) => ({
      ...state,
      sheet,
      status: 'ready' as const,
      fault: null,
    })),
    on(PlanningEvents.daySheetFailed, (state, { fault }) => ({ ...state, status: 'failed' as const, fault })),
    on(PlanningEvents.noSessionAhead, (state) => ({ ...state, sheet: null, status: 'none' as const })),
  ),
});
