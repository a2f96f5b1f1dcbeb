import { spoken } from '@brave-comb/core/units';
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
): DaySheet['say'] {
  const people = forTrainee
    ? []
    : trainees.flatMap(({ id, name, emergency_note }) => {
        const text = [emergency_note, limitOf(limits.get(id))].filter((part) => part !== null).join(' ');
        return text === '' ? [] : [{ kind: 'person' as const, head: `${name}:`, text }];
      });
  const heavy = sheets.flatMap((sheet) =>
    sheet.stack
      .filter((part) => part.lift === 'two-lift' || part.lift === 'by-frames')
      .map((part) => ({
        kind: 'hive' as const,
        head: `Hive ${sheet.hive.number}:`,
        text: `${part.layer.id} ${Math.round(part.kg ?? 0)} kg, ${spoken(part.lift ?? '')}. Straight back, onto a stand.`,
      })),
  );
  const lively = sheets
    .filter((sheet) => sheet.why.some((reason) => reason.startsWith('Lively')))
    .map((sheet) => ({
      kind: 'hive' as const,
      head: `Hive ${sheet.hive.number} is lively.`,
      text: 'Veils on at the gate.',
    }));
  const stands = [...new Set(sheets.map((sheet) => sheet.hive.stand))].sort();
  return [
    ...people,
    ...lively,
    ...heavy,
    {
      kind: 'place',
      head: 'Walk',
      text: `behind stand ${stands.join(' and ')}.`,
    },
    {
      kind: 'place',
      head: 'Stung, unwell?',
      text: 'Say so at once.',
    },
  ];
}

/** What somebody may not do at a hive, in words. */
function limitOf(terms: TraineeTerms | undefined): string | null {
  if (terms === undefined || (terms.liftKg === null && !terms.seated)) return null;
  const lifts = terms.seated && terms.liftKg === null ? 'Lifts nothing' : `Lifts at most ${terms.liftKg} kg`;
  return `${lifts}${terms.seated ? ', works sitting' : ''}.`;
}
