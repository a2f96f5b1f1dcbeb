import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import type { Serve } from '../routing';
import { practice, practiceRecord } from './drills';
import { planIndoors, setOut, takeBack } from './indoor-plan';
import { makePhotoDrill, photoBank, retirePhotoDrill } from './photos';
import { answerPoll, askPoll, polls } from './polls';
import { recordPractice } from './results';

export function practiceRoutes(context: Context, serve: Serve): void {
  serve(endpoints.practice, (_, actor) => practice(context, actor));
  serve(endpoints.practiceRecord, ({ params }, actor) => practiceRecord(context, actor, params.visit));
  serve(endpoints.recordPractice, ({ body }, actor) => recordPractice(context, actor, body));
  serve(endpoints.indoorPlan, ({ params, query }, actor) => planIndoors(context, actor, params.group, query));
  serve(endpoints.setOutIndoorPlan, async ({ params, body }, actor) => {
    await setOut(context, actor, params.group, body);
    return practice(context, actor);
  });
  serve(endpoints.takeBackIndoorPlan, async ({ params }, actor) => {
    await takeBack(context, actor, params.plan);
    return practice(context, actor);
  });
  serve(endpoints.photoBank, (_, actor) => photoBank(context, actor));
  serve(endpoints.makePhotoDrill, ({ body }, actor) => makePhotoDrill(context, actor, body));
  serve(endpoints.retirePhotoDrill, ({ params }, actor) => retirePhotoDrill(context, actor, params.drill));
  serve(endpoints.polls, (_, actor) => polls(context, actor));
  serve(endpoints.askPoll, ({ body }, actor) => askPoll(context, actor, body));
  serve(endpoints.answerPoll, ({ params, body }, actor) => answerPoll(context, actor, params.poll, body));
}
