import type { HousePracticeForm } from '@brave-comb/contract';
import { QUANTITIES, type Quantity } from '@brave-comb/core/units';
import { figure, keptFigure, typedFigure, unit } from '../language/units';
import { dateWords } from '../language/words';

export type Shown = HousePracticeForm['chapters'][number]['figures'][number];
export type Value = Shown['ours'];

const quantityOf = ({ measure }: Shown): Quantity | null => QUANTITIES.find((each) => each === measure) ?? null;

const SYMBOLS: Readonly<Record<string, string>> = {
  minutes: $localize`min`,
  days: $localize`days`,
  months: $localize`months`,
  hours: $localize`hours`,
  share: '%',
  clock: $localize`o’clock`,
};

/** The unit in which a figure is typed, empty for a count. */
export const symbolOf = (of: Shown): string => {
  const quantity = quantityOf(of);
  return quantity === null ? (SYMBOLS[of.measure ?? ''] ?? '') : unit(quantity);
};

const hundredths = (share: number): number => Math.round(100 * share);

/** A kept number as it is typed: in the reader's unit, a share in the hundred. */
export function typedOf(of: Shown, value: number): number | '' {
  const quantity = quantityOf(of);
  if (of.measure === 'share') return hundredths(value);
  return quantity === null ? value : typedFigure(quantity, value);
}

/** What was typed as it is kept; `null` for nothing that is a number. */
export function keptOf(of: Shown, text: string): number | null {
  if (text.trim() === '' || !Number.isFinite(Number(text))) return null;
  const quantity = quantityOf(of);
  if (of.measure === 'share') return Number(text) / 100;
  return quantity === null ? Number(text) : keptFigure(quantity, text);
}

/** A value in words, with its unit. */
export function wordsOf(of: Shown, value: Value): string {
  if (typeof value === 'boolean') return value ? $localize`yes` : $localize`no`;
  if (typeof value === 'string') return of.choices.find((each) => each.value === value)?.name ?? value;
  if (of.measure === 'clock') return dateWords().clock(`${`${value}`.padStart(2, '0')}:00`);
  const quantity = quantityOf(of);
  const shown = quantity === null ? (of.measure === 'share' ? hundredths(value) : value) : figure(quantity, value);
  return `${shown} ${symbolOf(of)}`.trim();
}
