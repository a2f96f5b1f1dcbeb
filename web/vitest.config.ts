import { defineConfig } from 'vitest/config';

// A machine that does other work beside it is slow, not broken.
export default defineConfig({ test: { testTimeout: 120_000 } });
