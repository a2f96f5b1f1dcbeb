import { isSaid } from '@brave-comb/core/language';
import type { LiftAdvice } from '@brave-comb/core/equipment';
import { say } from '../../words';
import { type Sayable, inOne, type Text } from '@brave-comb/core/language';
import type { DaySheet } from '@brave-comb/contract';
import type { TraineeTerms } from '@brave-comb/core/planning';
import type { Sheet, SheetFacts } from './group-sheet';

/**
 * What is said to everybody before the gate opens: people first, then hives, then the place. Other people's health is not for trainees.
 */
export function sayFirst(
  sheets: readonly Sheet[],
  trainees: SheetFacts['trainees'],
  limits: SheetFacts['limits'],
  forTrainee: boolean,
): Sayable<DaySheet>['say'] {
  const people = forTrainee
    ? []
    : trainees.flatMap(({ id, name, emergency_note }) => {
        const parts = [emergency_note, limitOf(limits.get(id))].filter((part) => part !== null && part !== '');
        return parts.length === 0 ? [] : [{ kind: 'person' as const, head: `${name}:`, text: inOne(parts as Text[]) }];
      });
  const heavy = sheets.flatMap((sheet) =>
    sheet.stack
      .filter((part) => part.lift === 'two-lift' || part.lift === 'by-frames')
      .map((part) => ({
        kind: 'hive' as const,
        head: say('at-hive', { hive: sheet.hive.number }),
        text: say('lift-straight', { part: part.layer.id, kg: part.kg ?? 0, lift: part.lift as LiftAdvice }),
      })),
  );
  const lively = sheets
    .filter((sheet) => sheet.why.some((reason) => isSaid(reason) && reason.say === 'planning/why-lively'))
    .map((sheet) => ({
      kind: 'hive' as const,
      head: say('hive-lively', { hive: sheet.hive.number }),
      text: say('veils-at-gate'),
    }));
  const stands = [...new Set(sheets.map((sheet) => sheet.hive.stand))].sort();
  return [
    ...people,
    ...lively,
    ...heavy,
    {
      kind: 'place',
      head: say('walk'),
      text: say('behind-stand', { stands }),
    },
    {
      kind: 'place',
      head: say('stung-or-unwell'),
      text: say('say-so'),
    },
  ];
}

/** What somebody may not do at a hive, in words. */
function limitOf(terms: TraineeTerms | undefined): Text | null {
  if (terms === undefined || (terms.liftKg === null && !terms.seated)) return null;
  return say('limits', { kg: terms.liftKg, seated: terms.seated });
}
