import type { AdviceKind, Advised } from './advice';
import type { Bring, BringId, Errand } from './errand';

const pieces = (...what: readonly BringId[]): readonly Bring[] => what.map((each) => ({ what: each, amount: 1 }));
const day = (minutes: number, brings: readonly Bring[] = [], opens = true): Errand => ({
  minutes,
  when: 'day',
  opens,
  brings,
});

/** What each kind of advice takes where its judge does not say otherwise. Common practice. */
const USUAL: Readonly<Record<AdviceKind, Errand>> = {
  health: day(25, pieces('own-tools', 'matchsticks', 'magnifier')),
  entrance: { minutes: 3, when: 'evening', opens: false, brings: pieces('entrance-block') },
  feed: { minutes: 6, when: 'evening', opens: false, brings: pieces('feeder') },
  queen: day(25, pieces('queen-cage', 'magnifier', 'newspaper')),
  'queen-cells': day(40, [...pieces('small-box', 'queen-cage'), { what: 'foundation', amount: 5 }]),
  swarming: day(30, [...pieces('small-box'), { what: 'foundation', amount: 2 }]),
  mites: day(20, pieces('wash-kit')),
  protein: day(4, pieces('patty'), false),
  strength: day(20, pieces('newspaper')),
  chill: day(8, pieces('dummy')),
  behind: day(15, pieces('magnifier')),
  selection: day(20, pieces('queen-cage')),
  comb: day(15),
  'add-space': day(8, pieces('super')),
  'look-again': day(12, pieces('magnifier')),
  'cannot-tell': day(15),
  'leave-alone': day(0, [], false),
};

/** What it takes to do what an advice says: as its judge tells it, else as it usually is. */
export const errandOf = ({ kind, errand }: Pick<Advised, 'kind' | 'errand'>): Errand => ({ ...USUAL[kind], ...errand });
