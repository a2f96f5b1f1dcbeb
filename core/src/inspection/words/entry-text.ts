import { spoken } from '../../units';
import { changeText } from '../../equipment';
import { CHECKS } from '../visit/checks';
import { CONTENTS } from '../side/contents';
import { DEFECTS } from '../visit/defects';
import { type EntryBody, MOODS } from '../visit/entries';
import { FINDINGS } from '../visit/findings';
import { type SideAddress, towardText } from '../side/frame-side';
import { readMeasure } from '../visit/measures';
import { formatSide } from '../side/shorthand';
import { type Text } from '../../language';

const side = (address: SideAddress) => `${address.box}, frame ${address.frame} toward ${towardText(address, Infinity)}`;

/**
 * An entry in a few words, for lists of what waits or was refused.
 *
 * @param body what was entered
 * @returns words without names of people
 * @example entryText({ kind: 'mood-noted', mood: 2 }) // 'mood: easy'
 */
export function entryText(body: EntryBody): Text {
  switch (body.kind) {
    case 'frame-side-recorded':
    case 'side-read-by-trainee':
      return `${side(body.address)}: ${formatSide(body.side)}`;
    case 'side-guessed':
      return `${side(body.address)}, guessed: ${body.letters.map((letter) => CONTENTS[letter]).join(', ')}`;
    case 'confirmed-afterwards':
      return `${side(body.address)}: ${CONTENTS[body.letter]} ${body.there ? 'there' : 'not there'}`;
    case 'reading-settled':
      return `${side(body.address)}: reading settled`;
    case 'queen-mark-seen':
      return `queen's mark: ${body.colour}`;
    case 'doubt-looked-at-again':
      return `${side(body.address)}, looked at again: ${body.sound ? 'sound' : 'still in doubt'}`;
    case 'step-reached':
      return `step: ${spoken(body.step)}`;
    case 'checked':
      return `${CHECKS[body.check].says}: ${body.ok ? 'yes' : 'no'}`;
    case 'finding-noted':
      return `${FINDINGS[body.finding].name}: ${body.found ? 'found' : 'not found'}`;
    case 'measured':
      return readMeasure(body.measure).says;
    case 'mood-noted':
      return `mood: ${MOODS[body.mood - 1] ?? body.mood}`;
    case 'defect-noted':
      return `${DEFECTS[body.defect].name}, ${body.part}`;
    case 'stray-comb-noted':
      return `stray comb ${spoken(body.place)}`;
    case 'stack-changed':
      return changeText(body.change);
    case 'comb-moved':
      return `comb ${body.comb.label} moved`;
    case 'frame-lifted':
    case 'frame-set-back':
      return `${spoken(body.kind)}: ${body.box}, frame ${body.frame}`;
    case 'part-taken-off':
    case 'part-put-back':
      return `${spoken(body.kind)}: ${body.part}`;
    case 'stop-said':
      return `stop: ${spoken(body.reason)}`;
    case 'note-written':
    case 'question-asked':
      return `${spoken(body.kind)}: ${body.text}`;
    default:
      return spoken(body.kind);
  }
}
