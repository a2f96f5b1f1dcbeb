import { counted } from './counted';
import type { StorySentences } from '../../inspection/words/said';
import type { Sentences, Way } from '../../language';

const frames = (numbers: readonly number[], w: Way): string => w.list(numbers);
const contents = (letters: readonly string[], w: Way): string =>
  letters.map((letter) => w.name('content', letter)).join(', ') || 'nothing';

/** What a visit, its entries and what changed are told in. */
export const storySentences: Sentences<StorySentences> = {
  'the-wall': 'the wall',
  'frame-toward': ({ frame, toward }, w) => `frame ${frame} toward ${w.text(toward)}`,
  'spot-frame': ({ part, frame }) => `${part}, frame ${frame}`,
  'spot-side': ({ part, frame, toward }, w) => `${part}, frame ${frame} toward ${w.text(toward)}`,
  'eighths-whole': ({ eighths, letter }, w) =>
    `${eighths} eighths of ${w.name('content', letter)}: write whole eighths from 0 to 8.`,
  'eighths-too-many': ({ read, over }) => `The side adds up to ${read} eighths, it has only 8. Remove ${over}.`,
  'bees-whole': ({ bees }) => `Bees on ${bees} eighths: write a whole number from 0 to 8.`,
  'cells-whole': ({ cells }) => `${cells} queen cells: write a whole number from 0 to 60.`,
  'cells-more-told': ({ told, cells }) => `${told} queen cells are described, ${cells} counted: count them again.`,
  'piece-unreadable': ({ piece, letters }) =>
    `"${piece}" cannot be read. Contents are ${letters}; B bees, K queen cells, Q queen, ! doubtful.`,
  'piece-no-mark': ({ piece, marks }) => `"${piece}" is not a mark. Write ${marks}.`,
  'piece-no-colour': ({ piece, colours }) => `"${piece}" is not a pollen colour. Use ${colours}.`,
  'piece-no-cell': ({ piece, contents: of, places }) => `"${piece}" is not a queen cell. Write ${of} @ ${places}.`,
  'no-last-time': '"=" cannot be used: this side has no reading from last time.',
  'no-other-side': '"/" cannot be used: the other side is not read yet.',
  'note-form': 'Start with frame/neighbour and a colon, as in "6/7: 3S 1L".',
  'note-no-frame': ({ frame, frames: of }) => `There is no frame ${frame}: the box has ${of}.`,
  'note-toward': ({ frame, neighbour }) =>
    `Frame ${frame} looks toward ${frame - 1} or ${frame + 1}, not toward ${neighbour}.`,
  'entry-of': ({ what, says }, w) => `${w.text(what)}: ${w.text(says)}`,
  'entry-guessed': ({ side, letters }, w) => `${w.text(side)}, guessed: ${contents(letters, w)}`,
  'entry-confirmed': ({ side, letter, there }, w) =>
    `${w.text(side)}: ${w.name('content', letter)} ${there ? 'there' : 'not there'}`,
  'entry-settled': ({ side }, w) => `${w.text(side)}: reading settled`,
  'entry-queen-mark': ({ colour }, w) => `queen's mark: ${w.name('queenColour', colour)}`,
  'entry-doubt': ({ side, sound }, w) => `${w.text(side)}, looked at again: ${sound ? 'sound' : 'still in doubt'}`,
  'entry-checked': ({ check, ok }, w) => `${w.name('check', check)}: ${ok ? 'yes' : 'no'}`,
  'entry-found': ({ finding, found }, w) => `${w.name('finding', finding)}: ${found ? 'found' : 'not found'}`,
  'entry-mood': ({ mood }, w) => `mood: ${w.name('mood', mood)}`,
  'entry-defect': ({ defect, part }, w) => `${w.name('defect', defect)}, ${part}`,
  'entry-stray': ({ place }, w) => `stray comb ${w.name('strayPlace', place)}`,
  'entry-comb': ({ label }) => `comb ${label} moved`,
  'entry-stop': ({ reason }, w) => `stop: ${w.name('stopReason', reason)}`,
  'nothing-read': 'No frame was read: nothing can be said of a change.',
  'first-reading': 'First reading of this colony: nothing to set beside it yet.',
  'nest-spread': (of, w) => `The nest has spread to ${frames(of.frames, w)}.`,
  'nest-drawn-back': (of, w) => `The nest has drawn back from ${frames(of.frames, w)}.`,
  'nest-same': 'The nest covers the same frames.',
  'sealed-moved': ({ up, perhaps, frames: by }) =>
    `Sealed brood is ${perhaps ? 'perhaps ' : ''}${up ? 'up' : 'down'} ${by > 1 ? `${by} frames` : `${by} of a frame`}.`,
  'food-moved': ({ up, perhaps, kg }, w) => `Food is ${perhaps ? 'perhaps ' : ''}${up ? 'up' : 'down'} ${w.kg(kg)}.`,
  'eggs-a-day': ({ eggs }) => `So much sealed brood means about ${eggs} eggs a day, one to three weeks ago.`,
  'nectar-among-brood': (of, w) => `Nectar lies among brood on ${frames(of.frames, w)}.`,
  'being-drawn': (of, w) =>
    `${of.frames.length === 1 ? 'Frame' : 'Frames'} ${frames(of.frames, w)} ${of.frames.length === 1 ? 'is' : 'are'} being drawn.`,
  'cells-hang': (of, w) => `Queen cells or cups hang on ${frames(of.frames, w)}.`,
  'told-depth': ({ depth }, w) => `Went as deep as: ${w.text(depth)}`,
  'told-jobs': ({ jobs }, w) =>
    `By hand: ${jobs.map(({ role, people }) => `${w.name('role', role)} ${w.list(people)}`).join('; ')}`,
  'told-veils': ({ count }) => `${counted(count, 'veil')} checked closed by somebody else`,
  'told-not': ({ check, person }, w) =>
    `${w.name('check', check)}${person ? ` (${person})` : ''}: no. ${w.name('checkOtherwise', check)}`,
  'told-outside': ({ when, traffic, pollens, pollenIn, entrance, note }, w) => {
    const pollen = pollens.length
      ? `, pollen ${w.list(pollens.map((colour) => w.name('pollenColour', colour)))}`
      : pollenIn
        ? ', pollen in'
        : '';
    const width = entrance ? `, entrance ${w.name('entrance', entrance)}` : '';
    const flying = traffic === null ? 'traffic not looked at' : `traffic ${w.name('traffic', traffic)}`;
    return `Outside ${when}: ${flying}${pollen}${width}${note ? `. ${note}` : ''}`;
  },
  'told-open': ({ minutes }) => `Open ${minutes} min`,
  'told-longest-out': ({ frame, box, minutes }) => `Longest out: frame ${frame} of ${box}, ${minutes} min`,
  'told-smoke': ({ count, places }, w) =>
    `Smoke ${counted(count, 'time')}: ${places.map((each) => `${w.name('smokePlace', each.place)} ${each.count}`).join(', ')}`,
  'told-tipped': ({ box }) => `${box} lay on its side`,
  'told-temper': ({ score }) => `Temper ${score} of 5${score >= 4 ? ': not for beginners' : ''}`,
  'told-moods': ({ moods }, w) => `Mood: ${moods.map((mood) => w.name('mood', mood)).join(', then ')}`,
  'told-signs': ({ signs }, w) =>
    `Signs: ${signs.map((each) => `${w.name('beeSign', each.sign)} ${each.count}`).join(', ')}`,
  'told-stung': ({ count, who, then }, w) =>
    `${counted(count, 'sting')}: ${who ?? 'nobody named'}${then ? `, then ${w.text(then)}` : who ? ', reaction not checked' : ''}`,
  'told-incident': ({ what, who, text }, w) =>
    `${w.name('incident', what)}${who ? `, ${who}` : ''}${text ? `: ${text}` : ''}`,
  'told-found': ({ finding, count, spot, sure }, w) =>
    `Found: ${w.name('finding', finding)}${count === null ? '' : `, ${count}`}${spot ? `, ${w.text(spot)}` : ''}${sure === null ? '' : `, ${sure} % sure`}. ${w.name('findingThen', finding)}`,
  'told-not-found': ({ findings, least }, w) =>
    `Looked for, not found${least === null ? '' : `, at least ${least} % sure`}: ${findings.map((finding) => w.name('finding', finding)).join('; ')}`,
  'told-doubt': ({ side, sound, found, by }, w) =>
    `Looked again at ${w.text(side)}: ${sound ? 'sound after all' : 'still in doubt'}${found ? `, ${found}` : ''} (${by})`,
  'told-queen-mark': ({ colour }, w) => `Queen's mark: ${w.name('queenColour', colour)}`,
  'told-confirmed': ({ side, letter, there, date }, w) =>
    `${w.name('content', letter)} on ${w.text(side)}: ${there ? 'there' : 'not there'}, confirmed afterwards (${date})`,
  'told-from-above': ({ box, figures: of, note }) => {
    const figures = Object.entries(of).flatMap(([what, count]) => (count === null ? [] : [`${what} ${count}`]));
    return `${box} from above: ${figures.join(', ')}${note ? `. ${note}` : ''}`;
  },
  'told-with-reason': ({ what, reason }, w) => `${w.text(what)}${reason ? `: ${reason}` : ''}`,
  'told-comb-moved': ({ label, where }, w) => `Comb ${label} to ${w.text(where)}`,
  'told-place': ({ box, place }) => `${box}, place ${place}`,
  'told-another-hive': 'another hive',
  'told-defect': ({ defect, part, forNow, until }, w) =>
    `${w.name('defect', defect)}, ${part}; for now: ${forNow || 'nothing'}; repair: ${w.name('repairBy', until)}`,
  'told-stray': ({ place, part, content, removed, cause }, w) =>
    `Stray comb ${w.name('strayPlace', place)}, ${part}: ${w.name('strayContent', content)}, ${removed ? 'removed' : 'left'}; cause: ${w.name('strayCause', cause)}`,
  'told-queen-accounted': ({ how }, w) => `Queen at closing: ${w.name('queenAccounted', how)}`,
  'told-guess': ({ side, who, letters, tenths }, w) =>
    `${who}, ${w.text(side)}: ${contents(letters, w)} (${tenths} of 10)`,
  'told-read-first': ({ side, who, says, off }, w) =>
    `${who} read ${w.text(side)} first: ${says}, ${counted(off, 'eighth')} off`,
  'told-overruled': ({ guard, reason, by }, w) => `${w.name('guard', guard)}: ${reason} (${by})`,
  'told-asked': ({ text, who, spot }, w) => `${text} (${who}${spot ? `, ${w.text(spot)}` : ''})`,
};
