import { defineConfig } from 'vitest/config';

// Without the plugins of the build: one of them refuses to serve where the environment says that it is a CI machine.
export default defineConfig({
  resolve: { alias: { '@': '/resources/js' } },
  test: {
    include: ['resources/js/**/*.test.{ts,tsx}'],
    environment: 'jsdom',
    setupFiles: ['resources/js/testing/setup.ts'],
  },
});
