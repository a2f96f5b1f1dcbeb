import type { VisitFile } from '@brave-comb/contract';
import type { SideAddress, SideEntry, StepId, VisitEntry } from '@brave-comb/core/inspection';
import { createActionGroup, emptyProps, props } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';
import type { SideDraft, WaitingEntry } from '../device/device-store';

/** What happens in a visit, on this device and on its way to the server. */
export const InspectionEvents = createActionGroup({
  source: 'Inspection',
  events: {
    'Visit opened': props<{ visit: string }>(),
    'Visit found on device': props<{
      file: VisitFile | null;
      waiting: readonly WaitingEntry[];
      draft: SideDraft | null;
      step: StepId | null;
    }>(),
    'Visit file loaded': props<{ file: VisitFile }>(),
    'Visit file failed': props<{ visit: string; fault: CallFault }>(),
    /** The screen of the visit was left. */
    'Visit left': emptyProps(),
    'Visit joined': props<{ from: string; to: string }>(),
    'Entry made': props<{ entry: VisitEntry }>(),
    /** Something added to a visit that is not open on this device: a question, a photo looked at afterwards. */
    'Entry added': props<{ visit: string; entry: VisitEntry }>(),
    /** What other devices entered. */
    'Entries heard': props<{ visit: string; entries: readonly VisitEntry[]; heard: number }>(),
    'Entries kept': props<{ entries: readonly VisitEntry[] }>(),
    'Entries refused': props<{ entries: readonly WaitingEntry[] }>(),
    'Refused entry settled': props<{ id: string }>(),
    'Sending failed': props<{ fault: CallFault }>(),
    'Everything sent': emptyProps(),
    'Side chosen': props<{ address: SideAddress }>(),
    'Side changed': props<{ entry: SideEntry }>(),
    'Side change undone': emptyProps(),
    'Side change redone': emptyProps(),
    /** A trainee reads the side first; null when the supervisor does. */
    'Reader chosen': props<{ person: string | null }>(),
  },
});
