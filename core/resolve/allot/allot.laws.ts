import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { libraryIds, libraryText, schemeFrom } from '../../library/library';
import type { Resolution } from '../../model/resolution';
import type { Side } from '../../model/side';
import { aFront, aLineup, formationOf } from '../../testing/fronts';
import { need } from '../../testing/need';
import type { CompiledScheme } from '../prepare/compile';
import { prepareCall } from '../prepare/prepare-call';
import { resolveStill, workOut } from '../resolve';
import type { Option } from './options';
import { arrivalOf, type Question } from './search';

const load = (id: string): CompiledScheme => need(schemeFrom(libraryText('schemes', id)!));
const runs = libraryIds('schemes').filter((id) => load(id).head.throw === null);
const aSide = fc.constantFrom<Side>('left', 'right');

/** Every way of giving each job one of its options, or nobody, no defender twice. */
function everyAllotment(options: Question['options']): (Option | null)[][] {
  let all: (Option | null)[][] = [[]];
  for (const list of options)
    all = all.flatMap((picks) =>
      [...list, null]
        .filter((o) => o === null || picks.every((p) => p?.defender !== o.defender))
        .map((o) => [...picks, o]),
    );
  return all;
}

/** The law of the second level, point by point, as figures of which less is better. */
function reckon(question: Question, picks: readonly (Option | null)[]): number[] {
  const { jobs, options, open, scene, fixed } = question;
  const x = (d: number): number => scene.defenders[d]!.x;
  const had = picks.map((p) => p?.defender);
  const left = open.filter((d) => !had.includes(d));
  const ways = picks.flatMap((p, j) =>
    p && jobs[j]!.kind !== 'errand' ? [[jobs[j]!.from, x(p.defender)] as [number, number]] : [],
  );
  const cross = ([a, to]: readonly [number, number], [b, end]: readonly [number, number]): boolean =>
    (a - b) * (to - end) < -1e-9;
  const crossings = ways.flatMap((w, i) => ways.slice(0, i).filter((v) => cross(w, v))).length;
  return [
    left.length,
    picks.filter(
      (p, j) =>
        p &&
        jobs[j]!.kind !== 'errand' &&
        p.way > 10 + 1e-6 &&
        options[j]!.some((o) => left.includes(o.defender) && o.way < p.way - 1e-6),
    ).length,
    ...left.map((d) => -arrivalOf(question, d)).sort((a, b) => b - a),
    picks.filter((p, j) => !p && question.idle[j]).length,
    crossings + ways.flatMap((w) => fixed.filter((f) => cross(w, f))).length,
    picks.reduce((sum, p, j) => sum + (jobs[j]!.kind !== 'end' ? 0 : p ? (p.inBox ? 2 : 0) : 1), 0),
    ...picks.map((p, j) => p?.rank ?? (jobs[j]!.wishes.every((w) => w.finder.claim === 'matched') ? 0 : 1000)),
    picks.reduce((sum, p) => sum + (p?.way ?? 0), 0),
    ...picks.map((p) => (p ? -x(p.defender) : 1e9)),
  ];
}

/** Compares two reckonings figure by figure; those who leave more are longer and lose at once. */
function isBetter(a: readonly number[], b: readonly number[]): boolean {
  for (let i = 0; i < a.length; i++) if (Math.abs(a[i]! - b[i]!) > 1e-6) return a[i]! < b[i]!;
  return false;
}

describe.each(runs)('%s, second level', (id) => {
  const scheme = load(id);

  it('is shared out as the law says, tried against every possible sharing', () => {
    let asked = 0;
    fc.assert(
      fc.property(aLineup, aSide, fc.subarray(scheme.tags.map((t) => t.name)), ({ formation, front }, side, tags) => {
        const { chosen } = workOut(prepareCall(scheme, formation, { side, tags }), front).outcome.shared;
        if (!chosen) return;
        asked++;
        const { question, picks } = chosen;
        const mine = reckon(question, picks);
        for (const other of everyAllotment(question.options))
          expect(isBetter(reckon(question, other), mine)).toBe(false);
      }),
      { numRuns: 60 },
    );
    expect(asked).toBeGreaterThan(0);
  });

  it('leaves a linebacker who stands over a double to that double, unless somebody who pulls or leads has him', () => {
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        const r = resolveStill(scheme, formation, front, { side });
        const at = (d: string): { x: number; y: number } => front.defenders.find((f) => f.id === d)!;
        const doubles = r.assignments.filter((a) => a.next !== null && a.partners.length > 0 && at(a.target!).y <= 4.5);
        for (const a of doubles) {
          const over = r.defenders.filter(
            (d) => at(d.id).y > 4.5 && d.status === 'free' && Math.abs(at(d.id).x - at(a.target!).x) <= 1,
          );
          const inBox = over.filter((d) => Math.abs(at(d.id).x) <= 8);
          if (inBox.length > 0) expect(Math.abs(at(a.next!).x - at(a.target!).x)).toBeLessThanOrEqual(1 + 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
});

/** Schemes whose sheets say nothing else when there is a tight end. */
const SAME_WITH_AN_END = [
  'inside-zone-z1',
  'inside-zone-z2',
  'inside-zone-z2m',
  'inside-zone-z2r',
  'inside-zone-z6',
  'outside-zone',
];

describe.each(SAME_WITH_AN_END)('%s with a tight end', (id) => {
  const scheme = load(id);
  const [five, withEnd] = [formationOf('LT LG C RG RT'), formationOf('LT LG C RG RT Y right')];

  it('still has every linebacker whom the five have without him', () => {
    fc.assert(
      fc.property(aFront(five), ({ defenders, ...front }) => {
        // Only fronts that have nobody for the end himself to block: everybody on the line stays as it was.
        fc.pre(defenders.every((d) => d.y > 4.5 || d.x < 9.5));
        const had = (r: Resolution): string[] =>
          r.defenders.filter((d) => d.by.length > 0 && isBacker(d.id)).map((d) => d.id);
        const isBacker = (d: string): boolean => {
          const { x, y } = defenders.find((f) => f.id === d)!;
          return y > 4.5 && y < 20 && Math.abs(x) <= 10;
        };
        const whole = { ...front, defenders };
        const alone = resolveStill(scheme, five, whole, { side: 'right' });
        const joined = resolveStill(scheme, withEnd, whole, { side: 'right' });
        for (const d of had(alone)) expect(had(joined)).toContain(d);
      }),
      { numRuns: 80 },
    );
  });
});
