/** What was sent and breaks a rule of the contract, by the rule's id. */
export const wrongNames = {
  date: 'Dates are written YYYY-MM-DD.',
  'due-before-begun': 'A task cannot be due before it begins.',
  'few-words': 'Say why in a few words.',
  id: 'Ids are UUIDs.',
  'id-of-list': 'An id has small letters, figures and hyphens only.',
  'many-choices': 'Six choices are enough.',
  moment: 'Moments are written in UTC, as 2026-05-14T12:10:00Z.',
  'no-figure': 'Enter at least one figure.',
  'no-reason': 'Say why, so that whoever opens the hive next understands it.',
  'no-right-choice': 'Say which choice is right.',
  'nothing-instead': 'Say what will be done instead.',
  'one-choice': 'Give at least two choices.',
  'out-of-reach': 'Years go from 1900 to 2100. Check the date.',
  'same-choices': 'Two choices are the same: change one.',
  'to-do': 'Say what is to be done.',
  'too-long-for-list':
    'Task and question together are too long for a list: at most 190 characters. Shorten one of them.',
} as const;
