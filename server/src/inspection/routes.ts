import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { answerQuestion, askedQuestions, keepPhoto, photo } from './asked';
import { combLedger } from './combs';
import { liveSession, watchSession } from './live';
import { preparedVisit, recentVisits, recordEntries, startVisit, visitEntries, visitFile } from './service';

export function inspectionRoutes(context: Context, serve: Serve): void {
  serve(endpoints.startVisit, ({ body }, actor) => startVisit(context, actor, body));
  serve(endpoints.recentVisits, (_input, actor) => recentVisits(context, actor));
  serve(endpoints.visitFile, ({ params }, actor) => visitFile(context, actor, params.visit));
  serve(endpoints.visitEntries, ({ params, query }, actor) => visitEntries(context, actor, params.visit, query.after));
  serve(endpoints.preparedVisit, ({ params }, actor) => preparedVisit(context, actor, params.session, params.hive));
  serve(endpoints.recordEntries, ({ params, body }, actor) =>
    recordEntries(context, actor, params.visit, body.entries),
  );
  serve(endpoints.keepPhoto, ({ params, body }, actor) => keepPhoto(context, actor, params.visit, body));
  serve(endpoints.photo, ({ params }, actor) => photo(context, actor, params.photo));
  serve(endpoints.askedQuestions, (_input, actor) => askedQuestions(context, actor));
  serve(endpoints.answerQuestion, ({ params, body }, actor) =>
    answerQuestion(context, actor, params.question, body.text),
  );
  serve(endpoints.liveSession, ({ params }, actor) => liveSession(context, actor, params.session));
  serve(endpoints.liveSessionStream, ({ params }, actor) => watchSession(context, actor, params.session));
  serve(endpoints.combLedger, (_input, actor) => combLedger(context, actor));
}
