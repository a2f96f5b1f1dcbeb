import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { plannedRota } from '../../facts/planning';
import { answerFollowUps } from '../../records/care';
import {
  projectCombs,
  type Projection,
  projectQuestions,
  projectStack,
  recordEntries as keepEntries,
  startVisit as keepStart,
} from '../../records/inspection';
import { projectTasks } from '../care/visit-tasks';
import { projectJudgements, projectReadings } from '../skills/visit-judgements';

const projectAnswers: Projection = ({ db }, visit, { closed }) =>
  answerFollowUps(db, visit, closed ? dateAt(visit.zone, closed.at) : null);

/** What follows from a visit's entries, room by room. A new consequence is a line here. */
const FOLLOWS: readonly Projection[] = [
  projectJudgements,
  projectReadings,
  projectQuestions,
  projectCombs,
  projectStack,
  projectTasks,
  projectAnswers,
];

/** Records entries of a visit, with all that follows from them. */
export const recordEntries = (context: Context, actor: Actor, visit: string, sent: readonly unknown[]) =>
  keepEntries(context, actor, visit, sent, FOLLOWS);

/** Opens a visit, with who is to do what. */
export const startVisit = (context: Context, actor: Actor, body: Parameters<typeof keepStart>[2]) =>
  keepStart(context, actor, body, plannedRota);
