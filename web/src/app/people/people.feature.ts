import type { Person, endpoints } from '@brave-comb/contract';
import {
  type MetaReducer,
  createActionGroup,
  createFeature,
  createReducer,
  createSelector,
  emptyProps,
  on,
  props,
} from '@ngrx/store';
import type { CallFault, Sent } from '../api/contract-client';

/** What the first owner of an installation says of themselves and the school. */
export type FirstSchool = Sent<(typeof endpoints)['beginSchool']>['body'];

/** The server's clock as it was read, and when it was read by this machine's clock. */
export interface ClockState {
  readonly now: string;
  readonly demo: boolean;
  readonly readAt: number;
}

/** How a sign-in ended while its page was open: it is over, or somebody else signed in on this device. */
export type SignInEnd = 'over' | 'somebody-else';

export const PeopleEvents = createActionGroup({
  source: 'People',
  events: {
    'Application opened': emptyProps(),
    'Person recognised': props<{
      person: Person | null;
      clock: ClockState;
      door: string | null;
      beginning?: boolean;
    }>(),
    'Invitation accepted': props<{ wish: Sent<(typeof endpoints)['acceptInvitation']>['body'] }>(),
    'School begun': props<{ wish: FirstSchool }>(),
    'Sign in submitted': props<{ name: string; password: string }>(),
    'Signed in': props<{ person: Person; clock: ClockState }>(),
    'Units chosen': props<{ person: Person }>(),
    'Sign in refused': props<{ fault: CallFault }>(),
    'Sign out asked': emptyProps(),
    'Signed out': emptyProps(),
    'Sign in ended': props<{ end: SignInEnd }>(),
    'Clock move asked': props<{ to: string } | { minutes: number }>(),
    'Clock moved': props<{ clock: ClockState }>(),
    'Demo again asked': emptyProps(),
    'Demo again refused': props<{ fault: CallFault }>(),
  },
});

interface PeopleState {
  readonly person: Person | null;
  readonly clock: ClockState | null;
  readonly status: 'unknown' | 'in' | 'out' | 'signing in';
  readonly fault: CallFault | null;
  /** What is wrong with the way to the server, in words. */
  readonly door: string | null;
  readonly end: SignInEnd | null;
  /** Whether this installation waits for its first owner. */
  readonly beginning: boolean;
}

const initial: PeopleState = {
  person: null,
  clock: null,
  status: 'unknown',
  fault: null,
  door: null,
  end: null,
  beginning: false,
};

export const peopleFeature = createFeature({
  name: 'people',
  reducer: createReducer<PeopleState>(
    initial,
    on(PeopleEvents.personRecognised, (state, { person, clock, door, beginning = false }) => ({
      ...state,
      beginning,
      person,
      clock,
      door,
      end: null,
      status: person ? ('in' as const) : ('out' as const),
    })),
    on(PeopleEvents.signInSubmitted, PeopleEvents.schoolBegun, PeopleEvents.invitationAccepted, (state) => ({
      ...state,
      status: 'signing in' as const,
      fault: null,
    })),
    on(PeopleEvents.signedIn, (state, { person, clock }) => ({
      ...state,
      person,
      clock,
      end: null,
      beginning: false,
      status: 'in' as const,
    })),
    on(PeopleEvents.unitsChosen, (state, { person }) => ({ ...state, person })),
    on(PeopleEvents.signInEnded, (state, { end }) => ({ ...state, end })),
    on(PeopleEvents.signInRefused, (state, { fault }) => ({ ...state, status: 'out' as const, fault })),
    on(PeopleEvents.signedOut, (state) => ({ ...initial, clock: state.clock, status: 'out' as const })),
    on(PeopleEvents.demoAgainRefused, (state, { fault }) => ({ ...state, fault })),
    on(PeopleEvents.clockMoved, (state, { clock }) => ({ ...state, clock })),
  ),
  extraSelectors: ({ selectPerson }) => ({ selectId: createSelector(selectPerson, (person) => person?.id ?? null) }),
});

const FORGETS = new Set<string>([PeopleEvents.signedOut.type, PeopleEvents.signedIn.type]);

/** With somebody who signs out or in, all that was shown before is forgotten. */
export const forgetOnSignOut: MetaReducer<{ people?: unknown }> = (reducer) => (state, action) =>
  reducer(FORGETS.has(action.type) ? { people: state?.people } : state, action);
