import type { Output, endpoints } from '@brave-comb/contract';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { AnySent, CallFault, Sent } from './contract-client';

type Table = typeof endpoints;
/** Endpoints of one method that answer once. */
type Named<M extends 'GET' | 'POST'> = {
  [Name in keyof Table]: Table[Name]['method'] extends M ? (true extends Table[Name]['streams'] ? never : Name) : never;
}[keyof Table];

/** A view: what one of the contract's GET endpoints answers. */
export type ViewName = Named<'GET'>;
export type ViewData<V extends ViewName> = Output<Table[V]>;
/** What a view is asked with. */
export type Asked<V extends ViewName> = Sent<Table[V]>;
export type ChangeName = Named<'POST'>;

/** Something to be written, as it waits on this device. */
export interface Change {
  readonly id: string;
  readonly endpoint: ChangeName;
  readonly sent: AnySent;
  /** View that the answer is, or that is read again afterwards. */
  readonly view: ViewName;
  /** Whether the answer is the view itself. */
  readonly answers: boolean;
  /** Who wrote it: nobody else's sign-in sends it. */
  readonly person: string;
}

interface View {
  readonly sent: AnySent;
  readonly data: unknown;
  readonly fault: CallFault | null;
  readonly loading: boolean;
  /** Whether it is on the screen. */
  readonly shown: boolean;
}

export const ViewEvents = createActionGroup({
  source: 'Views',
  events: {
    Wanted: props<{ view: ViewName; sent: AnySent }>(),
    /** All that is shown may have become another, but for one view. */
    Outdated: props<{ but?: ViewName }>(),
    /** Nothing on the screen shows it any more. */
    Left: props<{ view: ViewName }>(),
    Loaded: props<{ view: ViewName; data: unknown }>(),
    Failed: props<{ view: ViewName; fault: CallFault }>(),
    'Change asked': props<{ change: Change }>(),
    'Change waits': props<{ change: Change }>(),
    Changed: props<{ change: Change; answer: unknown }>(),
    'May be sent': emptyProps(),
    'Change refused': props<{ change: Change; fault: CallFault }>(),
  },
});

interface ViewsState {
  readonly views: Readonly<Partial<Record<ViewName, View>>>;
  /** Changes on their way, and those that wait for a connection. */
  readonly sending: readonly string[];
  readonly waiting: readonly string[];
  readonly refused: readonly { readonly id: string; readonly view: ViewName; readonly message: string }[];
  readonly lastAnswer: { readonly endpoint: string; readonly answer: unknown } | null;
}

const without = (ids: readonly string[], id: string): readonly string[] => ids.filter((each) => each !== id);

function withView(state: ViewsState, view: ViewName, change: Partial<View>): ViewsState {
  const before = state.views[view] ?? { sent: {}, data: null, fault: null, loading: false, shown: false };
  return { ...state, views: { ...state.views, [view]: { ...before, ...change } } };
}

const initial: ViewsState = { views: {}, sending: [], waiting: [], refused: [], lastAnswer: null };

export const viewsFeature = createFeature({
  name: 'views',
  reducer: createReducer<ViewsState>(
    initial,
    on(ViewEvents.wanted, (state, { view, sent }) => {
      const same = JSON.stringify(state.views[view]?.sent) === JSON.stringify(sent);
      return withView(state, view, { sent, loading: true, shown: true, ...(same ? {} : { data: null, fault: null }) });
    }),
    on(ViewEvents.loaded, (state, { view, data }) => withView(state, view, { data, fault: null, loading: false })),
    on(ViewEvents.left, (state, { view }) => (state.views[view] ? withView(state, view, { shown: false }) : state)),
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
  ),
});
