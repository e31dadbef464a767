import { defineConfig } from 'vitest/config';

// Without the plugins of the build: one of them refuses to serve where the environment says that it is a CI machine.
export default defineConfig({
  resolve: { alias: { '@': '/resources/js' } },
  test: {
    include: ['resources/js/**/*.test.{ts,tsx}'],
    environment: './resources/js/testing/keptDom.ts',
    setupFiles: ['resources/js/testing/setup.ts'],
    // Files share what they import: reading it anew for each takes longer than the tests. The set-up clears what is kept.
    pool: 'threads',
    isolate: false,
    maxWorkers: '100%',
    restoreMocks: true,
    unstubGlobals: true,
    // On a busy machine a walk through a form takes its time.
    testTimeout: 240_000,
  },
});
