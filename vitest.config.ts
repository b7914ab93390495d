import vue from '@vitejs/plugin-vue';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
/** Nothing that is waited for here is late on a busy machine, it only never comes. */
const PATIENCE = { testTimeout: 180_000, hookTimeout: 180_000, expect: { poll: { timeout: 60_000 } } } as const;
const alias = { '#core': at('./core'), '#demo': at('./demo'), '#eyes': at('./eyes'), '~': at('./app') };

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
    projects: [
      {
        resolve: { alias },
        // Pure code, which leaves nothing behind: its files share what they have loaded, and take a third of the time.
        test: {
          name: 'core',
          ...PATIENCE,
          isolate: false,
          setupFiles: ['core/testing/seed.ts'],
          include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'demo/**/*.test.ts', 'eyes/**/*.test.ts'],
        },
      },
      {
        plugins: [vue()],
        resolve: { alias },
        test: {
          name: 'unit',
          ...PATIENCE,
          setupFiles: ['core/testing/seed.ts', 'tests/settled.ts'],
          include: ['server/**/*.test.ts', 'app/**/*.test.ts', 'tests/house/**/*.test.ts'],
        },
      },
      {
        resolve: { alias },
        // What holds over thousands of random fronts: slower than the unit tests, and run apart from them.
        test: {
          name: 'laws',
          ...PATIENCE,
          isolate: false,
          setupFiles: ['core/testing/seed.ts'],
          include: ['core/**/*.laws.ts'],
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'integration',
          include: ['tests/integration/**/*.test.ts', 'tests/trust/files/**/*.test.ts'],
          fileParallelism: false,
          ...PATIENCE,
        },
      },
    ],
  },
});
