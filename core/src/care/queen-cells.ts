import { queenTimetable } from '../biology';
import { type QueenCell, readCells } from '../inspection';
import { addDays, daysBetween } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { say } from './said';
import { type Said, type Text, inOne } from '../language';

/** An egg in a cup, up to three days old, is under its lid five days later at the earliest. */
const CUP_CHECK = 5;
const LATE: readonly ColonyFacts['phase'][] = ['closing-down', 'winter-rest', 'first-brood'];

/**
 * What queen cells ask for: number, content and place decide whether to act today, to leave them, or when to look again.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there are none but empty cups, which bees build as a matter of course
 * Source: a queen's days by Winston (1987), from memory; the reading of cells: common practice.
 */
export function adviseQueenCells(facts: ColonyFacts): Advised | null {
  if (facts.queenCells === 0) return null;
  const unknown = facts.queenCells - facts.cells.length;
  const read = readCells(facts.cells, facts.eggsSeen);
  const pressing =
    read.means === 'swarming' ||
    read.means === 'emergency' ||
    read.means === 'replacing-her' ||
    read.means === 'queen-out';
  if (unknown > 0 && !pressing) return lookInto(facts, unknown);
  // Torn down beside eggs: called off, and she lays.
  if (read.means === 'queen-out' && facts.eggsSeen && facts.cells.every(({ content }) => content !== 'emerged'))
    return null;
  switch (read.means) {
    case 'routine':
      return null;
    case 'charged-cups':
      return advice(facts, {
        title: say('eggs-cups-look-again'),
        by: CUP_CHECK,
        pressing: 0.74,
        otherSchool: say('scrapes-cups-off-lets-until'),
        question: say('cups-eaten-out-fed-sealed'),
        again: [CUP_CHECK - 2, CUP_CHECK],
      });
    case 'swarming': {
      const sealed = facts.cells.some(({ content }) => content === 'sealed');
      return advice(facts, {
        title: sealed ? say('swarm-cells-sealed-act-today') : say('fed-swarm-cells-decide-today'),
        by: 0,
        pressing: 0.97,
        otherSchool: say('makes-artificial-swarm-old-queen'),
        question: sealed ? say('has-swarm-left-one-good') : say('what-done-cells-again'),
        again: [5, 7],
      });
    }
    case 'replacing-her':
    case 'emergency':
    case 'queen-out': {
      if (LATE.includes(facts.phase))
        return advice(facts, {
          title: say('queen-reared-now-mated-unite'),
          by: 3,
          pressing: 0.8,
          otherSchool: say('leaves-until-spring-now-then'),
          question: say('united-requeened'),
          again: [7, 14],
        });
      const start =
        read.means === 'queen-out'
          ? 'virgin-emerged'
          : facts.cells.some(({ content }) => content === 'sealed')
            ? 'cell-sealed'
            : 'cell-with-larva';
      const { laying, worry } = queenTimetable(start, facts.today, []);
      const to = daysBetween(facts.today, laying.to);
      return advice(facts, {
        title: read.means === 'replacing-her' ? say('leave-cells-replace-her') : say('young-queen-her-way-leave'),
        by: to,
        pressing: 0.76,
        otherSchool:
          read.means === 'replacing-her' ? say('takes-few-cells-swarm-cells') : say('gives-mated-queen-instead-saves'),
        question: say('eggs-young-queen-none-act', { worry }),
        again: [to - 2, to],
      });
    }
  }
}

const lookInto = (facts: ColonyFacts, unknown: number): Advised =>
  advice(facts, {
    title: say('look-into', { unknown }),
    by: 1,
    pressing: 0.9,
    otherSchool: say('takes-notice-one-two-empty'),
    question: say('cells-empty-egg-fed-sealed'),
    again: [1, 2],
  });

interface Words {
  readonly title: Text;
  /** Days from today. */
  readonly by: number;
  readonly pressing: number;
  readonly otherSchool: Text;
  readonly question: Text;
  readonly again: readonly [from: number, due: number];
}

function advice(facts: ColonyFacts, { title, by, pressing, otherSchool, question, again }: Words): Advised {
  const { says, action, means } = readCells(facts.cells, facts.eggsSeen);
  const unknown = facts.queenCells - facts.cells.length;
  const told = facts.cells.length > 0 ? inOne([says, action]) : say('nobody-said-what-empty-cup');
  const reasons: Reason[] = [
    {
      text: say('on-frame', { cells: cellsInWords(facts), frames: facts.framesWithCells }),
      weight: weigh(0.5 + facts.queenCells / 10),
      sense: 'for',
    },
    { text: told, weight: 0.7, sense: 'for' },
    ...(means === 'swarming' && facts.queenSeen
      ? [{ text: say('queen-seen-have-left-her'), weight: 0.3, sense: 'for' as const }]
      : []),
    ...(facts.eggsSeen && (means === 'swarming' || means === 'charged-cups')
      ? [{ text: say('eggs-seen-she-there-within'), weight: 0.3, sense: 'for' as const }]
      : []),
    { text: say('every-opening-costs-colony-part'), weight: 0.2, sense: 'against' },
  ];
  return {
    kind: 'queen-cells',
    title,
    by: addDays(facts.today, by),
    pressing: weigh(pressing),
    reasons,
    otherSchool,
    whereFrom: {
      figure: by === 0 ? 'today' : say('days', { days: by }),
      rule: say('queen-cell-sealed-day-egg'),
      steps: [
        [say('cells-cups'), `${facts.queenCells}`],
        [
          say('looked-into'),
          facts.cells.length === 0 ? 'none' : cellsInWords({ ...facts, queenCells: facts.cells.length }),
        ],
        [say('not-looked-into'), `${unknown}`],
        [say('eggs-worker-cells'), facts.eggsSeen ? 'seen' : say('not-seen')],
      ],
      source: say('development-days-textbook-consensus-within-2'),
    },
    followUps: [{ question, from: addDays(facts.today, again[0]), due: addDays(facts.today, again[1]) }],
  };
}

/** Queen cells as they were found: how many of which content, and where. */
export function cellsInWords({ cells, queenCells }: Pick<ColonyFacts, 'cells' | 'queenCells'>): Said {
  const kinds = new Map<string, QueenCell & { count: number }>();
  for (const { content, place } of cells) {
    const key = `${content} ${place}`;
    kinds.set(key, { content, place, count: (kinds.get(key)?.count ?? 0) + 1 });
  }
  return say('cells-found', { cells: [...kinds.values()], unknown: queenCells - cells.length });
}
