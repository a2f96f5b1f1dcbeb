import { endpoints } from '@brave-comb/contract';
import { planIndoors, setOut, takeBack } from '../acts/practice/indoor-plan';
import { makePhotoDrill, retirePhotoDrill } from '../acts/practice/photos';
import { answerPoll, askPoll } from '../acts/practice/polls';
import { recordPractice } from '../acts/practice/results';
import type { Context } from '../context';
import type { Serve } from '../routing';
import { practice, practiceRecord } from '../views/practice/drills';
import { photoBank } from '../views/practice/photo-bank';
import { polls } from '../views/practice/polls';

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
  serve(endpoints.makePhotoDrill, async ({ body }, actor) => {
    await makePhotoDrill(context, actor, body);
    return photoBank(context, actor);
  });
  serve(endpoints.retirePhotoDrill, async ({ params }, actor) => {
    await retirePhotoDrill(context, actor, params.drill);
    return photoBank(context, actor);
  });
  serve(endpoints.polls, (_, actor) => polls(context, actor));
  serve(endpoints.askPoll, async ({ body }, actor) => {
    await askPoll(context, actor, body);
    return polls(context, actor);
  });
  serve(endpoints.answerPoll, async ({ params, body }, actor) => {
    await answerPoll(context, actor, params.poll, body);
    return polls(context, actor);
  });
}
