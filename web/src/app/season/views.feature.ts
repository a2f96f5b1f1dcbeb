import type { Output, endpoints } from '@brave-comb/contract';
import { createActionGroup, createFeature, createReducer, on, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';
import { PeopleEvents } from '../people/people.feature';

/** Views under Ahead that are read whole from one endpoint each. */
export type ViewName =
  | 'seasonYear'
  | 'forage'
  | 'happenings'
  | 'aliveRound'
  | 'movePlan'
  | 'dayPage'
  | 'forecastTrust'
  | 'colonyCalendars'
  | 'calendarFeed'
  | 'planBoard'
  | 'coverage'
  | 'hiveList'
  | 'planningTerms'
  | 'messages'
  | 'outbox'
  | 'planVersions'
  | 'mySessions'
  | 'askedQuestions'
  | 'combLedger'
  | 'yardBook'
  | 'predictions'
  | 'traineeMatrix'
  | 'passport'
  | 'agreement'
  | 'checklist'
  | 'debrief'
  | 'practice'
  | 'practiceRecord'
  | 'indoorPlan'
  | 'photoBank'
  | 'polls'
  | 'nextHives';
export type ViewData<V extends ViewName> = Output<(typeof endpoints)[V]>;

/** Parameters, query and body of a call, before the contract has checked them. */
export interface Sent {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string | undefined>>;
  readonly body?: unknown;
}

/** Something to be written, as it waits on this device. */
export interface Change {
  readonly id: string;
  readonly endpoint: keyof typeof endpoints;
  readonly sent: Sent;
  /** View that the answer is, or that is read again afterwards. */
  readonly view: ViewName;
  /** Whether the answer is the view itself. */
  readonly answers: boolean;
  /** Who wrote it: nobody else's sign-in sends it. */
  readonly person: string;
}

interface View {
  readonly sent: Sent;
  readonly data: unknown;
  readonly fault: CallFault | null;
  readonly loading: boolean;
}

export const ViewEvents = createActionGroup({
  source: 'Views',
  events: {
    Wanted: props<{ view: ViewName; sent: Sent }>(),
    Loaded: props<{ view: ViewName; data: object }>(),
    Failed: props<{ view: ViewName; fault: CallFault }>(),
    'Change asked': props<{ change: Change }>(),
    'Change waits': props<{ change: Change }>(),
    Changed: props<{ change: Change; answer: object }>(),
    'Change refused': props<{ change: Change; fault: CallFault }>(),
  },
});

interface ViewsState {
  readonly views: Readonly<Partial<Record<ViewName, View>>>;
  /** Changes on their way, and those that wait for a connection. */
  readonly sending: readonly string[];
  readonly waiting: readonly string[];
  readonly refused: readonly { readonly id: string; readonly view: ViewName; readonly message: string }[];
  readonly lastAnswer: { readonly endpoint: string; readonly answer: object } | null;
}

const without = (ids: readonly string[], id: string): readonly string[] => ids.filter((each) => each !== id);

function withView(state: ViewsState, view: ViewName, change: Partial<View>): ViewsState {
  const before = state.views[view] ?? { sent: {}, data: null, fault: null, loading: false };
  return { ...state, views: { ...state.views, [view]: { ...before, ...change } } };
}

const initial: ViewsState = { views: {}, sending: [], waiting: [], refused: [], lastAnswer: null };

export const viewsFeature = createFeature({
  name: 'views',
  reducer: createReducer<ViewsState>(
    initial,
    on(ViewEvents.wanted, (state, { view, sent }) => withView(state, view, { sent, loading: true })),
    on(ViewEvents.loaded, (state, { view, data }) => withView(state, view, { data, fault: null, loading: false })),
    on(ViewEvents.failed, (state, { view, fault }) => withView(state, view, { fault, loading: false })),
    on(ViewEvents.changeAsked, (state, { change }) => ({
      ...state,
      sending: [...without(state.sending, change.id), change.id],
      refused: state.refused.filter((each) => each.view !== change.view),
    })),
    on(ViewEvents.changeWaits, (state, { change }) => ({
      ...state,
      sending: without(state.sending, change.id),
      waiting: [...without(state.waiting, change.id), change.id],
    })),
    on(ViewEvents.changed, (state, { change, answer }) => ({
      ...state,
      sending: without(state.sending, change.id),
      waiting: without(state.waiting, change.id),
      lastAnswer: { endpoint: change.endpoint, answer },
    })),
    on(ViewEvents.changeRefused, (state, { change, fault }) => ({
      ...state,
      sending: without(state.sending, change.id),
      waiting: without(state.waiting, change.id),
      refused: [...state.refused, { id: change.id, view: change.view, message: fault.message }],
    })),
    on(PeopleEvents.signedOut, () => initial),
  ),
});
