import type { YardRound } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { YardRoundScreen } from './yard-round';

type Job = YardRound['colonies'][number]['jobs'][number];
const job = (key: string, by: string, more: Partial<Job> = {}): Job => ({
  key,
  what: key,
  why: 'because',
  from: '2026-05-10',
  by,
  strict: 'must',
  toDecide: false,
  errand: { minutes: 12, when: 'day', opens: true, brings: [] },
  bring: null,
  goesTo: 'round',
  session: null,
  ...more,
});
const colony = (
  number: string,
  jobs: readonly Job[],
  more: Partial<YardRound['colonies'][number]> = {},
): YardRound['colonies'][number] => ({
  hive: `hive-${number}`,
  number,
  stand: 'A',
  place: { east: Number(number) * 3, north: 0, faces: 180 },
  suspected: false,
  temper: 2,
  alone: null,
  decideAt: null,
  jobs,
  ...more,
});
const syrup = { minutes: 6, when: 'evening', opens: false, brings: [{ what: 'thin-syrup', amount: 2 }] } as const;
const all: YardRound = {
  site: { id: 'home', name: 'Home orchard' },
  sites: [{ id: 'home', name: 'Home orchard' }],
  today: '2026-05-14',
  until: '2026-05-21',
  colonies: [
    colony('1', [job('Look for queen cells', '2026-05-12')], { temper: 4 }),
    colony('2', [job('advice:feed', '2026-05-15', { toDecide: true, goesTo: 'evening', errand: syrup })], {
      decideAt: 'visit-2',
    }),
    colony('3', [
      job('Room?', '2026-05-20', {
        goesTo: 'session',
        session: { id: 's', date: '2026-05-17', group: 'Dipper' },
      }),
    ]),
    colony('4', [job('Matchstick test', '2026-05-16')], { suspected: true }),
    colony('5', [job('Drone comb out', '2026-05-18')]),
    colony('7', [], { alone: 'Leave alone: a young queen, until 23 May.' }),
    colony('8', []),
  ],
  store: { drawn: 3, foundation: 0 },
  reserves: [{ number: '8', ready: true, says: 'a queen in her first season' }],
  matches: [{ from: '1', to: '5', what: 'brood', says: 'Hive 1 could give one comb', why: 'Both sound' }],
};
const stops = (element: HTMLElement) =>
  [...element.querySelectorAll('tbody tr')].map((row) => {
    const stop = row.querySelector('.stop')?.textContent.trim() ?? '-';
    return `${stop}: hive ${row.querySelector('th')!.textContent.trim()}`;
  });

describe('the yard round', () => {
  beforeEach(() => localStorage.clear());

  it('is walked from quiet hives to sharp and suspected ones, feeding last in the evening, sessions apart', async () => {
    const { element } = await showView(YardRoundScreen, 'yardRound', all);
    expect(stops(element)).toEqual(['1: hive 5', '2: hive 1', '3: hive 4', '4: hive 2', '-: hive 3']);
    const text = element.textContent.replace(/\s+/g, ' ');
    expect(text).toMatch(/4 jobs ?40 min by day, 6 min in the evening; 1 at sessions/);
    expect(text).toMatch(/Last of all, with its own tools/);
    expect(text).toMatch(/After the quiet ones: temper 4 of 5/);
    expect(text).toMatch(/Hive 7\. ?Leave alone: a young queen/);
    expect(text).toMatch(/Nothing due: 8\./);
    expect(text).toMatch(/Hive 1 could give one comb/);
    expect(element.querySelector('bc-round-map svg')!.getAttribute('aria-label')).toBe(
      'The walk, behind the entrances: hive 5, 1, 4',
    );
  });

  it('adds up what is brought, with sugar and water for the syrup, and keeps what is packed', async () => {
    const shown = await showView(YardRoundScreen, 'yardRound', all);
    expect(shown.element.textContent).toMatch(/2 L thin syrup/);
    expect(shown.element.textContent.replace(/\s+/g, ' ')).toMatch(/Syrup: 1\.2 kg of sugar with 1\.2 L of water/);
    shown.element.querySelector<HTMLInputElement>('.kit input')!.click();
    await shown.fixture.whenStable();
    const again = await showView(YardRoundScreen, 'yardRound', all);
    expect(again.element.querySelector<HTMLInputElement>('.kit input')!.checked).toBe(true);
  });

  it('sends an advice to whoever opens the hive next, and leaves out what waits', async () => {
    const { element, fixture, changes } = await showView(YardRoundScreen, 'yardRound', all);
    const screen = fixture.componentInstance as unknown as {
      lines(): readonly { readonly key: string }[];
      choose(line: object, where: string): void;
    };
    const line = (key: string) => screen.lines().find((each) => each.key === key)!;
    screen.choose(line('hive-2 advice:feed'), 'session');
    screen.choose(line('hive-5 Drone comb out'), 'later');
    await fixture.whenStable();
    expect(changes().map(({ endpoint, sent }) => [endpoint, sent])).toEqual([
      ['sendToSession', { params: { hive: 'hive-2' }, body: { id: expect.any(String) as string, advice: 'feed' } }],
    ]);
    expect(element.textContent.replace(/\s+/g, ' ')).toMatch(
      /2 jobs ?26 min by day, 0 min in the evening; 2 at sessions/,
    );
  });
});
