import { type Endpoint, type Hives, type Increase, type PlanBoard, type Sites, endpoints } from '@brave-comb/contract';
import { DEFAULT_CALENDAR } from '@brave-comb/core/care';
import { BARE_PLAN } from '@brave-comb/core/site';
import { DEFAULT_LIMITS } from '@brave-comb/core/weather';
import { FORGETTING } from '@brave-comb/core/skills';
import { DEMO_PASSWORD } from '@brave-comb/demo';
import supertest from 'supertest';
import { v7 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { revisionOf } from '../src/database/revision-store';
import { refresh } from '../src/jobs/refresh/refresher';
import { type School, cameraPhoto, entry, openSchool, pathOf, today } from './school';

/**
 * Who may do what, endpoint by endpoint and entry by entry, with ids that are really there and bodies that are really meant: whoever is not
 * named is refused and changes nothing; whoever is named is served. An endpoint or a kind of entry without a line fails.
 */

/** L lead; S supervisor of the group, O of another group; T trainee of the group, U of another; F lead of another school. */
const CALLERS = { L: 'morag', S: 'tomasz', O: 'ruth', T: 'salma', U: 'nadia', F: 'ines' } as const;
type Caller = keyof typeof CALLERS;
type Agent = Awaited<ReturnType<School['signIn']>>;

interface Line {
  readonly may: string;
  readonly params?: () => Record<string, string>;
  readonly query?: () => Record<string, string>;
  readonly body?: (caller: Caller) => object | Promise<object>;
  /** What else than 200 whoever is named may be told: that it was done already. */
  readonly or?: number;
  /** A stream is only begun. */
  readonly streams?: true;
}

let school: School;
const agents = {} as Record<Caller, Agent>;
const people = {} as Record<Caller, string>;
const ids: Record<string, string> = {};
const id = (name: string): string => ids[name] ?? expect.fail(`nothing is called ${name}`);
const NOW = '2026-05-14T06:35:00.000Z';
const DAY = '2026-05-13';

const served = ({ status, text, body }: supertest.Response): unknown => {
  expect(status, text.slice(0, 400)).toBe(200);
  return body;
};
const post = async <T>(agent: Agent, endpoint: Endpoint, params: Record<string, string>, body: object = {}) =>
  served(await agent.post(pathOf(endpoint, params)).send(body)) as T;
const read = async <T>(agent: Agent, endpoint: Endpoint, params: Record<string, string> = {}) =>
  served(await agent.get(pathOf(endpoint, params))) as T;
const record = async (visit: string, ...entries: object[]) => {
  const { verdicts } = await post<{ verdicts: object[] }>(agents.L, endpoints.recordEntries, { visit }, { entries });
  expect(verdicts.filter((each) => (each as { outcome: string }).outcome !== 'kept')).toEqual([]);
};
const judgement = (more: object = {}) => ({
  id: uuid(),
  skill: 'finds-eggs',
  level: 'alone',
  at: NOW,
  hive: null,
  note: '',
  session: null,
  ...more,
});
let skills: readonly { id: string }[] = [];
let board: PlanBoard;
let photo = '';

beforeAll(async () => {
  school = await openSchool('', 'walls');
  for (const [caller, name] of Object.entries(CALLERS) as [Caller, string][]) {
    agents[caller] = await school.signIn(name);
    const { person } = await read<{ person: { id: string } }>(agents[caller], endpoints.whoAmI);
    people[caller] = person.id;
  }
  photo = await cameraPhoto();
  const day = await today(agents.L, '4');
  ids.session = day.session;
  ids.hive = day.hive;
  const row = async (table: string, where: object) => {
    const found = await school.db(table).where(where).first<{ id: string }>('id');
    return found?.id ?? expect.fail(`${table} has no such row`);
  };
  const own = {
    school: (await school.db('people').where({ id: people.L }).first<{ school: string }>('school')).school,
  };
  ids.site = await row('sites', { ...own, name: 'Home orchard' });
  ids.moor = await row('sites', { ...own, name: 'Moor edge' });
  ids.group = await row('trainee_groups', { ...own, name: 'Curlew' });
  const start = { id: uuid(), session: ids.session, hive: ids.hive, startedAt: '2026-05-14T06:10:00.000Z' };
  ids.visit = (await post<{ id: string }>(agents.S, endpoints.startVisit, {}, start)).id;
  ids.photo = uuid();
  const taken = { id: ids.photo, takenAt: NOW, type: 'image/jpeg', content: photo };
  await post(agents.S, endpoints.keepAttachment, { visit: ids.visit }, taken);
  ids.question = uuid();
  ids.own = uuid();
  await record(
    ids.visit,
    entry(
      { kind: 'question-asked', text: 'Why?', person: people.T, spot: null, photo: null, sure: null },
      NOW,
      ids.question,
    ),
    entry({ kind: 'photo-taken', photo: ids.photo, of: 'eggs', spot: null }, NOW),
    entry({ kind: 'defect-noted', part: 'brood box', defect: 'gap', forNow: '', until: 'next-visit' }, NOW),
    entry({ kind: 'visit-closed', reason: 'question-answered', note: '' }, NOW),
  );
  ids.event = uuid();
  await post(agents.L, endpoints.logSeasonEvent, { site: ids.site }, { id: ids.event, kind: 'wasps', date: DAY });
  ids.trial = uuid();
  const { hives } = await read<Increase>(agents.L, endpoints.increase);
  const trial = { id: ids.trial, question: 'Candy or syrup?', one: 'candy', other: 'syrup', measure: 'stores' };
  await post(
    agents.L,
    endpoints.beginTrial,
    { site: ids.site },
    { ...trial, revisit: '2026-06-14', hives: hives.map(({ hive }) => hive) },
  );
  ids.colonyEvent = uuid();
  const seen = { id: ids.colonyEvent, date: DAY, detail: { kind: 'eggs-seen' } };
  await post(agents.L, endpoints.logColonyEvent, { hive: ids.hive }, seen);
  ids.pollen = uuid();
  await post(agents.L, endpoints.seePollen, { site: ids.site }, { id: ids.pollen, colour: 'grey', date: DAY });
  const demonstration = judgement({ prompt: '' });
  await post(agents.L, endpoints.judgeSkill, { trainee: people.T }, demonstration);
  ids.demonstration = demonstration.id;
  const claim = judgement({ skill: 'marks-queen' });
  skills = (await read<{ inForce: { skills: { id: string }[] } }>(agents.L, endpoints.checklist)).inForce.skills;
  await post(agents.T, endpoints.claimSkill, {}, { ...claim, skill: skills.at(-1)!.id });
  ids.claim = claim.id;
  const signed = skills.slice(0, -1).map(({ id: skill }) => ({ id: uuid(), skill }));
  await post(agents.L, endpoints.signOffSkills, { trainee: people.T }, { skills: signed, note: 'seen' });
  const last = { skills: [{ id: uuid(), skill: skills.at(-1)!.id }], note: 'seen' };
  await post(agents.L, endpoints.signOffSkills, { trainee: people.T }, last);
  [ids.signOff, ids.signOff2] = [signed[0]!.id, signed[1]!.id];
  ids.course = uuid();
  await post(agents.L, endpoints.signOffCourse, { trainee: people.T }, { id: ids.course, note: 'by hand' });
  ids.drill = uuid();
  await post(agents.S, endpoints.makePhotoDrill, {}, photoDrill(ids.drill));
  const { sessions } = await read<{ sessions: { id: string; group: string }[] }>(agents.S, endpoints.polls);
  const asked = sessions.find(({ group }) => group === ids.group) ?? sessions[0];
  ids.pollSession = asked?.id ?? ids.session;
  ids.poll = uuid();
  await post(agents.S, endpoints.askPoll, {}, poll(ids.poll));
  ids.plan = uuid();
  const indoors = { id: ids.plan, day: '2026-05-20', minutes: 60, stations: 2 };
  await post(agents.S, endpoints.setOutIndoorPlan, { group: ids.group }, indoors);
  board = await read<PlanBoard>(agents.L, endpoints.planBoard);
  ids.slot = board.slots[3]!.id;
  ids.pin = uuid();
  await post(agents.L, endpoints.pinPlan, {}, { id: ids.pin, what: { forbid: { group: ids.group, slot: ids.slot } } });
  ids.job = uuid();
  await post(agents.L, endpoints.askPlan, {}, { id: ids.job, seconds: 1, seed: 1 });
  ids.message = uuid();
  await school
    .db('messages')
    .insert({ ...own, id: ids.message, person: people.T, at: new Date(NOW), subject: '"For Salma"', lines: '[]' });
  const review = await read<{ advice: { advice: { kind: string } }[] }>(agents.S, endpoints.visitReview, {
    visit: ids.visit,
  });
  ids.advice = review.advice[0]!.advice.kind;
  const taskRow = await school.db('follow_ups').where(own).whereNotNull('task').first<{ id: string } | undefined>('id');
  ids.task = taskRow?.id ?? expect.fail('the visit left no task');
}, 120_000);
afterAll(() => school.close());

const photoDrill = (drill: string) => ({
  id: drill,
  attachment: ids.photo,
  question: 'What is this?',
  choices: ['eggs', 'pollen'],
  answer: 0,
  says: '',
});
const poll = (asked: string) => ({
  id: asked,
  session: id('pollSession'),
  group: id('group'),
  questions: ['Is there room?'],
});

const visit = () => ({ visit: id('visit') });
const site = () => ({ site: id('site') });
const hive = () => ({ hive: id('hive') });
const session = () => ({ session: id('session') });
const salma = () => ({ trainee: people.T });
const job = () => ({ job: id('job') });

/** In this order they are asked: what ends something stands after what needs it. */
const LINES: Readonly<
  Record<
    Exclude<
      keyof typeof endpoints,
      'signIn' | 'whoAmI' | 'beginSchool' | 'lookAtInvitation' | 'lostPassword' | 'acceptInvitation'
    >,
    Line
  >
> = {
  // One's own, whoever one is.
  messages: { may: 'LSOTUF' },
  calendarFeed: { may: 'LSOTUF' },
  createCalendarFeed: { may: 'LSOTUF' },
  revokeCalendarFeed: { may: 'LSOTUF' },
  noteTakenOut: { may: 'LSOTUF', body: () => ({ file: 'hives.csv' }) },
  chooseUnits: { may: 'LSOTUF', body: () => ({ own: null }) },
  readMessage: { may: 'T', params: () => ({ message: id('message') }) },
  nextSession: { may: 'LSOTUF' },
  sessionOn: { may: 'LSOTUF', params: () => ({ date: '2026-05-14' }) },
  mySessions: { may: 'LSOTUF' },
  recentVisits: { may: 'LSOTUF' },
  askedQuestions: { may: 'LSOTUF' },
  predictions: { may: 'LSOTUF' },
  agreement: { may: 'LSOTUF' },
  practice: { may: 'LSOTUF' },
  polls: { may: 'LSOTUF' },
  checklist: { may: 'LSOTUF' },
  // The season of a site.
  seasonStrip: { may: 'LSOTU', query: site },
  seasonYear: { may: 'LSOTU', query: site },
  forage: { may: 'LSOTU', query: site },
  happenings: { may: 'LSOTU', query: site },
  dayPage: { may: 'LSOTU', params: () => ({ date: '2026-05-15' }), query: site },
  forecastTrust: { may: 'LSOTU', query: site },
  aliveRound: { may: 'LSOTU', query: site },
  colonyCalendars: { may: 'LSOTU', query: site },
  colonyList: { may: 'LSOTUF' },
  wordHere: { may: 'LSOTUF', params: () => ({ word: 'queen-cell' }) },
  colonyStory: { may: 'LSOTU', params: hive },
  yardRound: { may: 'LSO', query: site },
  increase: { may: 'LSO', query: site },
  setCombGoal: { may: 'LF', body: () => ({ goal: 90 }) },
  beginTrial: {
    may: 'L',
    params: site,
    body: async () => ({
      id: uuid(),
      question: 'Super on top or beneath?',
      one: 'on top',
      other: 'beneath',
      measure: 'honey',
      revisit: '2026-06-14',
      hives: (await read<Increase>(agents.L, endpoints.increase)).hives.map(({ hive: each }) => each),
    }),
  },
  endTrial: { may: 'L', params: () => ({ trial: id('trial') }), body: () => ({ how: 'ended' }) },
  sendToSession: { may: 'LSO', params: hive, body: async () => ({ id: uuid(), advice: await advisedFirst() }) },
  movePlan: { may: 'LSO', query: () => ({ from: id('site') }) },
  scheduleMove: {
    may: 'LSO',
    body: async () => ({ id: uuid(), from: id('site'), ...(await flow()), hives: [id('hive')] }),
  },
  keepPlant: {
    may: 'LSO',
    params: site,
    body: () => ({ id: 'ivy', name: 'Ivy', nectar: 2, pollen: 2, model: { kind: 'dates', opens: '09-10', days: 30 } }),
  },
  dropPlant: { may: 'LSO', params: site, body: () => ({ plant: 'ivy' }) },
  seeBloom: { may: 'LSOTU', params: site, body: () => ({ plant: 'white-clover', which: 'first', date: DAY }) },
  setClimate: { may: 'L', params: site, body: () => ({ turn: null, method: 'single-sine' }) },
  logSeasonEvent: { may: 'LSO', params: site, body: () => ({ id: uuid(), kind: 'drones-flying', date: DAY }) },
  tickFlowSigns: {
    may: 'LSOTU',
    params: site,
    body: () => ({ date: DAY, hive: id('hive'), signs: [{ id: uuid(), sign: 'wax', says: 'flow' }] }),
  },
  seePollen: { may: 'LSOTU', params: site, body: () => ({ id: uuid(), colour: 'yellow', date: DAY }) },
  settlePollen: { may: 'LSO', params: () => ({ seen: id('pollen') }), body: () => ({ plant: null }) },
  tapAlive: { may: 'LSO', params: hive, body: () => ({ state: 'alive', date: DAY }) },
  withdrawSeasonEvent: { may: 'LSO', params: () => ({ event: id('event') }) },
  logColonyEvent: { may: 'LSO', params: hive, body: () => ({ id: uuid(), date: DAY, detail: { kind: 'eggs-seen' } }) },
  withdrawColonyEvent: { may: 'LSO', params: () => ({ event: id('colonyEvent') }) },
  setColony: { may: 'LSO', params: hive, body: () => ({ class: 'teaching', strain: 'cuts-down' }) },
  importWeather: {
    may: 'LSO',
    params: () => ({ site: id('moor') }),
    body: () => ({ text: 'time,temperature,rain\n2026-05-10T12:00Z,14,0\n' }),
  },
  enterObservation: {
    may: 'LSO',
    params: () => ({ site: id('moor') }),
    body: () => ({
      at: '2026-05-14T06:00:00Z',
      temperature: 9,
      wind: null,
      gust: null,
      rain: null,
      cloud: null,
      thunder: null,
    }),
  },
  importClimate: { may: 'LSO', params: () => ({ site: id('moor') }), body: () => ({ text: typicalYear() }) },
  // The day and its visits: of a session for who leads in it or belongs to it, of a visit for its group.
  daySheet: { may: 'LSOTU', params: session },
  nextHives: { may: 'LSO', params: session },
  preparedVisit: { may: 'LSO', params: () => ({ ...session(), ...hive() }) },
  hiveList: { may: 'LSOF' },
  openUnplanned: { may: 'LSO', body: () => ({ id: uuid(), hive: id('hive') }) },
  startVisit: { may: 'LSO', body: () => ({ id: uuid(), ...session(), ...hive(), startedAt: NOW }) },
  visitFile: { may: 'LSOT', params: visit },
  visitEntries: { may: 'LSOT', params: visit, query: () => ({ after: '0' }) },
  visitReview: { may: 'LSOT', params: visit },
  recordEntries: {
    may: 'LSOT',
    params: visit,
    body: () => ({ entries: [entry({ kind: 'mood-noted', mood: 2 }, '2026-05-14T06:12:00.000Z')] }),
  },
  keepAttachment: {
    may: 'LSOT',
    params: visit,
    body: () => ({ id: uuid(), takenAt: NOW, type: 'image/jpeg', content: photo }),
  },
  liveSession: { may: 'LSO', params: session },
  liveSessionStream: { may: 'LSO', params: session, streams: true },
  answerQuestion: { may: 'LSO', params: () => ({ question: id('question') }), body: () => ({ text: 'So.' }) },
  decide: {
    may: 'LSO',
    params: visit,
    body: () => ({ id: uuid(), advice: id('advice'), verdict: 'declined', reason: 'no need' }),
  },
  withdrawDecision: { may: 'LSO', params: () => ({ decision: id('decision') }) },
  debrief: { may: 'LSO', query: session },
  signDebrief: { may: 'L', params: session, body: () => signature() },
  sendDebriefBack: {
    may: 'L',
    params: session,
    body: () => ({ id: uuid(), supervisor: people.S, note: 'The record ends early.' }),
  },
  combLedger: { may: 'LSOF' },
  yardBook: { may: 'LSOF' },
  addTask: { may: 'LSO', params: hive, body: () => ({ id: uuid(), what: 'Bring a new roof', due: '2026-06-14' }) },
  settleTask: { may: 'LSO', params: () => ({ task: id('task') }), body: () => ({ done: true }) },
  // What trainees have shown.
  traineeMatrix: { may: 'LSOF' },
  passport: { may: 'LST', params: salma },
  judgeSkill: { may: 'LS', params: salma, body: () => judgement({ prompt: '' }) },
  correctDemonstration: {
    may: 'LS',
    params: () => ({ demonstration: id('demonstration') }),
    body: () => ({ id: uuid(), level: 'helped', reason: 'looked again' }),
  },
  claimSkill: { may: 'TU', body: () => judgement() },
  settleClaim: {
    may: 'LS',
    params: () => ({ claim: id('claim') }),
    body: () => ({ confirmed: true, level: 'helped' }),
    or: 409,
  },
  withdrawCourse: { may: 'L', params: () => ({ signOff: id('course') }), body: () => ({ reason: 'a slip' }) },
  signOffCourse: { may: 'L', params: salma, body: () => ({ id: uuid(), note: 'by hand' }) },
  withdrawSignOff: { may: 'L', params: () => ({ signOff: id('signOff') }), body: () => ({ reason: 'a slip' }) },
  withdrawSignOffs: { may: 'L', params: salma, body: () => ({ signOffs: [id('signOff2')], reason: 'a slip' }) },
  signOffSkills: {
    may: 'L',
    params: salma,
    body: () => ({ skills: [{ id: uuid(), skill: skills[0]!.id }], note: 'seen' }),
  },
  importPassport: { may: 'L', params: salma, body: () => otherPassport() },
  settlePassport: {
    may: 'L',
    params: salma,
    body: () => ({ word: 'turn-down', school: 'A far school', reason: 'unknown' }),
  },
  // Practice.
  practiceRecord: { may: 'LSOT', params: visit },
  recordPractice: { may: 'LSOTUF', body: () => practised() },
  indoorPlan: { may: 'LS', params: () => ({ group: id('group') }) },
  setOutIndoorPlan: {
    may: 'LS',
    params: () => ({ group: id('group') }),
    body: () => ({ id: uuid(), day: '2026-05-21', minutes: 60, stations: 2 }),
  },
  takeBackIndoorPlan: { may: 'LS', params: () => ({ plan: id('plan') }) },
  photoBank: { may: 'LSOF' },
  attachment: { may: 'LSOTU', params: () => ({ attachment: id('photo') }) },
  makePhotoDrill: { may: 'LSO', body: () => photoDrill(uuid()) },
  askPoll: { may: 'LS', body: () => poll(uuid()) },
  answerPoll: {
    may: 'T',
    params: () => ({ poll: id('poll') }),
    body: () => ({ moment: 'before', answers: [{ question: 0, answer: 'yes' }] }),
  },
  retirePhotoDrill: { may: 'LSO', params: () => ({ drill: id('drill') }) },
  // House practice and the plan: the lead's.
  setLimits: { may: 'LF', body: () => DEFAULT_LIMITS },
  setTriggers: { may: 'LF', body: () => ({ triggers: [] }) },
  setCalendarPractice: { may: 'LF', body: () => DEFAULT_CALENDAR },
  setForgetting: { may: 'LF', body: () => FORGETTING },
  draftChecklist: { may: 'LF', body: () => ({ skills }) },
  previewChecklist: { may: 'LF', body: () => ({ skills }) },
  discardDraft: { may: 'LF' },
  enforceChecklist: {
    may: 'LF',
    body: () => ({ skills, after: 1, standings: 'carried-over', from: null, note: 'as before' }),
    or: 409,
  },
  takeBackChecklist: { may: 'LF', or: 409 },
  outbox: { may: 'LF' },
  housePractice: { may: 'LSOTUF' },
  tryHousePractice: { may: 'LF', body: () => ({ changes: { 'full-warmth': 16 } }) },
  keepHousePractice: { may: 'LF', body: () => ({ changes: { 'group-size': 6 }, was: { 'group-size': 7 } }), or: 409 },
  listOut: { may: 'LF', params: () => ({ list: 'visits' }) },
  archiveHere: { may: 'LF' },
  takeOutArchive: { may: 'LF' },
  // Whoever may is asked for the name of what is replaced.
  bringInArchive: { may: 'LF', query: () => ({ replaces: 'another school' }), or: 409 },
  personalRecords: { may: 'LT', params: () => ({ person: people.T }) },
  changeLog: { may: 'LF' },
  planBoard: { may: 'LSOF' },
  planVersions: { may: 'LSOF' },
  coverage: { may: 'LSOF' },
  planningTerms: { may: 'LF' },
  setPlanningTerms: {
    may: 'L',
    params: () => ({ owner: people.T }),
    body: () => ({ terms: { kind: 'trainee', liftKg: 10, seated: true } }),
  },
  pinPlan: { may: 'L', body: () => ({ id: uuid(), what: { forbid: { hive: id('hive'), slot: id('slot') } } }) },
  unpinPlan: { may: 'L', params: () => ({ pin: id('pin') }) },
  askPlan: { may: 'LF', body: () => ({ id: uuid(), seconds: 1, seed: 1 }) },
  planJob: { may: 'LSO', params: job },
  watchPlanJob: { may: 'LSO', params: job, streams: true },
  stopPlanJob: { may: 'L', params: job },
  resumePlanJob: { may: 'L', params: job, body: () => ({ seconds: 1 }) },
  publishPlan: {
    may: 'LF',
    body: () => ({
      id: uuid(),
      after: board.published?.version ?? null,
      forecast: board.forecast.issuedAt,
      sessions: [],
      staff: [],
      reason: 'a trial',
    }),
    or: 409,
  },
  // The records of the school.
  schoolSites: { may: 'LF' },
  keepSite: {
    may: 'L',
    params: () => ({ site: id('moor') }),
    body: async () => ({ ...(await ownSite()), name: 'Moor edge' }),
  },
  sitePlan: { may: 'LSOTU', params: () => ({ site: id('moor') }) },
  keepSitePlan: {
    may: 'L',
    params: () => ({ site: id('moor') }),
    body: async () => ({ version: (await ownSite()).version, plan: BARE_PLAN, hives: [] }),
  },
  sitesOut: { may: 'LF' },
  schoolHives: { may: 'LF' },
  addHives: { may: 'L', body: async () => ({ hives: [{ ...(await ownHive()), known: true, colony: null }] }) },
  changeHive: { may: 'L', params: hive, body: async () => ({ ...(await ownHive()), colony: null }) },
  members: { may: 'LF' },
  addMembers: {
    may: 'L',
    body: () => ({ people: [{ ...nobody, id: people.T, known: true, groups: ['Curlew'] }] }),
  },
  changeMember: {
    may: 'L',
    params: () => ({ person: people.T }),
    body: async () => ({ ...nobody, version: await versionOf('people', people.T), groups: [id('group')] }),
  },
  readEmergencyNote: { may: 'L', params: () => ({ person: people.T }) },
  mailInvitation: { may: 'L', params: () => ({ person: people.U }), or: 409 },
  invite: { may: 'L', params: () => ({ person: people.U }) },
  keepGroup: {
    may: 'L',
    params: () => ({ group: id('group') }),
    body: async () => ({ version: await versionOf('trainee_groups', id('group')), name: 'Curlew' }),
  },
  retireGroup: {
    may: 'L',
    params: () => ({ group: id('group') }),
    body: async () => ({ version: await versionOf('trainee_groups', id('group')), retired: false }),
  },
  retireMember: {
    may: 'L',
    params: () => ({ person: people.U }),
    body: async () => ({ version: await versionOf('people', people.U), retired: false }),
  },
  retireHive: {
    may: 'L',
    params: hive,
    body: async () => ({ version: await versionOf('hives', id('hive')), retired: false, bees: null }),
  },
  retireSite: {
    may: 'L',
    params: () => ({ site: id('moor') }),
    body: async () => ({ version: await versionOf('sites', id('moor')), retired: false }),
  },
  mySignIns: { may: 'LSOTUF' },
  endSignIns: { may: 'LSOTUF', body: () => ({ id: 'none such' }) },
  changePassword: { may: 'LSOTUF', body: () => ({ password: DEMO_PASSWORD, next: DEMO_PASSWORD }) },
  handSession: { may: 'LF' },
  plannedSession: { may: 'L', params: session },
  keepHandSession: {
    may: 'L',
    params: () => ({ session: uuid() }),
    body: () => ({
      version: 0,
      site: id('site'),
      date: '2026-06-10',
      from: '13:00',
      to: '15:00',
      depth: 'full',
      parts: [{ group: id('group'), hive: id('hive'), supervisor: people.S }],
      anyway: 'a trial',
      tell: false,
      word: '',
    }),
  },
  callOffSession: {
    may: 'L',
    params: session,
    body: () => ({ off: false, why: 'weather', tell: false, word: '' }),
  },
  // What ends something comes last.
  eraseTrainee: { may: 'L', params: salma, body: () => ({ name: 'Salma' }) },
  moveClock: { may: 'LF', body: () => ({ minutes: 1 }) },
  signOut: { may: 'LSOUF' },
  beginDemoAgain: { may: 'LF' },
};

const nobody = { name: 'Salma', role: 'trainee', mail: null, emergency: null };
const versionOf = async (table: string, which: string): Promise<number> =>
  (await school.db(table).where({ id: which }).first<{ version: number }>('version')).version;
/** A site and a hive of the school as their forms have them. */
const ownSite = async () => {
  const { sites } = await read<Sites>(agents.L, endpoints.schoolSites);
  return sites.find((each) => each.id === id('moor')) ?? expect.fail('no such site');
};
const ownHive = async () => {
  const { hives } = await read<Hives>(agents.L, endpoints.schoolHives);
  return hives.find((each) => each.id === id('hive')) ?? expect.fail('no such hive');
};

const typicalYear = (): string =>
  [
    'LOCATION,Made-up Hill,-,XXX,made,0,55.2,-3.3,0,180',
    ...Array.from({ length: 7 }, () => 'HEAD'),
    ...Array.from({ length: 8760 }, (_, hour) => {
      const date = new Date(Date.UTC(2001, 0, 1, hour));
      return `2001,${date.getUTCMonth() + 1},${date.getUTCDate()},${(hour % 24) + 1},0,x,12.0,${'0,'.repeat(27)}0`;
    }),
  ].join('\n');
const signature = async () => {
  const { revision } = (await agents.L.get(`${endpoints.debrief.path}?session=${id('session')}`)).body as {
    revision: string;
  };
  return { id: uuid(), revision, read: ['levels', 'records', 'readings', 'wrong'] };
};
const otherPassport = () => ({
  format: 'brave-comb-passport/1',
  school: 'A far school',
  trainee: 'Salma',
  made: '2026-05-01',
  checklistVersion: 1,
  skills: [],
  checkWords: 'made up',
});
/** What is advised first by the last visit of the hive. */
const advisedFirst = async () => {
  const { visits } = await read<{ visits: { id: string }[] }>(agents.L, endpoints.colonyStory, hive());
  const { advice } = await read<{ advice: { advice: { kind: string } }[] }>(agents.L, endpoints.visitReview, {
    visit: visits.at(-1)!.id,
  });
  return advice[0]!.advice.kind;
};
/** A flow that hives of the site could be moved to, as the planner of moves names it. */
const flow = async () => {
  const { targets } = (await agents.L.get(`${endpoints.movePlan.path}?from=${id('site')}`)).body as {
    targets: { site: string; plant: string }[];
  };
  return { to: targets[0]!.site, plant: targets[0]!.plant };
};
const practised = () => ({
  id: uuid(),
  topic: 'order',
  level: 1,
  seed: 1,
  at: NOW,
  seconds: 10,
  answer: { kind: 'order', order: [] },
  recorded: null,
  photo: null,
});

/** One figure of all that is kept, but for what every request may leave: sessions, counts of attempts, the log of the doors. */
async function everything(besides: readonly string[] = []): Promise<string> {
  const tables = await school
    .db('information_schema.tables')
    .whereRaw('table_schema = database()')
    .where({ table_type: 'BASE TABLE' })
    .pluck<string[]>('table_name');
  const kept = tables.filter(
    (name) => !['web_sessions', 'rate_limits', 'audit_log', 'known_devices', ...besides].includes(name),
  );
  const [rows] = await school.db.raw<[object[]]>(`checksum table ${kept.join(', ')}`);
  return JSON.stringify(rows);
}

/** What somebody's school has entered, apart from its revision; the clock is looked at besides. */
const entered = async (caller: Caller) => {
  const { school: id } = await school.db('people').where({ id: people[caller] }).first<{ school: string }>('school');
  return {
    id,
    all: await everything(['revisions', 'demo_clock', 'leases']),
    revision: await revisionOf(school.db, id),
  };
};

async function call(
  name: keyof typeof LINES,
  line: Line,
  caller: Caller,
  as: Agent,
): Promise<{ status: number; text: string }> {
  const endpoint = endpoints[name] as Endpoint;
  const query = new URLSearchParams(line.query?.()).toString();
  const path = `${pathOf(endpoint, line.params?.())}${query ? `?${query}` : ''}`;
  if (line.streams) {
    const request = as
      .get(path)
      .buffer(false)
      .parse((response, done) => {
        (response as unknown as { destroy(): void }).destroy();
        done(null, {});
      });
    const status = await request.then(
      (answer) => answer.status,
      (error: unknown) => (error as { status?: number }).status ?? 200,
    );
    return { status, text: '' };
  }
  const request = endpoint.method === 'GET' ? as.get(path) : as.post(path).send((await line.body?.(caller)) ?? {});
  const answer = await request;
  // What comes from outside may go on after the answer; nothing else is looked at before it is through.
  if (answer.status === 200 && (name === 'moveClock' || name === 'beginDemoAgain'))
    while (!(await refresh(school.context, school.sources, uuid()))) await new Promise((go) => setTimeout(go, 100));
  // A file comes as bytes.
  return { status: answer.status, text: typeof answer.text === 'string' ? answer.text : '' };
}

describe('every endpoint, with ids that are there', () => {
  it('has a line', () => {
    const lines = Object.keys(LINES).sort();
    expect(lines).toEqual(
      Object.entries(endpoints)
        .flatMap(([name, { access }]) => (access === 'anyone' ? [] : [name]))
        .sort(),
    );
  });

  for (const [name, line] of Object.entries(LINES) as [keyof typeof LINES, Line][]) {
    const callers = Object.keys(CALLERS) as Caller[];
    it(`${name}: ${line.may || 'nobody'}`, async () => {
      // Signing out was the last thing that they did.
      if (name === 'beginDemoAgain')
        for (const caller of callers.filter((each) => each !== 'T'))
          agents[caller] = await school.signIn(CALLERS[caller]);
      const before = await everything();
      const stranger = await call(name, line, 'F', supertest.agent(school.app));
      expect(stranger.status, 'a stranger').toBe(401);
      for (const caller of callers.filter((each) => !line.may.includes(each))) {
        const { status, text } = await call(name, line, caller, agents[caller]);
        expect([401, 403, 404], `${CALLERS[caller]} ${status} ${text.slice(0, 300)}`).toContain(status);
      }
      if (endpoints[name].method === 'POST') expect(await everything(), 'something was changed').toBe(before);
      // The lead comes last: what is done once is then done by whoever may least.
      for (const caller of callers.filter((each) => line.may.includes(each)).reverse()) {
        if (name === 'beginDemoAgain' && caller === 'L') agents.L = await school.signIn('morag');
        const changes = endpoints[name].method === 'POST' && name !== 'beginDemoAgain';
        const was = changes ? await entered(caller) : null;
        const { status, text } = await call(name, line, caller, agents[caller]);
        const is = was && (await entered(caller));
        if (was && is && was.all !== is.all)
          expect(is.revision, `${CALLERS[caller]} changed something unseen`).toBeGreaterThan(was.revision);
        expect([200, line.or ?? 200], `${CALLERS[caller]} ${status} ${text.slice(0, 300)}`).toContain(status);
        if (caller === 'F')
          expect(Object.values(ids).filter((each) => each.includes('-') && text.includes(each))).toEqual([]);
        if (name === 'decide' && status === 200)
          ids.decision = (await school.db('decisions').orderBy('at', 'desc').first<{ id: string }>('id')).id;
      }
    });
  }
});
