import type { PracticeResult } from '@brave-comb/core/practice';
import { iso } from '../../dates';
import type { PhotoDrillRow, ResultRow } from './store';

export const shownResult = (row: ResultRow): PracticeResult => ({
  id: row.id,
  trainee: row.person,
  topic: row.topic,
  at: iso(row.at),
  level: row.level,
  seconds: row.seconds,
  score: row.score,
  right: Boolean(row.is_right),
  grade: row.grade,
  read: row.read_shares,
  truth: row.true_shares,
  ground: row.ground,
  recorded: row.recorded,
});

export const shownPhotoDrill = ({ id, attachment, question, choices, answer, says }: PhotoDrillRow) => ({
  id,
  attachment,
  question,
  choices,
  answer,
  says,
});
