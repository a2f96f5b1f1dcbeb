import { type Text, named } from '../../language';
import { changeText } from '../../equipment';
import { say } from '../said';
import { type EntryBody, MOODS } from '../visit/entries';
import { type SideAddress } from '../side/frame-side';
import { readMeasure } from '../visit/measures';
import { formatSide } from '../side/shorthand';
import { spotOf, spotText } from '../visit/spots';

const side = (address: SideAddress): Text => spotText(spotOf(address));

/**
 * An entry in a few words, for lists of what waits or was refused.
 *
 * @param body what was entered
 * @returns words without names of people: "mood: easy"
 */
export function entryText(body: EntryBody): Text {
  const kind = named('entryKind', body.kind);
  switch (body.kind) {
    case 'frame-side-recorded':
    case 'side-read-by-trainee':
      return say('entry-of', { what: side(body.address), says: formatSide(body.side) });
    case 'side-guessed':
      return say('entry-guessed', { side: side(body.address), letters: body.letters });
    case 'confirmed-afterwards':
      return say('entry-confirmed', { side: side(body.address), letter: body.letter, there: body.there });
    case 'reading-settled':
      return say('entry-settled', { side: side(body.address) });
    case 'queen-mark-seen':
      return say('entry-queen-mark', { colour: body.colour });
    case 'doubt-looked-at-again':
      return say('entry-doubt', { side: side(body.address), sound: body.sound });
    case 'step-reached':
      return say('entry-of', { what: kind, says: named('step', body.step) });
    case 'checked':
      return say('entry-checked', { check: body.check, ok: body.ok });
    case 'finding-noted':
      return say('entry-found', { finding: body.finding, found: body.found });
    case 'measured':
      return readMeasure(body.measure).says;
    case 'mood-noted':
      return say('entry-mood', { mood: MOODS[body.mood - 1]! });
    case 'defect-noted':
      return say('entry-defect', { defect: body.defect, part: body.part });
    case 'stray-comb-noted':
      return say('entry-stray', { place: body.place });
    case 'stack-changed':
      return changeText(body.change);
    case 'comb-moved':
      return say('entry-comb', { label: body.comb.label });
    case 'frame-lifted':
    case 'frame-set-back':
      return say('entry-of', { what: kind, says: say('spot-frame', { part: body.box, frame: body.frame }) });
    case 'part-taken-off':
    case 'part-put-back':
      return say('entry-of', { what: kind, says: body.part });
    case 'stop-said':
      return say('entry-stop', { reason: body.reason });
    case 'note-written':
    case 'question-asked':
      return say('entry-of', { what: kind, says: body.text });
    default:
      return kind;
  }
}
