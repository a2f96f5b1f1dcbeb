const [TUESDAY, THURSDAY, SATURDAY, SUNDAY] = [2, 4, 6, 7] as const;

const hours = (weekdays: readonly number[], from: string, to: string) => {
  const minute = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
  return weekdays.map((weekday) => ({ weekday, from: minute(from), to: minute(to) }));
};
const off = (from: string, to: string, why: string) => ({ from, to, why });

/** When the groups of Brenna Fell can come, and how they are planned. */
export const GROUP_TERMS = [
  {
    group: 'Curlew',
    times: {
      weekly: hours([TUESDAY, THURSDAY, SATURDAY, SUNDAY], '09:30', '17:00'),
      away: [off('2026-05-21', '2026-05-21', 'exam')],
    },
    sessions: 3,
    gapDays: 3,
    maxTemper: 2,
    until: '2026-07-12',
  },
  {
    group: 'Dipper',
    times: {
      weekly: [...hours([SATURDAY, SUNDAY], '10:00', '17:30'), ...hours([THURSDAY], '12:30', '18:00')],
      away: [],
    },
    sessions: 3,
    gapDays: 3,
    maxTemper: 2,
    until: '2026-07-12',
  },
  {
    group: 'Lapwing',
    times: {
      weekly: [...hours([TUESDAY, THURSDAY], '12:00', '18:00'), ...hours([SUNDAY], '09:00', '16:00')],
      away: [off('2026-05-23', '2026-05-24', 'away')],
    },
    sessions: 3,
    gapDays: 3,
    maxTemper: 4,
    until: '2026-07-12',
  },
] as const;

/** When those who lead groups can come. */
export const SUPERVISOR_TERMS = [
  { person: 'morag', senior: true, times: { weekly: hours([SATURDAY, SUNDAY], '09:00', '18:00'), away: [] } },
  {
    person: 'tomasz',
    senior: false,
    times: {
      weekly: hours([1, 2, 3, 4, 5, 6, 7], '09:00', '18:00'),
      away: [off('2026-05-16', '2026-05-16', 'Tomasz away')],
    },
  },
  {
    person: 'leilani',
    senior: true,
    times: { weekly: hours([THURSDAY, SATURDAY, SUNDAY], '09:00', '18:00'), away: [] },
  },
  {
    person: 'ruth',
    senior: true,
    times: {
      weekly: hours([TUESDAY, THURSDAY, SUNDAY], '11:00', '18:00'),
      away: [off('2026-05-16', '2026-05-16', 'Ruth away')],
    },
  },
  { person: 'marit', senior: true, times: { weekly: hours([1, 2, 3, 4, 5, 6, 7], '08:00', '19:00'), away: [] } },
] as const;

/** What a trainee's back allows. */
export const TRAINEE_TERMS = [{ person: 'niamh', liftKg: 10, seated: true }] as const;
