import vue from '@vitejs/plugin-vue';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const at = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const alias = { '#core': at('./core'), '#demo': at('./demo'), '#eyes': at('./eyes'), '~': at('./app') };

export default defineConfig({
  test: {
    maxWorkers: availableParallelism(),
    projects: [
      {
        plugins: [vue()],
        resolve: { alias },
        test: {
          name: 'unit',
          testTimeout: 60_000,
          setupFiles: ['core/testing/seed.ts', 'tests/settled.ts'],
          include: [
            'core/**/*.test.ts',
            'cli/**/*.test.ts',
            'demo/**/*.test.ts',
            'eyes/**/*.test.ts',
            'server/**/*.test.ts',
            'app/**/*.test.ts',
            'tests/house/**/*.test.ts',
          ],
        },
      },
      {
        resolve: { alias },
        // What holds over thousands of random fronts: slower than the unit tests, and run apart from them.
        test: {
          name: 'laws',
          testTimeout: 60_000,
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
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
});
