import * as z from 'zod';
import { hasErrors } from '../../diagnostics/diagnostic';
import { wordDiagnostic } from '../../diagnostics/wording';
import { mirrorText } from '../../language/lineups/print-lineup';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { libraryText } from '../../library/library';
import { shippedScheme } from '../../calls/resolve-call';
import type { Resolution } from '../../model/resolution';
import { VerdictSchema } from '../../model/resolution';
import { otherSide, SideSchema } from '../../model/side';
import { resolve } from '../../movement/play';

const PairSchema = z.object({ on: z.string(), men: z.array(z.string()), next: z.string().optional() });

/** One worked case: a call against a front, and what must come out. */
export const GoldenCaseSchema = z.object({
  id: z.string(),
  scheme: z.string(),
  side: SideSchema,
  formation: z.string(),
  front: z.string(),
  tags: z.array(z.string()).optional(),
  moves: z.array(z.string()).optional(),
  expect: z.object({
    who: z.record(z.string(), z.string()).optional(),
    pairs: z.array(PairSchema).optional(),
    pulls: z.array(z.string()).optional(),
    read: z.array(z.string()).optional(),
    left: z.array(z.string()).optional(),
    free: z.array(z.string()).optional(),
    verdict: VerdictSchema.optional(),
  }),
});
export type GoldenCase = z.infer<typeof GoldenCaseSchema>;

/** The same case seen from the other side of the ball. */
export function mirrorCase(c: GoldenCase): GoldenCase {
  const seat = (id: string): string => (/^[LR][TG]$/.test(id) ? (id[0] === 'L' ? 'R' : 'L') + id[1] : id);
  return {
    ...c,
    id: `${c.id} (mirrored)`,
    side: otherSide(c.side),
    formation: mirrorText(c.formation),
    front: mirrorText(c.front),
    moves: c.moves?.map(mirrorText),
    expect: {
      ...c.expect,
      who: c.expect.who && Object.fromEntries(Object.entries(c.expect.who).map(([man, what]) => [seat(man), what])),
      pairs: c.expect.pairs?.map((p) => ({ ...p, men: p.men.map(seat) })),
      pulls: c.expect.pulls?.map(seat),
    },
  };
}

/** What differs from the expectation, a line each; `null` when the scheme does not exist yet. */
export function runGoldenCase(c: GoldenCase): string[] | null {
  if (libraryText('schemes', c.scheme) === null) return null;
  const scheme = shippedScheme(c.scheme);
  if (!scheme.ok) return scheme.diagnostics.map(wordDiagnostic);
  const formation = readFormation(c.formation);
  if (!formation.ok) return formation.diagnostics.map(wordDiagnostic);
  const front = readFront([c.front, ...(c.moves ?? [])].join('; '), formation.value);
  if (!front.ok || hasErrors(front.diagnostics)) return front.diagnostics.map(wordDiagnostic);
  return compare(resolve(scheme.value, formation.value, front.value, { side: c.side, tags: c.tags }), c.expect);
}

function compare(resolution: Resolution, expect: GoldenCase['expect']): string[] {
  const differ: string[] = [];
  const byMan = new Map(resolution.assignments.map((a) => [a.blocker, a]));
  for (const [man, said] of Object.entries(expect.who ?? {})) {
    const [target, next] = said.split('>');
    const a = byMan.get(man);
    const got = a ? `${a.target ?? 'nobody'}${a.next ? `>${a.next}` : ''}` : 'no assignment';
    if (a?.target !== target || (next !== undefined && a?.next !== next))
      differ.push(`${man}: expected ${said}, got ${got}`);
  }
  for (const pair of expect.pairs ?? []) {
    const on = resolution.assignments.filter((a) => a.target === pair.on).map((a) => a.blocker);
    if (!pair.men.every((m) => on.includes(m)))
      differ.push(`pair on ${pair.on}: expected ${pair.men.join('+')}, got ${on.join('+') || 'nobody'}`);
    else if (pair.next && !pair.men.some((m) => byMan.get(m)?.next === pair.next))
      differ.push(`pair on ${pair.on}: nobody goes on to ${pair.next}`);
  }
  for (const man of expect.pulls ?? []) if (!byMan.get(man)?.pull) differ.push(`${man} does not pull`);
  for (const status of ['read', 'left', 'free'] as const) {
    for (const id of expect[status] ?? []) {
      const got = resolution.defenders.find((d) => d.id === id)?.status ?? 'not in the front';
      if (got !== status) differ.push(`${id}: expected ${status}, got ${got}`);
    }
  }
  if (expect.verdict && expect.verdict !== resolution.verdict) {
    differ.push(
      `verdict: expected ${expect.verdict}, got ${resolution.verdict} (${resolution.problems.map((p) => p.message).join(' ')})`,
    );
  }
  return differ;
}
