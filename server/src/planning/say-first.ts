import type { DaySheet } from '@brave-comb/contract';
import type { SheetFacts } from './group-sheet';

/**
 * What is said to everybody before the gate opens: people first, then hives, then the place. Other people's health is not for trainees.
 */
export function sayFirst(
  sheets: DaySheet['groups'],
  trainees: SheetFacts['trainees'],
  limits: SheetFacts['limits'],
  forTrainee: boolean,
): DaySheet['say'] {
  const people = forTrainee
    ? []
    : trainees.flatMap(({ name, emergency_note }) =>
        emergency_note ? [{ kind: 'person' as const, head: `${name}:`, text: emergency_note }] : [],
      );
  const heavy = sheets.flatMap((sheet) =>
    sheet.stack
      .filter((part) => part.lift === 'two lift' || part.lift === 'by frames')
      .map((part) => ({
        kind: 'hive' as const,
        head: `Hive ${sheet.hive.number}:`,
        text: `${part.layer.id} ${Math.round(part.kg ?? 0)} kg, ${part.lift}. Straight back, onto a stand.`,
      })),
  );
  const light = forTrainee
    ? []
    : trainees.flatMap(({ id, name }) => {
        const own = limits.get(id);
        if (own === undefined || (own.liftKg === null && !own.seated)) return [];
        const lifts = own.liftKg === null ? 'lifts nothing' : `lifts at most ${own.liftKg} kg`;
        return [{ kind: 'person' as const, head: `${name}:`, text: `${lifts}${own.seated ? ', works sitting' : ''}.` }];
      });
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
    ...light,
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
