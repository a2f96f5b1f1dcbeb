export * from './brood-due';
export * from './development';
export * from './emergence';
export * from './last-laying';
export * from './queen-mark';
export * from './queen-timetable';
