import type { Sentences } from '@brave-comb/core/language';
import { counted } from '@brave-comb/core/words';
import type { Planned, RefusalSentences, Thing } from './refusals';

/** Whose times and limits are set. */
export const plannedNames: Readonly<Record<Planned, string>> = {
  group: 'group',
  supervisor: 'supervisor',
  trainee: 'trainee',
};

/** What is asked for and not there. */
export const thingNames: Readonly<Record<Thing, string>> = {
  claim: 'claim',
  'colony-in-this-hive': 'colony in this hive',
  decision: 'decision',
  demonstration: 'demonstration',
  entry: 'entry',
  event: 'event',
  'flow-to-move-to': 'flow to move to',
  group: 'group',
  'group-or-person': 'group or person',
  hive: 'hive',
  'hive-at-this-site': 'hive at this site',
  'hive-in-this-session': 'hive in this session',
  message: 'message',
  person: 'person',
  photo: 'photo',
  'photo-drill': 'photo drill',
  'photo-or-note': 'photo or note',
  pin: 'fixed slot',
  plan: 'plan',
  'planning-job': 'planning job',
  poll: 'poll',
  'pollen-load': 'pollen load',
  question: 'question',
  session: 'session',
  side: 'side',
  signature: 'signature',
  site: 'site',
  supervisor: 'supervisor',
  'supervisor-of-that-session': 'supervisor of that session',
  task: 'task',
  trainee: 'trainee',
  trial: 'trial',
  visit: 'visit',
};

/** Refusals in English. */
export const refusalSentences: Sentences<RefusalSentences> = {
  'not-json': 'What was sent is not JSON. Send application/json; nothing was changed.',
  'sent-too-much': ({ kB }) => `More than ${kB} kB were sent at once. Send less at a time; nothing was changed.`,
  'no-utf8': 'Send UTF-8 without an unusual encoding; nothing was changed.',
  'cut-off': 'The request was cut off. Send it again; nothing was changed.',
  'bad-address': 'The address cannot be read.',
  busy: 'Somebody else was changing the same just then. Nothing was changed; it is sent again in a moment.',
  'id-in-use': 'Something else has this id already. Enter it again; nothing was changed.',
  'names-what-is-not-there':
    'What was sent names something that is not there, or not any more. Load the page again, then enter it again; nothing was changed.',
  'too-long-to-keep':
    'A text or a figure in what was sent is too long or too large to be kept. Shorten it, then send again; nothing was changed.',
  'something-went-wrong': 'Something went wrong here and was written to the log. Nothing was changed; try again.',
  'database-away':
    'The database does not answer. What you entered stays on your device and is sent again automatically; nothing is saved twice. Restart the application if this lasts.',
  'disk-full':
    'The disk with the data folder is full. Free some space, then send again; nothing was changed and entries stay on your device.',
  'many-ask-at-once':
    'The server is busy. Nothing was changed and nothing is lost; it will be tried again in a moment.',
  'not-your-session':
    'You did not lead a group in that session. Ask its supervisor to judge, or judge what you saw yourself.',
  'other-kind': ({ name, kind, sent }, w) =>
    `${name} is planned as a ${w.name('planned', kind)}, not as a ${w.name('planned', sent)}.`,
  'entry-not-kept':
    'This entry could not be saved; the server log says why. Enter it again in other words, or discard it.',
  'id-of-another-visits-entry': 'An entry with this id belongs to another visit. Make the entry again.',
  'entry-with-half-a-character': ({ torn }) =>
    `The entry holds half a character (${torn}), perhaps of an emoji. Type that text again.`,
  'nothing-could-be-kept': 'Nothing that was sent could be saved.',
  'entry-unreadable': ({ where, why }, w) =>
    `The entry cannot be read${where === null ? '' : ` (${where})`}: ${why === null ? 'it has the wrong form' : w.text(why)}`,
  'too-many-photos': ({ own }) =>
    `${own ? 'You have' : 'The school has'} kept as many photos and notes as there is room for. Tell the lead instructor; what was entered besides is kept.`,
  'no-photo': 'This photo cannot be read. Take the photo again.',
  'no-sound': 'This recording cannot be played. Record the note again.',
  'id-of-another-hives-visit':
    'A visit with this id belongs to another hive. Start the visit again from the day sheet.',
  'hive-stands-elsewhere': ({ number, elsewhere, site }) =>
    `Hive ${number} stands at ${elsewhere ?? 'another site'}, the session is at ${site}. Choose a hive of this site.`,
  'empty-hive': ({ number }) => `Hive ${number} has no colony. Choose another hive.`,
  'before-the-colony': ({ number, since }, w) =>
    `Hive ${number} has had its colony since ${w.date(since)}. Check the date of your device.`,
  'no-group': ({ number }) => `No group is planned for hive ${number}. Give the session a group first.`,
  'trial-revisit-past': 'Choose a day after today on which the hives are looked at again.',
  'trial-no-pair':
    'No two of these hives are alike enough: choose hives within about four frames of bees and brood of each other.',
  'done-in-the-future': ({ date }, w) => `${w.date(date)} is in the future: log what was done today or before.`,
  'id-of-another-colonys-entry': 'An entry with this id belongs to another colony. Enter it again.',
  'file-reaches-into-the-future': ({ date }, w) =>
    `The file holds ${w.date(date)}, which is in the future. Only what was measured is imported; nothing was kept.`,
  'year-of-the-other-half': ({ place }) =>
    `This file is of ${place}, on the other half of the globe: its winter is this site’s summer. Choose another.`,
  'moment-to-come': 'That time is in the future: enter what is seen now.',
  'box-does-not-fit': ({ stranger, number }) =>
    `Box ${stranger} does not fit hive ${number}: choose a box of its own type.`,
  'entry-before-the-colony': ({ hive, since, date }, w) =>
    `Hive ${hive} has had its colony since ${w.date(since)}, the entry is dated ${w.date(date)}. Check the date of your device.`,
  'entry-in-the-future': ({ date }, w) =>
    `The entry is dated ${w.date(date)}, which is in the future. Check the date of your device.`,
  'for-the-supervisor': 'This is for the supervisor of the group. Ask them to enter it.',
  'visit-is-closed': 'This visit is closed. What is still to be corrected is entered by the supervisor: tell them.',
  'somebody-elses-entry': 'Somebody else made that entry. Ask the supervisor to take it back.',
  'comb-of-no-school':
    'That comb, or the colony it is said to come from, does not belong to this school. Load the visit again, then choose the comb once more.',
  'comb-to-another-site': 'The comb can only go to a hive of the same site. Choose one of it.',
  'no-such-part': ({ hive, part, parts }) =>
    `Hive ${hive} has no part called ${part}. Its parts are ${parts.join(', ')}.`,
  'no-trainee-of-yours': 'That person is not a trainee of a group that you have led. Choose one of the group.',
  'no-such-task': 'This hive has no such task any more. Load the visit again.',
  'trainee-of-another-group': 'That trainee does not belong to this group. Choose one of the group.',
  'not-with-this-group': 'That person is not with this group. Choose one of it, or answer later.',
  'no-such-entry': 'This visit has no such entry to take back or keep. Load the visit again.',
  'no-such-box': ({ hive, box, boxes }) => `Hive ${hive} has no box called ${box}. Its boxes are ${boxes.join(', ')}.`,
  'no-such-frame': ({ box, hive, frames, frame }) =>
    `The ${box} of hive ${hive} has ${frames} frames, there is no frame ${frame}.`,
  'choose-a-plant': 'Choose a plant.',
  'which-plant': 'Say which plant has opened.',
  'id-of-another-sites-event': 'An event with this id belongs to another site. Log it again.',
  'plant-not-listed': 'This plant is not on the site’s list. Add it first.',
  'bloom-ends-before-it-begins': ({ last, first }, w) =>
    `Its end (${w.date(last)}) would lie before its first bloom (${w.date(first)}). Correct one of them.`,
  'wrong-code': ({ left }) =>
    `That is not the code shown where the server was started. ${left > 0 ? `${counted(left, 'try', 'tries')} left.` : 'Wait 2 minutes before the next try.'}`,
  'wait-with-code': ({ minutes }) =>
    `Too many wrong codes. Wait ${minutes} minutes, or start the server again for a new code.`,
  'session-in-the-past': 'These hours are over: choose hours that are still ahead.',
  'ends-before-it-begins': 'The session ends before it begins: change its hours.',
  'session-begun': 'A hive was opened in this session already: it is changed no more. Write the rest into its debrief.',
  'one-hive-twice': 'One hive is given to two groups: choose another for one of them.',
  'one-group-twice': 'A group stands there twice.',
  'does-not-fit-yet': ({ troubles }, w) =>
    `${troubles.map((each) => w.text(each)).join(' ')} Change it, or say why it is held anyway.`,
  'figure-refused': ({ figure, why }, w) => `${w.text(figure)}: ${w.text(why)} Nothing was changed.`,
  'owners-archive': 'The whole school is taken out and brought in by its owner only: ask them.',
  'own-records-only': 'What is kept of somebody else is shown to lead instructors only.',
  'archive-name': ({ name }) => `To replace the school, type its name as it stands here: ${name}. Nothing was changed.`,
  'archive-ids-in-use':
    'Records of this archive belong to another school of this installation. Bring it in as a copy: printed labels then have to be made anew. Nothing was changed.',
  'archive-refused': ({ why }, w) => `${w.text(why)} Nothing was changed.`,
  'archive-column': ({ table, column }) =>
    `The archive holds ${column === null ? `a table ${table}` : `a column ${column} of ${table}`} that this installation does not know: update it first.`,
  'archive-value': ({ line, column }, w) =>
    `Line ${w.number(line)} of the archive: ${column} is nothing that can be kept.`,
  'archive-other-school': ({ line }, w) => `Line ${w.number(line)} of the archive belongs to another school.`,
  'archive-points-out': ({ line, table }, w) =>
    `Line ${w.number(line)} of the archive names something of ${table} that does not stand before it.`,
  'archive-too-large': ({ GB }, w) => `The archive is larger than ${w.number(GB)} GB. Nothing was changed.`,
  'archive-unreadable': 'This is no archive of a school, or it is cut off: it cannot be unpacked. Nothing was changed.',
  'changed-meanwhile': ({ by }) =>
    `${by ?? 'Somebody'} has changed this since you opened it. Compare both below, then save again.`,
  'site-name-in-use': ({ name }) => `There is a site called ${name} already: give this one another name.`,
  'group-name-in-use': ({ name }) => `There is a group called ${name} already: give this one another name.`,
  'number-in-use': ({ number }) => `Another hive has, or had, the number ${number}: give this one another.`,
  'hives-stand-there': ({ hives }) =>
    `${counted(hives, 'hive stands', 'hives stand')} there. Move or retire them first.`,
  'no-mail':
    'This installation sends no mail: hand the link over, or have whoever runs the server set up a mail server.',
  'no-mail-address': ({ name }) => `No mail address of ${name} is known: type one, or hand the link over.`,
  'mail-failed': ({ why }) =>
    `The mail server did not take it (${why}). Nothing was sent; try again, or hand the link over.`,
  'hive-not-here': ({ site }) => `One of the hives has left ${site} meanwhile: open the plan again.`,
  'stand-not-on-plan': ({ stand, number }) => `Hive ${number} is on stand ${stand}, which the plan does not have.`,
  'hive-without-a-box': ({ number }) => `Hive ${number} has no box: add one for the nest.`,
  'bees-in-it': 'Bees live in this hive: say what became of them.',
  'only-the-owner': 'Only the owner of the school makes or changes lead instructors: ask them.',
  'owner-stays': 'The owner of the school, and you yourself, cannot be taken out here.',
  'invitation-over': 'This link is over or was used already. Ask the person who sent it for a new one.',
  'sign-in-taken': ({ name }) => `${name} is somebody’s already: choose another sign-in name.`,
  'another-password': 'That is not your password so far.',
  'has-owner': () => 'This installation has an owner already: sign in, or ask them for an invitation.',
  'wrong-password': 'Name or password is wrong. Check both; capitals matter in the password.',
  'too-many-tries': ({ minutes }) =>
    `Too many wrong passwords from here. Try again in ${counted(minutes, 'minute')}, or on a device on which you have signed in before.`,
  stopping: 'The server is restarting. It is tried again automatically.',
  'seen-in-the-future': ({ date }, w) => `${w.date(date)} is in the future: enter what was seen today or before.`,
  'no-such-thing': ({ what }, w) =>
    `There is no such ${w.name('thing', what)} among those that you may see. Go back and open it from the list.`,
  'proxy-not-trusted': ({ peer }) =>
    `Requests come through a proxy (${peer}) that this server was not told to trust. Whoever runs it starts it with TRUST_PROXY=${peer}.`,
  'not-protected': ({ publicUrl }) =>
    `This address is not protected, so sign-in is not possible here. Open ${publicUrl || 'the https address'} instead.`,
  'other-site': 'This came from another web site and was not done. Use the application itself.',
  'other-address': ({ publicUrl }) =>
    `This came from another address and was not done. Open the application at ${publicUrl}.`,
  'no-such-address': 'Unknown address. See /api/docs for the list.',
  'no-such-file': 'There is no such file.',
  'no-demo': 'This is a real school, not a demo: nothing is deleted.',
  'judged-in-the-future': ({ date }, w) =>
    `It is dated ${w.date(date)}, which is in the future. Check the date: a skill is assessed after it was shown.`,
  'unknown-skill': ({ skill }) => `The checklist has no skill called ${skill}. Choose one of the checklist.`,
  'id-of-another-judgement': 'A judgement with this id is about something else. Judge it again.',
  'settled-already': 'Somebody else has settled this claim. Load the page again.',
  'skill-not-in-force': ({ id }) => `The published list has no skill called ${id}. Load the page again.`,
  'another-persons-passport': ({ trainee, school, name }) =>
    `This is the passport of ${trainee}, from ${school}. ${name} is somebody else, or goes by another name now: say so, or choose the right file.`,
  'another-version': ({ version }) =>
    `Version ${version} was published since this draft was begun. Look at what differs, then publish again.`,
  'another-list-waits': ({ version, starts }, w) =>
    `Version ${version} waits for ${w.date(starts)}. Withdraw it first: only one list can be scheduled.`,
  'no-day-to-come': 'Say from which day it takes effect: a day after today.',
  'a-draft-is-there':
    'There is a draft already, and the scheduled list would replace it. Export the draft if you need it, discard it, then withdraw the list.',
  'published-meanwhile': ({ by, version, changes }, w) =>
    `${by ?? 'Somebody'} published version ${version} while you planned: ${changes.map((change) => w.text(change)).join('; ') || 'nothing that moved'}. Your plan is kept. Look at what changed, then publish again.`,
  'newer-forecast':
    'This plan was made by an older forecast than the one in use now. It is kept: look at what the new forecast changes, then publish.',
  'slot-is-gone': ({ day, time }, w) =>
    `The plan has a session on ${w.date(day)} at ${time}, which has begun or is not offered any more. Plan again; what you fixed is kept.`,
  'unknown-names':
    'The plan names a group, a hive or an hour that is not here, or not any more. Plan again from the board.',
  'enough-plans-wait': 'One plan is being worked out and two are waiting. Stop one of them, or wait until one is done.',
  'enough-plans-wait-stop-one': 'One plan is being worked out and two are waiting. Stop one of them first.',
  'changed-since': 'Something was entered since you read it. Read it through once more, then sign off.',
  'read-and-tick': 'Read every part and tick it, then sign off.',
  'id-of-another-visits-decision': 'A decision with this id belongs to another visit. Decide again.',
  'not-advised': ({ advice }, w) =>
    `“${w.name('advice', advice)}” is not advised for this visit any more. Load the review again.`,
  'done-in-the-past': ({ on }, w) => `${w.date(on)} is before the visit. Choose the day of the visit or a later one.`,
  'task-in-the-past': ({ due }, w) => `${w.date(due)} is past. Choose today or a later day.`,
  'follow-up-in-the-past': ({ due }, w) =>
    `The follow-up is dated ${w.date(due)}, before the visit. Choose a later day.`,
  'hive-not-at-that-site': 'One of the hives does not stand at the site that they are moved from.',
  'nobody-in-it': 'The group has no trainees. Choose another group.',
  'plan-of-another-group': 'This plan is another group’s already.',
  'day-out-of-reach': 'Choose a day from today on, within two months: the plan is based on what they practised lately.',
  'id-of-another-photos-drill': 'A drill with this id is about another photo. Make it again.',
  'not-yours': 'Somebody else made this drill, from a visit that you did not lead. Ask them, or the lead instructor.',
  'answered-in-the-future': 'The answer is dated in the future. Check the clock of the device.',
  'id-of-another-answer': 'An answer with this id is about something else. Answer again.',
  'another-drill': ({ topic }, w) => `That answers a drill of another kind. This one is "${w.name('topic', topic)}".`,
  'for-trainees': 'Trainees of the group answer; you see what they said.',
  'too-early': 'The lesson has not begun: answer what is asked before it.',
  'name-as-it-stands': ({ name }) => `Type the name exactly: ${name}. Nothing was erased.`,
  'half-a-character': ({ torn }) =>
    `What was sent holds half a character (${torn}), perhaps of an emoji. Type that text again.`,
  'address-names-nothing': 'We cannot find that. Go back and open it from the list.',
  'cannot-be-used': ({ what, where, why }, w) =>
    `${what === 'address' ? 'The address' : 'What was sent'} cannot be used${where === null ? '' : ` (${where})`}: ${why === null ? 'it has the wrong form' : w.text(why)}`,
  'too-slow': 'This took too long. It is tried again automatically; nothing is saved twice.',
  'too-many-streams': 'You follow this on several screens already. Close one of them, then open it here again.',
  'somebody-else':
    'Somebody else is signed in on this device now. Load the page again; what you entered waits here until you sign in.',
  'sign-in-first': 'Sign in first. What you entered on this device is kept and sent afterwards.',
  'not-allowed': 'This is for supervisors or the lead instructor. Ask one of them to do it.',
  'real-clock': 'This school runs on the real clock, which cannot be moved.',
  'not-later': 'The demo clock only moves forward: give a later time, or some minutes.',
  'too-late': ({ date }, w) =>
    `The demo’s invented weather and records end: its clock goes up to ${w.date(date)}. To go back, start the demo again.`,
  'calendar-address-gone': 'This calendar address does not work any more. Make a new one in the application.',
};
