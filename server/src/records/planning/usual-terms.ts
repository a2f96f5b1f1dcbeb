import type { PlanningTerms } from '@brave-comb/contract';
import type { Times } from '@brave-comb/core/planning';
import type { HousePractice } from '@brave-comb/core/house';

/** Everybody can come in working hours until the school says otherwise. */
const anyDay = ([from, to]: HousePractice['workingHours']): Times => ({
  weekly: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: from * 60, to: to * 60 })),
  away: [],
});

export const usualTerms = {
  group: (practice: HousePractice): Extract<PlanningTerms, { kind: 'group' }> => ({
    kind: 'group',
    times: anyDay(practice.workingHours),
    sessions: 2,
    gapDays: 3,
    maxTemper: 3,
    until: null,
  }),
  supervisor: (practice: HousePractice, senior: boolean): Extract<PlanningTerms, { kind: 'supervisor' }> => ({
    kind: 'supervisor',
    times: anyDay(practice.workingHours),
    senior,
  }),
  trainee: { kind: 'trainee', liftKg: null, seated: false },
} as const;
