import { builtinEnvironments, type Environment, type EnvironmentReturn } from 'vitest/runtime';

const kept = globalThis as { keptDom?: Promise<EnvironmentReturn> };

/** A page of jsdom for all files of a worker: making one takes as long as the tests of a file. The set-up clears what a test left in it. */
export default {
  name: 'kept-dom',
  viteEnvironment: 'client',
  async setup(global, options) {
    await (kept.keptDom ??= Promise.resolve(builtinEnvironments.jsdom.setup(global, options)));
    return { teardown: () => undefined };
  },
} satisfies Environment;
