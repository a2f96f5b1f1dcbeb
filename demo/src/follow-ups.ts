/** What earlier visits left to be looked at. */
export const FOLLOW_UPS = [
  { hive: '4', question: 'Second super? Yes, if bees fill all 11 frames.', from: '2026-05-12', due: '2026-05-20' },
  { hive: '4', question: 'Swarm cells: look along every comb edge.', from: '2026-05-12', due: '2026-05-16' },
  { hive: '4', question: 'Uneven cappings on 3: doubtful, look again.', from: '2026-05-07', due: '2026-05-17' },
  {
    hive: '7',
    question: 'Laying check: eggs? Day 9 since the virgin queen was seen.',
    from: '2026-05-14',
    due: '2026-05-17',
  },
  { hive: '6', question: 'Two cups held eggs: are the cells sealed now?', from: '2026-05-11', due: '2026-05-14' },
  { hive: '6', question: 'Top super heavy: is it full?', from: '2026-05-12', due: '2026-05-16' },
  { hive: '3', question: 'Doubtful cappings on 4, side toward 3.', from: '2026-05-16', due: '2026-05-19' },
  { hive: '9', question: 'Room: second super?', from: '2026-05-17', due: '2026-05-22' },
  { hive: '2', question: 'Growing? Food in kg.', from: '2026-05-22', due: '2026-05-26' },
  { hive: '8', question: 'Super drawn?', from: '2026-05-18', due: '2026-05-23' },
  { hive: '11', question: 'First super?', from: '2026-05-17', due: '2026-05-20' },
  { hive: '14', question: 'Swarm of 10 May: eggs on two combs?', from: '2026-05-13', due: '2026-05-18' },
] as const;

/** What was decided on the advice of earlier visits. */
export const DECISIONS = [
  {
    hive: '4',
    date: '2026-04-26',
    by: 'tomasz',
    advice: 'add-space',
    verdict: 'otherwise',
    action: 'First super at the next look',
    reason: 'Two frames are still bare.',
  },
  {
    hive: '9',
    date: '2026-04-26',
    by: 'ruth',
    advice: 'feed',
    verdict: 'declined',
    action: '',
    reason: 'A super is on and dandelion is open.',
  },
  {
    hive: '12',
    date: '2026-04-25',
    by: 'leilani',
    advice: 'feed',
    verdict: 'accepted',
    action: 'Fed 2 kg of thin syrup',
    reason: '',
  },
  {
    hive: '8',
    date: '2026-05-05',
    by: 'ruth',
    advice: 'leave-alone',
    verdict: 'accepted',
    action: 'Left alone until 12 May',
    reason: '',
  },
] as const;
