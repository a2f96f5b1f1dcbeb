import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Without isolation: loading the modules anew for every file takes as long as its tests.
    projects: [
      { test: { name: 'core', root: 'core', include: ['test/**/*.spec.ts'], isolate: false, testTimeout: 120_000 } },
      {
        test: {
          name: 'contract',
          root: 'contract',
          include: ['test/**/*.spec.ts'],
          isolate: false,
          testTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['test/**/*.spec.ts'],
          pool: 'forks',
          fileParallelism: false,
          // What is kept in memory is kept by database, so files can share the modules.
          isolate: false,
          // A machine that does other work beside it is slow, not broken.
          testTimeout: 120_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
