import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { ResolutionSchema } from './resolution';

/** Answers as an earlier build wrote them and a program may have kept them beside its grades. */
const kept = JSON.parse(
  readFileSync(fileURLToPath(new URL('../testing/kept-resolutions.json', import.meta.url)), 'utf8'),
) as Record<string, unknown>[];

describe('a resolution kept by an earlier build', () => {
  it.each(kept.map((r) => [r.scheme as string, r] as const))(
    '%s still opens, and nothing it said is lost',
    (_id, r) => {
      const opened = ResolutionSchema.parse(r);
      expect(opened).toMatchObject(r);
      for (const a of opened.assignments) expect(a.because.rather).toBeNull();
    },
  );
});
