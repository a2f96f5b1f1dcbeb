import { named } from '../../language';
import type { StepId, VisitDepth } from '../closing/steps';
import { say } from '../said';
import type { OutsideLook } from '../visit/outside';
import type { EvidenceId } from '../visit/questions';
import type { Kinds, Stamp } from './kind';

export const STOP_REASONS = ['question-answered', 'time', 'weather', 'temper', 'people', 'finding', 'other'] as const;
export type StopReason = (typeof STOP_REASONS)[number];

/** The four headings of a summary, in the reader's own words. */
export interface Summary {
  readonly bees: string;
  readonly brood: string;
  readonly food: string;
  readonly health: string;
}

interface Ending {
  readonly reason: StopReason;
  readonly note: string;
}

/** The way of a visit from its first step to its end. */
export interface WayEntries {
  'step-reached': { readonly step: StepId };
  'depth-chosen': { readonly depth: VisitDepth };
  'outside-seen': { readonly when: 'before' | 'after'; readonly look: OutsideLook };
  'evidence-ticked': { readonly evidence: EvidenceId; readonly seen: boolean };
  'summed-up': { readonly summary: Summary };
  'stop-said': Ending;
  'visit-closed': Ending;
  /** Takes an entry back, also another of its own kind. */
  'entry-undone': { readonly entry: string };
}

export interface WayRecord {
  readonly step: StepId;
  /** How deep it goes, as somebody chose; `null` for as deep as the hour allows. */
  readonly depth: VisitDepth | null;
  readonly outside: Readonly<Partial<Record<'before' | 'after', OutsideLook>>>;
  readonly ticks: Readonly<Partial<Record<EvidenceId, boolean>>>;
  readonly summary: Summary | null;
  /** Why somebody said to stop before all was seen; the end of the visit carries it. */
  readonly stop: (Ending & Stamp) | null;
  readonly closed: (Ending & Stamp) | null;
}

export const WAY_BLANK: WayRecord = {
  step: 'before',
  depth: null,
  outside: {},
  ticks: {},
  summary: null,
  stop: null,
  closed: null,
};

export const WAY_KINDS: Kinds<WayEntries, WayRecord> = {
  'step-reached': {
    fold: (record, { step }) => {
      record.step = step;
    },
    text: ({ kind, step }) => say('entry-of', { what: named('entryKind', kind), says: named('step', step) }),
  },
  'depth-chosen': {
    fold: (record, { depth }) => {
      record.depth = depth;
    },
  },
  'outside-seen': {
    fold: (record, { when, look }) => {
      record.outside = { ...record.outside, [when]: look };
    },
  },
  'evidence-ticked': {
    fold: (record, { evidence, seen }) => {
      record.ticks = { ...record.ticks, [evidence]: seen };
    },
  },
  'summed-up': {
    fold: (record, { summary }) => {
      record.summary = summary;
    },
  },
  'stop-said': {
    fold: (record, entry) => {
      record.stop = entry;
    },
    text: ({ reason }) => say('entry-stop', { reason }),
  },
  'visit-closed': {
    bySupervisors: true,
    fold: (record, entry) => {
      record.closed = entry;
    },
  },
  'entry-undone': { fold: () => undefined, refersTo: ({ entry }) => ({ entry }) },
};
