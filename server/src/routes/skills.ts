import { endpoints } from '@brave-comb/contract';
import { sendDebriefBack, signDebrief } from '../acts/debrief/sign';
import { eraseTrainee } from '../acts/people/erase';
import {
  discardDraft,
  draftChecklist,
  enforceChecklist,
  previewChecklist,
  takeBackChecklist,
} from '../acts/skills/checklists';
import { claimSkill, correctDemonstration, judgeSkill, settleClaim } from '../acts/skills/judging';
import {
  signOffCourse,
  signOffSkills,
  withdrawCourse,
  withdrawSignOff,
  withdrawSignOffs,
} from '../acts/skills/sign-off';
import { importPassport, settlePassport } from '../acts/skills/passport-import';
import type { Context } from '../context';
import { debrief } from '../facts/debrief';
import { changeHousePractice } from '../records/people';
import type { Serve } from '../routing';
import { agreement } from '../views/skills/agreement';
import { checklist } from '../views/skills/checklist';
import { traineeMatrix } from '../views/skills/matrix';
import { passport } from '../views/skills/passport';

export function skillsRoutes(context: Context, serve: Serve): void {
  serve(endpoints.checklist, (_, actor) => checklist(context, actor));
  serve(endpoints.draftChecklist, ({ body }, actor) => draftChecklist(context, actor, body.skills));
  serve(endpoints.discardDraft, (_, actor) => discardDraft(context, actor));
  serve(endpoints.previewChecklist, ({ body }, actor) => previewChecklist(context, actor, body.skills));
  serve(endpoints.enforceChecklist, ({ body }, actor) => enforceChecklist(context, actor, body));
  serve(endpoints.takeBackChecklist, (_, actor) => takeBackChecklist(context, actor));
  serve(endpoints.traineeMatrix, (_, actor) => traineeMatrix(context, actor));
  serve(endpoints.agreement, (_, actor) => agreement(context, actor));
  serve(endpoints.passport, ({ params }, actor) => passport(context, actor, params.trainee));
  serve(endpoints.judgeSkill, ({ params, body }, actor) => judgeSkill(context, actor, params.trainee, body));
  serve(endpoints.correctDemonstration, ({ params, body }, actor) =>
    correctDemonstration(context, actor, params.demonstration, body),
  );
  serve(endpoints.claimSkill, ({ body }, actor) => claimSkill(context, actor, body));
  serve(endpoints.settleClaim, ({ params, body }, actor) => settleClaim(context, actor, params.claim, body));
  serve(endpoints.signOffSkills, ({ params, body }, actor) => signOffSkills(context, actor, params.trainee, body));
  serve(endpoints.withdrawSignOff, ({ params, body }, actor) =>
    withdrawSignOff(context, actor, params.signOff, body.reason),
  );
  serve(endpoints.importPassport, ({ params, body }, actor) => importPassport(context, actor, params.trainee, body));
  serve(endpoints.settlePassport, ({ params, body }, actor) => settlePassport(context, actor, params.trainee, body));
  serve(endpoints.withdrawSignOffs, ({ params, body }, actor) =>
    withdrawSignOffs(context, actor, params.trainee, body),
  );
  serve(endpoints.signOffCourse, ({ params, body }, actor) => signOffCourse(context, actor, params.trainee, body));
  serve(endpoints.withdrawCourse, ({ params, body }, actor) =>
    withdrawCourse(context, actor, params.signOff, body.reason),
  );
  serve(endpoints.eraseTrainee, ({ params, body }, actor) => eraseTrainee(context, actor, params.trainee, body.name));
  serve(endpoints.debrief, ({ query }, actor) => debrief(context, actor, query.session));
  serve(endpoints.signDebrief, ({ params, body }, actor) => signDebrief(context, actor, params.session, body));
  serve(endpoints.sendDebriefBack, ({ params, body }, actor) => sendDebriefBack(context, actor, params.session, body));
  serve(endpoints.setForgetting, ({ body }, actor) =>
    changeHousePractice(context, actor, () => ({ forgetting: body })),
  );
}
