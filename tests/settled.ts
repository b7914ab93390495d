import { afterAll, vi } from 'vitest';

/** A part that is still being fetched when a file has ended would fail the run, and no test would say which. */
afterAll(() => vi.dynamicImportSettled());
