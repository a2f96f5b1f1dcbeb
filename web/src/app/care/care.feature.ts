import type { Review } from '@brave-comb/contract';
import type { VisitEntry } from '@brave-comb/core/inspection';
import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';

/** What the instructor decides on one advice. */
export interface DecisionDraft {
  readonly advice: Review['advice'][number]['advice']['kind'];
  readonly verdict: 'accepted' | 'otherwise' | 'declined';
  readonly action: string;
  readonly reason: string;
  readonly due?: string;
}

export const CareEvents = createActionGroup({
  source: 'Care',
  events: {
    'Review opened': props<{ visit: string }>(),
    'Review loaded': props<{ review: Review }>(),
    'Review failed': props<{ fault: CallFault }>(),
    'Decision made': props<{ visit: string; id: string; draft: DecisionDraft }>(),
    Decided: props<{ visit: string }>(),
    'Decision refused': props<{ fault: CallFault }>(),
    'Decision withdrawal asked': props<{ visit: string; decision: string }>(),
    'Decision withdrawn': props<{ visit: string }>(),
    /** Something added to the visit after it ended: a question, a photo looked at. */
    'Entry added': props<{ visit: string; entry: Pick<VisitEntry, 'id' | 'at' | 'body'> }>(),
    'Entry kept': props<{ visit: string }>(),
  },
});

interface CareState {
  readonly review: Review | null;
  readonly status: 'loading' | 'ready' | 'failed';
  readonly fault: CallFault | null;
  readonly deciding: boolean;
  readonly decisionFault: CallFault | null;
}

export const careFeature = createFeature({
  name: 'care',
  reducer: createReducer<CareState>(
    { review: null, status: 'loading', fault: null, deciding: false, decisionFault: null },
    on(CareEvents.reviewOpened, (state, { visit }) => ({
      ...state,
      review: state.review?.visit === visit ? state.review : null,
      status: 'loading' as const,
      fault: null,
      decisionFault: null,
    })),
    on(CareEvents.reviewLoaded, (state, { review }) => ({
      ...state,
      review,
      status: 'ready' as const,
      deciding: false,
    })),
    on(CareEvents.reviewFailed, (state, { fault }) => ({
      ...state,
      status: 'failed' as const,
      fault,
      deciding: false,
    })),
    on(CareEvents.decisionMade, CareEvents.entryAdded, (state) => ({ ...state, deciding: true, decisionFault: null })),
    on(CareEvents.decisionRefused, (state, { fault }) => ({ ...state, deciding: false, decisionFault: fault })),
  ),
});
