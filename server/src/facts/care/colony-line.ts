import type { ColonyList } from '@brave-comb/contract';
import { type MarkColour, markColour } from '@brave-comb/core/biology';
import {
  type Advice,
  type Asks,
  type Attention,
  type ColonyFacts,
  asksOf,
  attentionOf,
  coursesOf,
  miteLimit,
} from '@brave-comb/core/care';
import { nestBoxes } from '@brave-comb/core/equipment';
import { framesOf, perBee, temperOf } from '@brave-comb/core/inspection';
import type { Sayable, Text } from '@brave-comb/core/language';
import { named } from '@brave-comb/core/language';
import { worstOfLate } from '@brave-comb/core/planning';
import type { CivilDate } from '@brave-comb/core/units';
import { dateAt, iso } from '../../dates';
import type { HousePractice } from '@brave-comb/core/house';
import type { PlannedRow } from '../../records/planning';
import { say } from '../../words';
import type { ColonyRead } from '../inspection';
import type { SiteSeason } from '../season';
import type { ColonyState } from './colony-state';
import { judgeLatest } from './judge';
import { mitesCounted } from './untreated';

type Line = Sayable<ColonyList>['colonies'][number];

/** What a line of one colony rests on. */
export interface LineKnown {
  readonly state: ColonyState;
  /** All colonies of its site. */
  readonly states: readonly ColonyState[];
  readonly season: SiteSeason;
  readonly practice: HousePractice;
  /** Kinds of advice of its last visit on which somebody decided. */
  readonly decided: ReadonlySet<string>;
  /** Openings to come, the first first. */
  readonly planned: readonly PlannedRow[];
}

/** A colony as it is told in a list, and what its place in it rests on. */
interface ColonyTold {
  readonly line: Line;
  readonly number: string;
  readonly advice: readonly Advice[];
  /** What its last visit found; `null` where nobody visited it. */
  readonly facts: ColonyFacts | null;
  readonly asks: readonly Asks[];
  /** Disease is suspected there. */
  readonly suspected: boolean;
  readonly attention: Attention;
  /** Day by which something must or should be met. */
  readonly soonest: CivilDate | null;
}

/** Looks back this many visits for the small picture of bees and brood. */
const COURSE = 6;
/** Temper up to which people who are new to it may open a hive; 1 is quiet. */
const QUIET = 2;

/** How a colony stands and what it asks for, in one line. */
export function colonyLine(known: LineKnown): ColonyTold {
  const { state, season, practice, planned } = known;
  const { hive, colony, calendar, expected, starvation, latest, reads } = state;
  const { today, site } = season;
  const dateOf = ({ visit }: ColonyRead) => dateAt(site.zone, visit.started_at);
  const judged = judgeLatest(state, season, practice, known.states);
  const advice = judged?.advice ?? [];
  const waiting = advice.filter(({ kind }) => !known.decided.has(kind));
  const asks = asksOf(calendar.dues, waiting, state.tasks);
  const temper = worstOfLate(reads.flatMap(({ record }) => temperOf(record) ?? []).slice(-5));
  const sick = suspicionOf(state);
  const mind = mindOf(known, temper, sick);
  const seen = reads.filter(({ nest }) => nest.sidesRead > 0);
  const fresh = expected !== null && expected.stale === null ? expected : null;
  const [next] = planned;
  return {
    number: hive.number,
    advice,
    facts: judged?.facts ?? null,
    asks,
    suspected: sick !== null,
    attention: attentionOf(asks, today),
    soonest: asks.find(({ strict }) => strict !== 'may')?.by ?? null,
    line: {
      hive: hive.id,
      number: hive.number,
      site: { id: site.id, name: site.name },
      stand: hive.stand,
      temper,
      frames: latest ? framesOf(Object.values(latest.record.sides), latest.box.id, latest.box.frames) : blank(hive),
      queen: {
        year: colony.queen_year,
        colour: colony.queen_year === null ? null : (markColour(colony.queen_year) satisfies MarkColour),
        marked: Boolean(colony.queen_marked),
        says: queenSaid(reads, dateOf, today, judged?.facts ?? null),
      },
      course: seen.slice(-COURSE).map((read) => ({
        date: dateOf(read),
        bees: read.nest.framesOfBees?.value ?? null,
        brood: read.nest.brood.value,
      })),
      bees: fresh?.bees ?? null,
      brood: fresh?.brood ?? null,
      storesKg: fresh?.storesKg ?? null,
      foodDays: starvation && Number.isFinite(starvation.days) ? Math.floor(starvation.days) : null,
      gaining:
        fresh !== null &&
        latest !== null &&
        dateOf(latest) < today &&
        fresh.storesKg.value > latest.nest.storesKg.value,
      mites: samplesOf(reads, site.zone).at(-1) ?? null,
      miteLimit: miteLimit(judged?.facts.phase ?? null),
      attention: attentionOf(asks, today),
      asks,
      decideAt: waiting.some(({ pressing }) => pressing >= 0.4) ? (reads.at(-1)?.visit.id ?? null) : null,
      next: next ? { session: next.session, startsAt: iso(next.starts_at), group: next.group_name } : null,
      mind,
      opened: { times: calendar.load.openings, limit: practice.calendar.load.openings },
      forNovices: (temper ?? QUIET) <= QUIET && mind.every(({ level }) => level !== 'stop'),
    },
  };
}

const blank = ({ stack }: ColonyState['hive']) =>
  Array.from({ length: nestBoxes(stack)[0]?.frames ?? 0 }, () => ({ low: null, high: null }));

/** Mites on bees that visits counted, as they are told, the oldest first. */
export const samplesOf = (reads: readonly ColonyRead[], zone: string) =>
  mitesCounted(reads, zone).map(({ method, bees, mites, date }) => {
    const { value, low, high } = perBee(mites, bees);
    const inHundred = { value: value * 100, low: low * 100, high: high * 100 };
    return { date, method: named('washMethod', method), bees, mites, inHundred };
  });

/** How a visit met the queen. */
export function queenMet({ record, nest }: ColonyRead): 'seen' | 'eggs' | 'not-seen' | 'not-looked' {
  const sides = Object.values(record.sides);
  if (record.ticks.queen === true || sides.some(({ side }) => side.queen)) return 'seen';
  if (nest.eggs.value > 0 || record.ticks.eggs === true) return 'eggs';
  return nest.sidesRead > 0 ? 'not-seen' : 'not-looked';
}

function queenSaid(
  reads: readonly ColonyRead[],
  dateOf: (read: ColonyRead) => string,
  today: string,
  facts: ColonyFacts | null,
): Text {
  if (facts?.youngQueen) return say('young-queen-lays-by', { to: facts.youngQueen.layingTo, today });
  const verdict = facts?.queen.verdict;
  if (verdict === 'queenless-likely' || verdict === 'drone-layer-likely' || verdict === 'young-queen-likely')
    return named('queenVerdict', verdict);
  const met = reads.findLast((read) => ['seen', 'eggs'].includes(queenMet(read)));
  if (!met) return say('queen-never-seen');
  const date = dateOf(met);
  return queenMet(met) === 'seen' ? say('queen-seen-on', { date, today }) : say('eggs-seen-on', { date, today });
}

/** What is suspected of a colony and not settled. */
function suspicionOf({ known }: ColonyState): string | null {
  const last = known.findLast(({ kind }) => kind === 'suspicion' || kind === 'suspicion-settled');
  return last?.kind === 'suspicion' ? last.of : null;
}

/** What is to be minded there, what stops work first. */
function mindOf({ state, season, practice }: LineKnown, temper: number | null, sick: string | null): Line['mind'] {
  const { calendar, known, starvation, swarm } = state;
  const { today } = season;
  const rest = calendar.rests.find(({ from, to }) => from <= today && today <= to);
  const lying = coursesOf(known, today).filter(({ toTakeOut }) => toTakeOut);
  const { openings } = calendar.load;
  const over = calendar.load.over.length > 0;
  const mind: readonly (Line['mind'][number] | null)[] = [
    sick === null ? null : { text: say('disease-suspected', { sick }), level: 'stop' },
    rest?.strict === 'must'
      ? { text: say('leave-alone', { why: rest.why, to: rest.to, date: today }), level: 'stop' }
      : null,
    over ? { text: say('worked-enough', { openings, limit: practice.calendar.load.openings }), level: 'stop' } : null,
    starvation && starvation.level !== 'none'
      ? { text: starvation.reasons[0]!, level: starvation.level === 'feed-now' ? 'stop' : 'watch' }
      : null,
    swarm && (swarm.level === 'high' || swarm.level === 'leaving') && swarm.window
      ? { text: say('may-swarm', { from: swarm.window.from, to: swarm.window.to, today }), level: 'watch' }
      : null,
    temper !== null && temper >= 4 ? { text: say('sharp-of-late', { temper }), level: 'watch' } : null,
    rest?.strict === 'should'
      ? { text: say('better-left', { why: rest.why, to: rest.to, date: today }), level: 'watch' }
      : null,
    ...lying.map(({ medicine }) => ({ text: say('lies-in-hive', { medicine }), level: 'know' as const })),
    calendar.honey.says ? { text: calendar.honey.says, level: 'know' } : null,
  ];
  return mind.filter((each) => each !== null);
}
