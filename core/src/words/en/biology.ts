import type { BiologySentences } from '../../biology/said';
import type { Sentences } from '../../language';

/** Sentences of the room, from their facts. */
export const biologySentences: Sentences<BiologySentences> = {
  'unmarked-recorded': 'Unmarked, as recorded.',
  'recorded-paint-has-worn-off': ({ was, year }, w) =>
    `Recorded as ${w.text(was)}, ${year}: the paint has worn off, or they raised another. Look for an emerged queen cell and at the dates of the brood.`,
  'recorded-reared': ({ seen, year }, w) => `${w.text(seen)}, as recorded: reared in ${year}.`,
  'stands-recorded-now': ({ seen, year }, w) => `${w.text(seen)} stands for ${w.number(year)}. Recorded from now on.`,
  'stands-recorded-another-queen-ask': ({ seen, reared, was, year }, w) =>
    `${w.text(seen)} stands for ${w.number(reared)}, recorded is ${was ?? 'unmarked'}, ${year}: another queen. Ask who marked or exchanged her; from now on ${w.text(seen)}, ${w.number(reared)}.`,
};
