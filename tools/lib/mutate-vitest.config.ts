import { defineConfig } from 'vitest/config';

const only = process.env.MUTATE_TESTS?.split(' ');

/** The tests of the core, as mutants meet them: those that search for plans take their time and judge nothing of what is mutated. */
export default defineConfig({
  test: {
    root: 'core',
    include: only ? only.map((name) => `test/${name}.spec.ts`) : ['test/**/*.spec.ts'],
    exclude: ['test/plan-*.spec.ts', 'test/practice-*.spec.ts', 'test/said.spec.ts', 'test/examples.spec.ts'],
    // Each of the runners is a process of its own; loading the modules anew for every file would take longer than the tests.
    isolate: false,
    fileParallelism: false,
    testTimeout: 30_000,
  },
});
