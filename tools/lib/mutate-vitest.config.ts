import { defineConfig } from 'vitest/config';

/** The tests of the core, as mutants meet them: those that search for plans take their time and judge nothing of what is mutated. */
export default defineConfig({
  test: {
    root: 'core',
    include: ['test/**/*.spec.ts'],
    exclude: ['test/plan-*.spec.ts', 'test/practice-*.spec.ts', 'test/said.spec.ts', 'test/examples.spec.ts'],
    testTimeout: 30_000,
  },
});
