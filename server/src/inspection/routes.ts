import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { answerQuestion, askedQuestions } from './asked';
import { attachment, keepAttachment } from './attachments';
import { combLedger } from './combs';
import { liveSession, watchSession } from './live';
import { predictions } from './predictions';
import { preparedVisit, recentVisits, recordEntries, startVisit, visitEntries, visitFile } from './service';
import { hiveList, settleTask, yardBook } from './yard-book';

export function inspectionRoutes(context: Context, serve: Serve): void {
  serve(endpoints.startVisit, ({ body }, actor) => startVisit(context, actor, body));
  serve(endpoints.recentVisits, (_input, actor) => recentVisits(context, actor));
  serve(endpoints.visitFile, ({ params }, actor) => visitFile(context, actor, params.visit));
  serve(endpoints.visitEntries, ({ params, query }, actor) => visitEntries(context, actor, params.visit, query.after));
  serve(endpoints.preparedVisit, ({ params }, actor) => preparedVisit(context, actor, params.session, params.hive));
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
  serve(endpoints.settleTask, ({ params, body }, actor) => settleTask(context, actor, params.task, body.done));
  serve(endpoints.predictions, (_input, actor) => predictions(context, actor));
}
