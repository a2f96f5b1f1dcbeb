import { queenTimetable } from '../biology';
import { type CellContent, CELL_WORDS, readCells } from '../inspection';
import { addDays, dayAndMonth, daysBetween } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';

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
export function adviseQueenCells(facts: ColonyFacts): Advice | null {
  if (facts.queenCells === 0) return null;
  const unknown = facts.queenCells - facts.cells.length;
  const read = readCells(facts.cells, facts.eggsSeen);
  const pressing =
    read.means === 'swarming' ||
    read.means === 'emergency' ||
    read.means === 'replacing-her' ||
    read.means === 'queen-out';
  if (unknown > 0 && !pressing) return lookInto(facts, unknown);
  switch (read.means) {
    case 'routine':
      return null;
    case 'charged-cups':
      return advice(facts, {
        title: 'Eggs in cups: look again',
        by: CUP_CHECK,
        pressing: 0.74,
        otherSchool: 'scrapes the cups off, or lets them be until a larva lies in jelly: many are eaten again.',
        question: 'Cups: eaten out, fed or sealed?',
        again: [CUP_CHECK - 2, CUP_CHECK],
      });
    case 'swarming': {
      const sealed = facts.cells.some(({ content }) => content === 'sealed');
      return advice(facts, {
        title: sealed ? 'Swarm cells sealed: act today' : 'Fed swarm cells: decide today',
        by: 0,
        pressing: 0.97,
        otherSchool:
          'makes an artificial swarm with the old queen; another splits and leaves one good cell; another thins the cells each week and takes the risk.',
        question: sealed ? 'Has a swarm left? One good cell, or the queen?' : 'What was done? Cells again?',
        again: [5, 7],
      });
    }
    case 'replacing-her':
    case 'emergency':
    case 'queen-out': {
      if (LATE.includes(facts.phase))
        return advice(facts, {
          title: 'A queen reared now is not mated: unite, or give a mated one',
          by: 3,
          pressing: 0.8,
          otherSchool: 'leaves them as they are until spring: now and then the old queen is still there.',
          question: 'United, or requeened?',
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
        title:
          read.means === 'replacing-her'
            ? 'Leave the cells: they replace her'
            : 'A young queen is on her way: leave them alone',
        by: to,
        pressing: 0.76,
        otherSchool:
          read.means === 'replacing-her'
            ? 'takes few cells for swarm cells as well and looks again in five days.'
            : 'gives a mated queen instead and saves three weeks of brood; then every cell has to come out first.',
        question: `Eggs of the young queen? None by ${dayAndMonth(worry)}: act`,
        again: [to - 2, to],
      });
    }
  }
}

const lookInto = (facts: ColonyFacts, unknown: number): Advice =>
  advice(facts, {
    title: `Look into the ${unknown === 1 ? 'queen cell' : `${unknown} queen cells`}`,
    by: 1,
    pressing: 0.9,
    otherSchool: 'takes no notice of one or two empty cups, which bees build anyway, and keeps the ordinary interval.',
    question: 'Cells: empty, egg, fed or sealed? Edge or face?',
    again: [1, 2],
  });

interface Words {
  readonly title: string;
  /** Days from today. */
  readonly by: number;
  readonly pressing: number;
  readonly otherSchool: string;
  readonly question: string;
  readonly again: readonly [from: number, due: number];
}

function advice(facts: ColonyFacts, { title, by, pressing, otherSchool, question, again }: Words): Advice {
  const { says, action, means } = readCells(facts.cells, facts.eggsSeen);
  const unknown = facts.queenCells - facts.cells.length;
  const told =
    facts.cells.length > 0
      ? `${says} ${action}`
      : 'Nobody said what is in them: an empty cup may wait, a sealed cell may not.';
  const reasons: Reason[] = [
    {
      text: `${cellsInWords(facts)} on frame ${facts.framesWithCells.join(', ')}`,
      weight: weigh(0.5 + facts.queenCells / 10),
      sense: 'for',
    },
    { text: told, weight: 0.7, sense: 'for' },
    ...(means === 'swarming' && facts.queenSeen
      ? [{ text: 'The queen was seen: they have not left with her yet', weight: 0.3, sense: 'for' as const }]
      : []),
    ...(facts.eggsSeen && (means === 'swarming' || means === 'charged-cups')
      ? [{ text: 'Eggs seen: she was there within three days', weight: 0.3, sense: 'for' as const }]
      : []),
    { text: 'Every opening costs the colony part of a day', weight: 0.2, sense: 'against' },
  ];
  return {
    kind: 'queen-cells',
    title,
    by: addDays(facts.today, by),
    pressing: weigh(pressing),
    reasons,
    otherSchool,
    whereFrom: {
      figure: by === 0 ? 'today' : `${by} days`,
      rule: 'A queen cell is sealed on day 8 from the egg and opens on day 16; the first swarm leaves about when it is sealed. Many cells at the edge speak for swarming, few on the face for a daughter in her place, cells on the face without eggs for a queen lost.',
      steps: [
        ['cells and cups', `${facts.queenCells}`],
        ['looked into', facts.cells.length === 0 ? 'none' : cellsInWords({ ...facts, queenCells: facts.cells.length })],
        ['not looked into', `${unknown}`],
        ['eggs in worker cells', facts.eggsSeen ? 'seen' : 'not seen'],
      ],
      source:
        'Development days: textbook consensus, within a day. The reading of cells is common practice and no proof.',
    },
    followUp: { question, from: addDays(facts.today, again[0]), due: addDays(facts.today, again[1]) },
  };
}

/** Queen cells as they were found: how many of which content, and where. */
export function cellsInWords({ cells, queenCells }: Pick<ColonyFacts, 'cells' | 'queenCells'>): string {
  const kinds = new Map<string, number>();
  for (const { content, place } of cells) {
    const where = { edge: 'at the edge', face: 'on the face', gap: 'in a gap' }[place];
    const key = `${CELL_WORDS[content satisfies CellContent]} ${where}`;
    kinds.set(key, (kinds.get(key) ?? 0) + 1);
  }
  const unknown = queenCells - cells.length;
  return [
    ...[...kinds].map(([words, count]) => `${count} × ${words}`),
    ...(unknown > 0 ? [`${unknown} not looked into`] : []),
  ].join(', ');
}
