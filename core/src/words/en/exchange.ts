import type { ExchangeSentences } from '../../exchange/said';
import type { Sentences } from '../../language';

/** Sentences of the room, from their facts. */
export const exchangeSentences: Sentences<ExchangeSentences> = {
  'no-epw': 'This is no EPW file: its first line must begin with LOCATION.',
  'epw-hours': ({ needed, there }) =>
    `An EPW file has ${needed} hours after its eight head lines; this one has ${there}.`,
  'epw-no-place': ({ line }) => `The LOCATION line gives no latitude and longitude: ${line}.`,
  'epw-day-without-temperature': ({ line }) => `Line ${line}: a whole day without a temperature.`,
  'epw-no-number': ({ line, cell }) => `Line ${line} holds “${cell}” where a number belongs.`,
  'no-hours': 'The file holds no hours: a head and one line an hour are needed.',
  'too-many-lines': ({ lines, most }) => `The file has ${lines} lines; send two years at most (${most}) at a time.`,
  'no-column': ({ needed, found }) =>
    `The first line must name the columns, with “${needed}” among them. Found: ${found.join(', ')}.`,
  'no-time': ({ time }) => `The time “${time}” needs a date, an hour and an offset, as in 2026-05-14T13:00+01:00.`,
  'figure-out-of-range': ({ figure, cell, least, most, unit }) =>
    `${figure} “${cell}” does not lie between ${least} and ${most} (${unit}).`,
  'no-temperature': 'The temperature is missing.',
  'head-lacks': ({ columns }, w) =>
    `The head lacks ${w.list(columns)}. Export the list once to see how the table looks.`,
  'no-skills': 'The file holds no skills: a head and one line a skill are needed.',
  'no-id': ({ cell }) => `“${cell}” is no id: small letters, figures and hyphens, such as finds-eggs.`,
  'no-name': ({ id }) => `${id} has no name.`,
  'none-of': ({ text, column, of }) => `“${text}” is no ${column}: write one of ${of.join(', ')}.`,
  'no-whole-number': ({ text, column, least, most }) =>
    `“${text}” under ${column}: a whole number from ${least} to ${most} is needed.`,
  'no-eighths': ({ text }) => `“${text}” under within: eighths from 0.25 to 4 are needed.`,
  'yes-or-no': ({ text, column }) => `“${text}” under ${column}: yes or no.`,
  'coverage-lacks': ({ what }) => `The weather service answered without ${what}.`,
  'coverage-uneven': ({ length, name, hours, members }) =>
    `The weather service sent ${length} values of ${name} for ${hours} hours and ${members} members.`,
  'coverage-unit': ({ name, unit, known }, w) =>
    `The weather service tells ${name} in “${unit}”; read are ${w.list(known)}.`,
  'coverage-times-differ': 'The weather service tells its members for different hours.',
  'no-sensor-list': 'The scale service answered with something that is not a list.',
  'coverage-skips': ({ time }) => `The weather service left out the hour before ${time}.`,
  'no-archive': 'This is no archive of a school: choose the file that was taken out under Office, Archive.',
  'archive-newer': ({ version, reads }) =>
    `The archive has form ${version}; this installation reads up to ${reads}: update it first.`,
  'archive-head': 'The first line of the archive is damaged: take the archive out once more.',
  'archive-line': ({ line }, w) => `Line ${w.number(line)} of the archive is damaged: take the archive out once more.`,
  'archive-long-line': ({ line }, w) =>
    `Line ${w.number(line)} of the archive is longer than any record: the file is damaged.`,
  'archive-rows': ({ table, promised, there }, w) =>
    `The archive promises ${w.number(promised)} rows of ${table} and holds ${w.number(there)}: take the archive out once more.`,
  'archive-cut-off': ({ lines }, w) =>
    `The archive ends after line ${w.number(lines)} and is not whole: copy or download it once more.`,
};
