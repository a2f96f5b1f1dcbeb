import type { Sentences } from '../../language';
import { upperFirst } from '../../units';
import type { RosterSentences } from '../../roster/said';

/** Sentences of the room, from their facts. */
export const rosterSentences: Sentences<RosterSentences> = {
  'nothing-pasted': 'Nothing stands there yet: paste rows from a spreadsheet, or type one a line.',
  'too-many-rows': ({ rows, most }) => `${most} rows at once; yours has ${rows}: paste in parts.`,
  'too-long': ({ cell, most }) => `“${cell}” is longer than ${most} letters: shorten it in your list and paste again.`,
  'empty-row': 'Nothing that is used stands in it.',
  'row-of-sums': 'It holds the sums.',
  'left-out': 'You left it out.',
  'leave-out': 'Leave out',
  'leave-as-is': 'It is so',
  'not-known': 'Not known',
  'it-is': ({ text }, w) => (typeof text === 'number' ? `${text}` : w.text(text)),

  'no-name': 'No name stands in this row.',
  'person-is-there': ({ name, as }, w) => `${name} is at the school already, as ${w.text(as)}.`,
  'same-person': 'Same person, add to the group',
  'another-person': 'Another person',
  'named-twice': ({ name, line }) => `${name} stands in row ${line} too.`,
  'two-people': 'Two people of one name',
  'no-role': ({ text }) => `What is “${text}” here?`,
  'no-mail': ({ text }) => `“${text}” is no mail address.`,
  'without-mail': 'Without mail',
  'without-group': 'Without a group',
  trainee: 'trainee',
  supervisor: 'supervisor',
  lead: 'lead instructor',

  'no-number': 'No number stands in this row.',
  'hive-is-there': ({ number, site }) => `You have a hive ${number} at ${site}.`,
  'number-was-retired': ({ number }) => `Hive ${number} was retired; its number stays with its records.`,
  'number-twice': ({ number, line }) => `Number ${number} stands in row ${line} too.`,
  'make-it': ({ number }) => `Make it ${number}`,
  'same-hive': 'Same hive, update it',
  'no-site': ({ text }) => (text === '' ? 'At which site does it stand?' : `“${text}” is no site here.`),
  'at-site': ({ site }) => site,
  'no-type': ({ text }) => `Which hive is “${text}”?`,
  'no-boxes': ({ text, what }) =>
    ({
      brood: `How many brood boxes is “${text}”?`,
      supers: `How many supers is “${text}”?`,
      frames: `How many frames is “${text}”?`,
    })[what],
  'box-takes': ({ box, takes, frames }, w) => `${w.name('box', box)} takes ${takes} frames; ${frames} stand here.`,
  'one-body': 'A horizontal hive is one body, without boxes above it.',
  'colour-of-another-year': ({ colour, stands, year, wears }, w) =>
    `${upperFirst(w.name('queenColour', colour))} is the colour of ${stands}; ${year} is ${w.name('queenColour', wears)}.`,
  'of-year': ({ year, colour }, w) => `of ${year}${colour === null ? '' : `, ${w.name('queenColour', colour)}`}`,
  'queen-of-the-future': ({ year }) => `${year} is still ahead: no queen is of that year.`,
  'old-queen': ({ year, age }) => `A queen of ${year} would be ${age} years old.`,
  'no-queen': ({ text }) => `“${text}” says neither a year nor a colour.`,
  'no-day': ({ text }) => `“${text}” is no day: write it as in 2026-05-14 or 14.5.2026.`,
  'day-ahead': ({ text }) => `${text} is still ahead.`,
  'since-usual': 'Since the usual day',
};
