import type { PlanJob } from '@brave-comb/contract';
import type { Assignments } from '@brave-comb/core/planning';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';
import { PeopleEvents } from '../people/people.feature';

export interface Draft {
  readonly plan: Assignments;
  /** What was done, for the undo. */
  readonly words: string;
}

/** A plan that was put aside to be compared with. */
interface Aside {
  readonly plan: Assignments;
  readonly name: string;
}

export const PlanJobEvents = createActionGroup({
  source: 'Plan job',
  events: {
    Asked: props<{ id: string; seconds: number; seed: number }>(),
    Watched: props<{ id: string }>(),
    Told: props<{ job: PlanJob }>(),
    Lost: props<{ fault: CallFault }>(),
    'Stop asked': props<{ id: string }>(),
    'Resume asked': props<{ id: string; seconds: number }>(),
    'Draft changed': props<{ plan: Assignments; words: string }>(),
    'Set aside': props<{ plan: Assignments; name: string }>(),
    'Drafts found': props<{ drafts: readonly Draft[] }>(),
    Undone: emptyProps(),
    Published: emptyProps(),
  },
});

interface PlanJobState {
  readonly job: PlanJob | null;
  /** A plan was asked for and the server has not said yet that it has the job. */
  readonly asking: boolean;
  readonly fault: CallFault | null;
  /** Changes made by hand, the newest last; empty while the board shows what the job finds. */
  readonly drafts: readonly Draft[];
  readonly aside: readonly Aside[];
}

const initial: PlanJobState = { job: null, asking: false, fault: null, drafts: [], aside: [] };
/** Plans kept for comparing. */
const ASIDE = 5;

export const planJobFeature = createFeature({
  name: 'planJob',
  reducer: createReducer<PlanJobState>(
    initial,
    on(PlanJobEvents.asked, (state) => ({ ...state, asking: true, fault: null, drafts: [] })),
    // A plan that failed, or was stopped before it found anything, does not take the last one off the board.
    on(PlanJobEvents.told, (state, { job }) => ({
      ...state,
      job:
        job.plan === null && state.job?.plan
          ? { ...job, plan: state.job.plan, course: job.trouble ? state.job.course : job.course }
          : job,
      asking: false,
      fault: null,
    })),
    on(PlanJobEvents.lost, (state, { fault }) => ({ ...state, asking: false, fault })),
    on(PlanJobEvents.draftChanged, (state, draft) => ({ ...state, drafts: [...state.drafts, draft] })),
    on(PlanJobEvents.draftsFound, (state, { drafts }) => (state.drafts.length > 0 ? state : { ...state, drafts })),
    on(PlanJobEvents.published, (state) => ({ ...state, drafts: [] })),
    on(PlanJobEvents.setAside, (state, aside) => ({ ...state, aside: [...state.aside, aside].slice(-ASIDE) })),
    on(PlanJobEvents.undone, (state) => ({ ...state, drafts: state.drafts.slice(0, -1) })),
    on(PeopleEvents.signedOut, () => initial),
  ),
});
