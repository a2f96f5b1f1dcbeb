import type { AdviceKind } from '@brave-comb/core/care';
import type { Text } from '@brave-comb/core/language';
import type { CivilDate } from '@brave-comb/core/units';

/** Whose times and limits are set. */
export type Planned = 'group' | 'supervisor' | 'trainee';
/** What may not be there. */
export type Thing =
  | 'claim'
  | 'colony-in-this-hive'
  | 'decision'
  | 'demonstration'
  | 'entry'
  | 'event'
  | 'flow-to-move-to'
  | 'group'
  | 'group-or-person'
  | 'hive'
  | 'hive-at-this-site'
  | 'hive-in-this-session'
  | 'message'
  | 'person'
  | 'photo'
  | 'photo-drill'
  | 'photo-or-note'
  | 'pin'
  | 'plan'
  | 'planning-job'
  | 'poll'
  | 'pollen-load'
  | 'question'
  | 'session'
  | 'side'
  | 'signature'
  | 'site'
  | 'supervisor'
  | 'supervisor-of-that-session'
  | 'task'
  | 'trainee'
  | 'trial'
  | 'visit';

/** What is answered instead of what was asked for: what is wrong, and what to do. */
export interface RefusalSentences {
  'not-json': null;
  'sent-too-much': { kB: number };
  'no-utf8': null;
  'cut-off': null;
  'bad-address': null;
  busy: null;
  'id-in-use': null;
  'names-what-is-not-there': null;
  'too-long-to-keep': null;
  'something-went-wrong': null;
  'database-away': null;
  'disk-full': null;
  'many-ask-at-once': null;
  'not-your-session': null;
  'other-kind': { name: string; kind: Planned; sent: Planned };
  'entry-not-kept': null;
  'id-of-another-visits-entry': null;
  'entry-with-half-a-character': { torn: string };
  'nothing-could-be-kept': null;
  'entry-unreadable': { where: string | null; why: Text | null };
  'too-many-photos': { own: boolean };
  'no-photo': null;
  'no-sound': null;
  'id-of-another-hives-visit': null;
  'hive-stands-elsewhere': { number: string; elsewhere: string | null; site: string };
  'empty-hive': { number: string };
  'before-the-colony': { number: string; since: CivilDate };
  'no-group': { number: string };
  'done-in-the-future': { date: CivilDate };
  'trial-revisit-past': null;
  'trial-no-pair': null;
  'id-of-another-colonys-entry': null;
  'file-reaches-into-the-future': { date: CivilDate };
  'year-of-the-other-half': { place: string };
  'moment-to-come': null;
  'box-does-not-fit': { stranger: string; number: string };
  'entry-before-the-colony': { hive: string; since: CivilDate; date: CivilDate };
  'entry-in-the-future': { date: CivilDate };
  'for-the-supervisor': null;
  'visit-is-closed': null;
  'somebody-elses-entry': null;
  'comb-of-no-school': null;
  'comb-to-another-site': null;
  'no-such-part': { hive: string; part: string; parts: readonly string[] };
  'no-trainee-of-yours': null;
  'no-such-task': null;
  'trainee-of-another-group': null;
  'not-with-this-group': null;
  'no-such-entry': null;
  'no-such-box': { hive: string; box: string; boxes: readonly string[] };
  'no-such-frame': { box: string; hive: string; frames: number; frame: number };
  'which-plant': null;
  'choose-a-plant': null;
  'id-of-another-sites-event': null;
  'plant-not-listed': null;
  'bloom-ends-before-it-begins': { last: CivilDate; first: CivilDate };
  'wrong-password': null;
  'wrong-code': { left: number };
  'wait-with-code': { minutes: number };
  'has-owner': null;
  'session-in-the-past': null;
  'ends-before-it-begins': null;
  'session-begun': null;
  'one-hive-twice': null;
  'one-group-twice': null;
  'does-not-fit-yet': { troubles: readonly Text[] };
  'figure-refused': { figure: Text; why: Text };
  'owners-archive': null;
  'own-records-only': null;
  'archive-name': { name: string };
  'archive-ids-in-use': null;
  'archive-refused': { why: Text };
  'archive-column': { table: string; column: string | null };
  'archive-value': { line: number; column: string };
  'archive-other-school': { line: number };
  'archive-points-out': { line: number; table: string };
  'archive-too-large': { GB: number };
  'archive-unreadable': null;
  'changed-meanwhile': { by: string | null; at: string | null };
  'site-name-in-use': { name: string };
  'group-name-in-use': { name: string };
  'number-in-use': { number: string };
  'hives-stand-there': { hives: number };
  'no-mail': null;
  'no-mail-address': { name: string };
  'mail-failed': { why: string };
  'hive-not-here': { site: string };
  'stand-not-on-plan': { stand: string; number: string };
  'hive-without-a-box': { number: string };
  'bees-in-it': null;
  'only-the-owner': null;
  'owner-stays': null;
  'invitation-over': null;
  'sign-in-taken': { name: string };
  'another-password': null;
  'too-many-tries': { minutes: number };
  stopping: null;
  'seen-in-the-future': { date: CivilDate };
  'no-such-thing': { what: Thing };
  'proxy-not-trusted': { peer: string };
  'not-protected': { publicUrl: string };
  'other-site': null;
  'other-address': { publicUrl: string };
  'no-such-address': null;
  'no-such-file': null;
  'no-demo': null;
  'judged-in-the-future': { date: CivilDate };
  'unknown-skill': { skill: string };
  'id-of-another-judgement': null;
  'settled-already': null;
  'skill-not-in-force': { id: string };
  'another-persons-passport': { trainee: string; school: string; name: string };
  'another-version': { version: number };
  'another-list-waits': { version: number; starts: CivilDate };
  'no-day-to-come': null;
  'a-draft-is-there': null;
  'published-meanwhile': { by: string | null; version: number; changes: readonly Text[] };
  'newer-forecast': null;
  'slot-is-gone': { day: CivilDate; time: string };
  'unknown-names': null;
  'enough-plans-wait': null;
  'enough-plans-wait-stop-one': null;
  'changed-since': null;
  'read-and-tick': null;
  'id-of-another-visits-decision': null;
  'not-advised': { advice: AdviceKind };
  'follow-up-in-the-past': { due: CivilDate };
  'done-in-the-past': { on: CivilDate };
  'task-in-the-past': { due: CivilDate };
  'hive-not-at-that-site': null;
  'nobody-in-it': null;
  'plan-of-another-group': null;
  'day-out-of-reach': null;
  'id-of-another-photos-drill': null;
  'not-yours': null;
  'answered-in-the-future': null;
  'id-of-another-answer': null;
  'another-drill': { topic: string };
  'for-trainees': null;
  'too-early': null;
  'name-as-it-stands': { name: string };
  'half-a-character': { torn: string };
  'address-names-nothing': null;
  'cannot-be-used': { what: 'address' | 'body'; where: string | null; why: Text | null };
  'too-slow': null;
  'too-many-streams': null;
  'somebody-else': null;
  'sign-in-first': null;
  'not-allowed': null;
  'real-clock': null;
  'not-later': null;
  'too-late': { date: CivilDate };
  'calendar-address-gone': null;
}
