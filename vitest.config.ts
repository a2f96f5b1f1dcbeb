import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', include: ['test/**/*.spec.ts'], testTimeout: 30_000 } },
      { test: { name: 'contract', root: 'contract', include: ['test/**/*.spec.ts'] } },
      {
        test: {
          name: 'server',
          root: 'server',
          include: ['test/**/*.spec.ts'],
          pool: 'forks',
          fileParallelism: false,
          // What is kept in memory is kept by database, so files can share the modules; loading them anew takes as long as the tests.
          isolate: false,
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
});
