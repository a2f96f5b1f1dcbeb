import { type Stack, nestBoxes } from '../equipment';
import {
  type BoxSummary,
  type CheckId,
  EMPTY_LOOK,
  type EvidenceId,
  type HiveRead,
  type VisitEntry,
  readHive,
  readMeasure,
  readNotes,
  recordOf,
} from '../inspection';
import type { CivilDate } from '../units';
import type { Faults, SituationFault } from './faults';
import { say } from './said';
import type { SituationVisit } from './situation';
import { withDefaults } from './some';
import { boxNamed } from './stack';

type Body = VisitEntry['body'];
type Path = SituationFault['path'];
const NOTHING_SUMMED: BoxSummary = { seams: null, brood: null, food: null, drawn: null, bare: null, note: '' };

/**
 * One look of a situation, as if it had been entered at the hive.
 *
 * @param visit what was seen
 * @param stack the hive
 * @param date day of the look
 * @param path where the look stands in the situation
 * @param faults where what is wrong is added
 * @returns the hive as the look read it
 */
export function readVisit(visit: SituationVisit, stack: Stack, date: CivilDate, path: Path, faults: Faults): HiveRead {
  const bodies = [
    ...sidesOf(visit, stack, path, faults),
    ...boxesOf(visit, stack, path, faults),
    ...findingsOf(visit),
    ...measuresOf(visit, path, faults),
    ...woodworkOf(visit),
    ...besidesOf(visit),
  ];
  // At midday: the day is the same in every zone that a record is told in.
  const entries = bodies.map((body, at): VisitEntry => ({
    id: `${path.join('.')}.${at}`,
    at: `${date}T12:00:00.000Z`,
    by: 'situation',
    body,
  }));
  return readHive(recordOf(entries), stack, nestBoxes(stack)[0]!.id);
}

function sidesOf({ sides }: SituationVisit, stack: Stack, path: Path, faults: Faults): readonly Body[] {
  if (sides === undefined) return [];
  const byBox = Array.isArray(sides) ? { [nestBoxes(stack)[0]!.id]: sides as readonly string[] } : sides;
  return Object.entries(byBox as Readonly<Record<string, readonly string[]>>).flatMap(([id, lines]) => {
    const at = Array.isArray(sides) ? [...path, 'sides'] : [...path, 'sides', id];
    const box = boxNamed(stack, id, at, faults);
    if (!box) return [];
    return lines.flatMap((line, index) =>
      readNotes(line, box.frames).flatMap((note): Body[] => {
        if ('problem' in note) {
          faults.add([...at, index], say('side-line', { line: note.text, why: note.problem }));
          return [];
        }
        return [{ kind: 'frame-side-recorded', address: { box: id, ...note.address }, side: note.side, seen: null }];
      }),
    );
  });
}

function boxesOf(
  { boxes = {}, seams = {} }: SituationVisit,
  stack: Stack,
  path: Path,
  faults: Faults,
): readonly Body[] {
  const known = (id: string, list: string) => boxNamed(stack, id, [...path, list, id], faults) !== null;
  return [
    ...Object.entries(boxes).flatMap(([box, summary]): Body[] =>
      known(box, 'boxes') ? [{ kind: 'box-summed-up', box, summary: withDefaults(NOTHING_SUMMED, summary) }] : [],
    ),
    ...Object.entries(seams).flatMap(([box, count]): Body[] =>
      known(box, 'seams') ? [{ kind: 'seams-counted', box, seams: count }] : [],
    ),
  ];
}

const findingsOf = ({ findings = [] }: SituationVisit): readonly Body[] =>
  findings.map((each): Body => {
    const {
      finding,
      found = true,
      count = null,
      sure = null,
      note = '',
    } = typeof each === 'string' ? { finding: each } : each;
    return { kind: 'finding-noted', finding, found, count, sure, spot: null, note };
  });

function measuresOf({ measures = [] }: SituationVisit, path: Path, faults: Faults): readonly Body[] {
  return measures.flatMap((measure, at): Body[] => {
    try {
      readMeasure(measure);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      faults.add([...path, 'measures', at], say('measure-unfit', { why: error.message }));
      return [];
    }
    return [{ kind: 'measured', measure }];
  });
}

const woodworkOf = ({ strayCombs = [], defects = [], checks = {} }: SituationVisit): readonly Body[] => [
  ...strayCombs.map(({ place, part = 'brood box', content = 'empty', cause = 'not-known', removed = false }): Body => ({
    kind: 'stray-comb-noted',
    part,
    place,
    content,
    cause,
    removed,
  })),
  ...defects.map(({ part, defect }): Body => ({
    kind: 'defect-noted',
    part,
    defect,
    forNow: '',
    until: 'two-weeks',
  })),
  ...Object.entries(checks).flatMap(([check, ok]): Body[] =>
    ok === undefined ? [] : [{ kind: 'checked', check: check as CheckId, ok, person: null }],
  ),
];

const besidesOf = ({ ticks = {}, outside, mood, queenMark }: SituationVisit): readonly Body[] => [
  ...Object.entries(ticks).flatMap(([evidence, seen]): Body[] =>
    seen === undefined ? [] : [{ kind: 'evidence-ticked', evidence: evidence as EvidenceId, seen }],
  ),
  ...(outside ? [{ kind: 'outside-seen', when: 'before', look: withDefaults(EMPTY_LOOK, outside) } as const] : []),
  ...(mood === undefined ? [] : [{ kind: 'mood-noted', mood } as const]),
  ...(queenMark === undefined ? [] : [{ kind: 'queen-mark-seen', colour: queenMark } as const]),
];
