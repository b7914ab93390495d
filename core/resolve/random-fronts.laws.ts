import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { libraryIds, libraryText, schemeFrom } from '../library/library';
import type { Resolution } from '../model/resolution';
import { otherSide, type Side } from '../model/side';
import { aLineup, mirrorFormation, mirrorFront, mirrorSeat } from '../testing/fronts';
import { NOBODY } from '../vocabulary/scene';
import { FAILS } from './prepare/phrase';
import { prepareCall } from './prepare/prepare-call';
import { resolveStill, workOut } from './resolve';
import { sceneWith } from './settle/set-scene';
import { takeAction } from './settle/settle';
import type { CompiledScheme } from './prepare/compile';

function load(id: string): CompiledScheme {
  const read = schemeFrom(libraryText('schemes', id)!);
  if (!read.ok) throw new Error(id);
  return read.value;
}

/** Fronts tried a scheme and law. */
const RUNS = 40;
const aSide = fc.constantFrom<Side>('left', 'right');
const gist = (r: Resolution, seat: (id: string) => string = (id) => id) => ({
  verdict: r.verdict,
  men: Object.fromEntries(
    r.assignments.map((a) => [seat(a.blocker), [a.block, a.target, a.next, a.partners.map(seat).sort().join()]]),
  ),
  defenders: Object.fromEntries(r.defenders.map((d) => [d.id, d.status])),
});

describe.each(libraryIds('schemes'))('%s, on any front', (id) => {
  const scheme = load(id);

  it('mirrors: the turned front gives the turned assignments', () => {
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        const here = resolveStill(scheme, formation, front, { side });
        const there = resolveStill(scheme, mirrorFormation(formation), mirrorFront(front), { side: otherSide(side) });
        expect(gist(there, mirrorSeat)).toEqual(gist(here));
      }),
      { numRuns: RUNS },
    );
  });

  it('does not care in which order the defenders are listed, and repeats itself', () => {
    fc.assert(
      fc.property(aLineup, aSide, fc.integer(), ({ formation, front }, side, seed) => {
        const shuffled = {
          ...front,
          defenders: [...front.defenders].sort((a, b) => ((a.x * 7919 + seed) % 13) - ((b.x * 7919 + seed) % 13)),
        };
        expect(resolveStill(scheme, formation, shuffled, { side })).toEqual(
          resolveStill(scheme, formation, front, { side }),
        );
      }),
      { numRuns: RUNS },
    );
  });

  it('accounts for every defender, and never calls a play sound with a box man free who can arrive', () => {
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        const r = resolveStill(scheme, formation, front, { side });
        expect(r.defenders.map((d) => d.id).sort()).toEqual(front.defenders.map((d) => d.id).sort());
        for (const d of r.defenders) {
          // Whoever is only chipped has nobody who blocks him.
          const hits = r.assignments.filter((a) => a.target === d.id || a.next === d.id);
          const hit = hits.every((a) => a.block === 'chip') ? [] : hits.map((a) => a.blocker).sort();
          expect([...d.by].sort()).toEqual(hit);
          expect(hit.length > 0).toBe(['single', 'double', 'triple'].includes(d.status));
          const line = front.defenders.find((x) => x.id === d.id)!.y <= 4.5;
          // Against a pass whoever is not there before the ball is out cannot hurt; hundredths are rounded.
          const isThere = (): boolean =>
            !r.passing || r.passing.hot.find((h) => h.id === d.id)!.arrives <= r.passing.time - 0.01;
          if (line && d.status === 'free' && isThere()) expect(r.verdict).not.toBe('sound');
        }
        expect(r.verdict === 'sound').toBe(r.problems.length === 0);
      }),
      { numRuns: RUNS },
    );
  });

  it('whatever tags are called: never two men on one defender unasked, rules that chase each other, a lost partner, or a man idle with somebody free in the box', () => {
    fc.assert(
      fc.property(
        aLineup,
        aSide,
        fc.subarray(scheme.tags.map((t) => t.name)),
        fc.subarray(scheme.tags.map((t) => t.name)),
        ({ formation, front }, side, tags, without) => {
          const found = resolveStill(scheme, formation, front, { side, tags, without }).problems.filter((p) =>
            ['two-on-one', 'cycle', 'partner-cannot-come', 'idle'].includes(p.code),
          );
          expect(found.map((p) => p.message)).toEqual([]);
        },
      ),
      { numRuns: 3 * RUNS },
    );
  });

  it('never sends two neighbours across each other when one moved over for the other', () => {
    const isOver = (a: Resolution['assignments'][number]): boolean => /^bump over/.test(a.because.sentence);
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        const r = resolveStill(scheme, formation, front, { side });
        const x = (id: string): number => front.defenders.find((d) => d.id === id)!.x;
        const line = r.assignments.filter((a) =>
          formation.men.some((m) => m.id === a.blocker && (m.kind === 'line' || m.kind === 'tight')),
        );
        for (const [i, mate] of line.slice(1).entries()) {
          const man = line[i]!;
          if (!(isOver(man) || isOver(mate)) || !man.target || !mate.target || man.pull || mate.pull) continue;
          const levels = [man, mate].map((a) => front.defenders.find((d) => d.id === a.target)!.y <= 4.5);
          const alone = [man, mate].every((a) => r.defenders.find((d) => d.id === a.target)!.by.length === 1);
          if (alone && levels[0] === levels[1]) expect(x(man.target)).toBeLessThanOrEqual(x(mate.target) + 1e-6);
        }
      }),
      { numRuns: RUNS },
    );
  });

  it('passes over only what did not fit when the man chose: no reason is read off what happened later', () => {
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        const { outcome } = workOut(prepareCall(scheme, formation, { side }), front);
        const { scene, chosen, sheets, refusals, fallbacks } = outcome.settled;
        const then = sceneWith(scene, chosen);
        for (const { man, sentence } of outcome.men) {
          if (fallbacks.includes(man)) continue;
          for (const [i, passed] of sheets[man]!.slice(0, sentence).entries()) {
            const him = passed.when ? passed.when(then, man, NOBODY) : NOBODY;
            const fits = him !== FAILS && takeAction(then, man, him, passed) !== null;
            expect(fits && !refusals[man]!.has(i) && passed.called).toBe(false);
          }
        }
      }),
      { numRuns: RUNS },
    );
  });

  it('gives every choice its sentence and a reason for every sentence passed over', () => {
    fc.assert(
      fc.property(aLineup, aSide, ({ formation, front }, side) => {
        for (const a of resolveStill(scheme, formation, front, { side }).assignments) {
          expect(a.because.sentence).not.toBe('');
          for (const p of a.because.passedOver) expect(p.reason).toMatch(/\w/);
          expect(a.path.length).toBeGreaterThan(0);
          for (const point of a.path) expect(Number.isFinite(point.x) && Number.isFinite(point.y)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });
});
