import { lastLaying } from '../biology';
import { addDays } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';

/** Days after which a laying check settles whether missing eggs were missed or not laid: an egg stands three days, a larva six. */
const LAYING_CHECK = 7;
/** An egg in a cup is under the lid five days later at the earliest (3 days egg and 5.5 larva, less its age). */
const CUP_CHECK = 5;

/**
 * Look again soon, when something was found that changes within days: queen cells, no eggs, or a doubtful side.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when nothing presses
 * @example adviseLookAgain(withCells)?.title // 'Look along the comb edges again'
 */
export function adviseLookAgain(facts: ColonyFacts): Advice | null {
  const cells = facts.queenCells > 0;
  const noEggs = !facts.eggsSeen && facts.framesRead * 2 >= facts.frames;
  const doubtful = facts.doubtfulFrames.length > 0;
  if (!cells && !noEggs && !doubtful) return null;
  const laid = lastLaying({ eggs: facts.eggsSeen, larvae: facts.larvaeSeen, sealed: facts.sealedSeen });
  const noBrood = noEggs && !facts.larvaeSeen;
  const reasons: Reason[] = [
    ...(cells
      ? [
          {
            text: `${facts.queenCells} queen ${facts.queenCells === 1 ? 'cell or cup' : 'cells or cups'} on frame ${facts.framesWithCells.join(', ')}; an egg in one is sealed in 5 to 8 days`,
            weight: weigh(0.5 + facts.queenCells / 10),
            sense: 'for' as const,
          },
        ]
      : []),
    ...(noEggs
      ? [
          {
            text: laid
              ? `No eggs found; the youngest brood says last laid ${laid.from} to ${laid.to} days ago`
              : 'No brood at all to tell when she last laid',
            weight: noBrood ? 0.9 : 0.7,
            sense: 'for' as const,
          },
        ]
      : []),
    ...(doubtful
      ? [
          {
            text: `Doubtful on frame ${facts.doubtfulFrames.join(', ')}, not settled`,
            weight: 0.5,
            sense: 'for' as const,
          },
        ]
      : []),
    ...(facts.queenSeen ? [{ text: 'The queen was seen', weight: 0.4, sense: 'against' as const }] : []),
    { text: 'Every opening costs the colony part of a day', weight: 0.2, sense: 'against' },
  ];
  const days = cells ? CUP_CHECK : doubtful && !noEggs ? CUP_CHECK : LAYING_CHECK;
  const by = addDays(facts.today, days);
  return {
    kind: 'look again',
    title: cells
      ? 'Look along the comb edges again'
      : noEggs
        ? 'Look for eggs again'
        : 'Look at the doubtful frames again',
    by,
    pressing: weigh(cells ? 0.72 + facts.queenCells / 50 : noBrood ? 0.8 : noEggs ? 0.6 : 0.45),
    reasons,
    otherSchool: cells
      ? 'takes no notice of one or two empty cups, which bees build anyway, and keeps the ordinary interval.'
      : noBrood
        ? 'leaves her three weeks: a young queen opened too early may be balled or lost.'
        : 'counts the queen herself as proof and does not open again for it.',
    whereFrom: {
      figure: `${days} days`,
      rule: cells
        ? 'A queen cell is sealed on day 8 from the egg; a swarm may leave with it.'
        : 'An egg stands for 3 days, a larva for 6: within a week a laying queen shows.',
      steps: [
        ['eggs', facts.eggsSeen ? 'seen' : 'not seen'],
        ['larvae', facts.larvaeSeen ? 'seen' : 'not seen'],
        ['queen cells and cups', `${facts.queenCells}`],
        ['longest interval in swarm time', `${facts.practice.swarmIntervalDays} days`],
      ],
      source: 'Development days: textbook consensus, within a day. Interval: house practice.',
    },
    followUp: {
      question: cells ? 'Cells: egg, fed or sealed?' : noEggs ? 'Eggs or young larvae?' : 'What was the doubtful comb?',
      from: addDays(facts.today, days - 2),
      due: by,
    },
  };
}
