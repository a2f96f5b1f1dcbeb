import { endpoints } from '@brave-comb/contract';
import { notesOn } from '../facts/inspection';
import { notesShown } from '../records/people';
import { recordEntries, startVisit } from '../acts/inspection/visits';
import type { Context } from '../context';
import { addTask } from '../acts/care/add-task';
import { settleTask } from '../records/care';
import { answerQuestion, askedQuestions, keepAttachment } from '../records/inspection';
import type { Serve } from '../routing';
import { attachment } from '../views/inspection/attachment';
import { combLedger } from '../views/inspection/comb-ledger';
import { liveSession, watchSession } from '../views/inspection/live';
import { predictions } from '../views/inspection/predictions';
import { preparedVisit, recentVisits, visitEntries, visitFile } from '../views/inspection/visit-file';
import { hiveList, yardBook } from '../views/inspection/yard-book';

export function inspectionRoutes(context: Context, serve: Serve): void {
  serve(endpoints.startVisit, ({ body }, actor) => startVisit(context, actor, body));
  serve(endpoints.recentVisits, ({ query }, actor) => recentVisits(context, actor, query.before));
  serve(endpoints.visitFile, async ({ params }, actor) => {
    const file = await visitFile(context, actor, params.visit);
    await notesShown(context, actor, notesOn(file));
    return file;
  });
  serve(endpoints.visitEntries, ({ params, query }, actor) => visitEntries(context, actor, params.visit, query.after));
  serve(endpoints.preparedVisit, async ({ params }, actor) => {
    const file = await preparedVisit(context, actor, params.session, params.hive);
    await notesShown(context, actor, notesOn(file));
    return file;
  });
  serve(endpoints.recordEntries, ({ params, body }, actor) =>
    recordEntries(context, actor, params.visit, body.entries),
  );
  serve(endpoints.keepAttachment, ({ params, body }, actor) => keepAttachment(context, actor, params.visit, body));
  serve(endpoints.attachment, ({ params }, actor) => attachment(context, actor, params.attachment));
  serve(endpoints.askedQuestions, (_input, actor) => askedQuestions(context, actor));
  serve(endpoints.answerQuestion, ({ params, body }, actor) =>
    answerQuestion(context, actor, params.question, body.text),
  );
  serve(endpoints.liveSession, ({ params }, actor) => liveSession(context, actor, params.session));
  serve(endpoints.liveSessionStream, ({ params }, actor) => watchSession(context, actor, params.session));
  serve(endpoints.combLedger, (_input, actor) => combLedger(context, actor));
  serve(endpoints.hiveList, (_input, actor) => hiveList(context, actor));
  serve(endpoints.yardBook, (_input, actor) => yardBook(context, actor));
  serve(endpoints.addTask, ({ params, body }, actor) => addTask(context, actor, params.hive, body));
  serve(endpoints.settleTask, ({ params, body }, actor) => settleTask(context, actor, params.task, body.done));
  serve(endpoints.predictions, (_input, actor) => predictions(context, actor));
}
