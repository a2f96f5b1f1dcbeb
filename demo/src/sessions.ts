/** One hive opened by one group. */
export interface DemoAssignment {
  readonly group: string;
  readonly hive: string;
  readonly supervisor: string;
  /** Start at the site's clock. */
  readonly at: string;
}

export interface DemoSession {
  readonly site: string;
  readonly date: string;
  readonly from: string;
  readonly to: string;
  readonly depth: 'one-frame' | 'full';
  readonly status: 'planned' | 'held' | 'called-off';
  readonly groups: readonly DemoAssignment[];
}

const opens = (group: string, hive: number, supervisor: string, at: string): DemoAssignment => ({
  group,
  hive: `${hive}`,
  supervisor,
  at,
});
const home = (
  date: string,
  [from, to]: readonly [string, string],
  status: DemoSession['status'],
  groups: readonly DemoAssignment[],
  depth: DemoSession['depth'] = 'full',
): DemoSession => ({ site: 'Home orchard', date, from, to, depth, status, groups });
const moor = (...session: Parameters<typeof home>): DemoSession => ({ ...home(...session), site: 'Moor edge' });

const SHORT = ['12:30', '14:00'] as const;
const LONG = ['12:30', '15:30'] as const;
const TODAY = ['13:10', '15:30'] as const;

/** Brenna Fell's season so far and what is planned. */
export const SESSIONS: readonly DemoSession[] = [
  home(
    '2026-04-12',
    SHORT,
    'held',
    [
      opens('Curlew', 4, 'tomasz', '12:35'),
      opens('Dipper', 1, 'leilani', '12:40'),
      opens('Lapwing', 9, 'ruth', '12:45'),
    ],
    'one-frame',
  ),
  home('2026-04-18', LONG, 'held', [
    opens('Curlew', 8, 'tomasz', '12:35'),
    opens('Dipper', 7, 'leilani', '12:40'),
    opens('Lapwing', 6, 'ruth', '12:45'),
    opens('Curlew', 5, 'tomasz', '13:40'),
  ]),
  moor('2026-04-25', LONG, 'held', [
    opens('Curlew', 10, 'marit', '12:40'),
    opens('Dipper', 11, 'leilani', '12:45'),
    opens('Lapwing', 13, 'ruth', '12:50'),
    opens('Dipper', 12, 'leilani', '13:50'),
  ]),
  home('2026-04-26', LONG, 'held', [
    opens('Curlew', 4, 'tomasz', '12:35'),
    opens('Dipper', 3, 'leilani', '12:40'),
    opens('Lapwing', 6, 'ruth', '12:45'),
    opens('Curlew', 2, 'tomasz', '13:45'),
    opens('Lapwing', 9, 'ruth', '13:50'),
  ]),
  home('2026-05-05', LONG, 'held', [
    opens('Curlew', 4, 'tomasz', '12:35'),
    opens('Dipper', 7, 'leilani', '12:40'),
    opens('Lapwing', 8, 'ruth', '12:45'),
  ]),
  home('2026-05-07', SHORT, 'held', [opens('Lapwing', 6, 'ruth', '12:40'), opens('Curlew', 5, 'tomasz', '12:45')]),
  home('2026-05-08', LONG, 'called-off', [opens('Dipper', 9, 'leilani', '12:40')]),
  moor('2026-05-09', LONG, 'held', [
    opens('Curlew', 10, 'marit', '12:40'),
    opens('Dipper', 11, 'leilani', '12:45'),
    opens('Lapwing', 13, 'ruth', '12:50'),
    opens('Curlew', 12, 'marit', '13:50'),
  ]),
  home('2026-05-10', LONG, 'held', [
    opens('Curlew', 1, 'tomasz', '12:35'),
    opens('Dipper', 3, 'leilani', '12:40'),
    opens('Lapwing', 9, 'ruth', '12:45'),
    opens('Curlew', 2, 'tomasz', '13:45'),
  ]),
  home('2026-05-14', TODAY, 'planned', [
    opens('Curlew', 4, 'tomasz', '13:10'),
    opens('Dipper', 7, 'leilani', '13:20'),
    opens('Lapwing', 6, 'ruth', '13:30'),
  ]),
  home('2026-05-17', SHORT, 'planned', [opens('Dipper', 3, 'leilani', '12:40')]),
  moor('2026-05-17', LONG, 'planned', [opens('Lapwing', 14, 'ruth', '12:40'), opens('Curlew', 11, 'marit', '12:45')]),
  home('2026-05-19', LONG, 'planned', [opens('Curlew', 9, 'tomasz', '12:40'), opens('Lapwing', 8, 'ruth', '12:45')]),
  home('2026-05-21', LONG, 'planned', [opens('Curlew', 4, 'tomasz', '12:40'), opens('Dipper', 7, 'leilani', '12:45')]),
  home('2026-05-23', LONG, 'planned', [opens('Lapwing', 6, 'ruth', '12:40'), opens('Dipper', 2, 'marit', '12:45')]),
  home('2026-05-28', LONG, 'planned', [
    opens('Curlew', 1, 'tomasz', '12:40'),
    opens('Dipper', 5, 'leilani', '12:45'),
    opens('Lapwing', 9, 'ruth', '12:50'),
  ]),
];

/** Saltpan Road's. */
export const SALTPAN_SESSIONS: readonly DemoSession[] = [
  {
    site: 'Saltpan Road',
    date: '2026-05-06',
    from: '11:00',
    to: '13:00',
    depth: 'one-frame',
    status: 'held',
    groups: [{ group: 'Plover', hive: '1', supervisor: 'tane', at: '11:10' }],
  },
  {
    site: 'Saltpan Road',
    date: '2026-05-16',
    from: '11:00',
    to: '13:00',
    depth: 'one-frame',
    status: 'planned',
    groups: [{ group: 'Plover', hive: '2', supervisor: 'tane', at: '11:10' }],
  },
];
