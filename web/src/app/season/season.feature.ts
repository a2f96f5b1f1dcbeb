import type { Strip } from '@brave-comb/contract';
import { createActionGroup, createFeature, createReducer, createSelector, on, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';

export const SeasonEvents = createActionGroup({
  source: 'Season',
  events: {
    'Strip wanted': props<{ site?: string; from?: string }>(),
    'Strip loaded': props<{ strip: Strip }>(),
    'Strip failed': props<{ fault: CallFault }>(),
    'Day opened': props<{ date: string }>(),
  },
});

interface SeasonState {
  readonly strip: Strip | null;
  readonly asked: { readonly site?: string; readonly from?: string };
  readonly fault: CallFault | null;
}

export const seasonFeature = createFeature({
  name: 'season',
  reducer: createReducer<SeasonState>(
    { strip: null, asked: {}, fault: null },
    on(SeasonEvents.stripWanted, (state, { site, from }) => ({
      ...state,
      asked: { ...(site ? { site } : {}), ...(from ? { from } : {}) },
    })),
    on(SeasonEvents.stripLoaded, (state, { strip }) => ({ ...state, strip, fault: null })),
    on(SeasonEvents.stripFailed, (state, { fault }) => ({ ...state, fault })),
  ),
  extraSelectors: ({ selectStrip }) => ({
    /** Id of the site chosen on the strip. */
    selectSite: createSelector(selectStrip, (strip) => strip?.site.id ?? null),
    /** Time zone of that site. */
    selectZone: createSelector(selectStrip, (strip) => strip?.site.zone ?? 'utc'),
  }),
});
