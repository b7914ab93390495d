import type { Rep, RepMark, Script } from '../../model/script';
import type { Ways } from '../../calls/resolve-call';
import { fewestBodies } from './bodies';
import type { Candidate } from './candidates';

/** With so many of them a series begins. */
const FIRST = 3;

/**
 * Reps of a series from the 3: of every call against its likeliest look first a few defenders, those who matter first, and with every rep one
 * more, until all are there; then the next call. Calls with more to lose come first.
 */
export function risingReps(candidates: readonly Candidate[], reps: number, ways: Ways): Rep[] {
  const likeliest = new Map<number, Candidate>();
  for (const c of candidates) {
    const known = likeliest.get(c.play);
    if (!known || c.times > known.times) likeliest.set(c.play, c);
  }
  const ranked = [...likeliest.values()].sort((a, b) => b.times * b.risk - a.times * a.risk || a.play - b.play);
  const out: Rep[] = [];
  for (const c of ranked) {
    const { scheme, side, tags, formation, formationName, front, frontName } = c.call;
    const { bodies, cones } = fewestBodies(c.worked, c.call, c.seats, ways);
    const attack = c.worked.resolution.attack.x;
    const near = (id: string): number => {
      const d = c.worked.front.defenders.find((o) => o.id === id)!;
      return Math.hypot(d.x - attack, d.y);
    };
    const all = [...[...bodies].sort((a, b) => near(a) - near(b)), ...[...cones].sort((a, b) => near(a) - near(b))];
    for (let n = Math.min(FIRST, all.length); n <= all.length && out.length < reps; n++)
      out.push({
        ...{ scheme, side, tags, formation, formationName, front, frontName },
        ...{ bodies: all.slice(0, n), cones: all.slice(n) },
        why: `${n} of ${all.length} defenders`,
      });
  }
  return out;
}

/** How far a call can be trusted with a yard to go: up to how many of them it has stood, without a failure below. */
export interface Trust {
  readonly key: string;
  readonly rep: Rep;
  /** Defenders it has stood, of how many there are; 0 when not even the first rep was good. */
  readonly stands: number;
  readonly of: number;
  readonly good: number;
  readonly tried: number;
  /** Who lost it, the most often first. */
  readonly lost: readonly string[];
}

/** What a series has come to, call by call. A call nobody has run is not in it. */
export function trustOf({ id, reps }: Pick<Script, 'id' | 'reps'>, marks: readonly RepMark[]): Trust[] {
  const calls = new Map<string, { rep: Rep; at: number }[]>();
  for (const [at, rep] of reps.entries()) {
    const key = `${rep.scheme} ${rep.side} ${rep.formationName} ${rep.frontName}`;
    calls.set(key, [...(calls.get(key) ?? []), { rep, at }]);
  }
  return [...calls].flatMap(([key, his]): Trust[] => {
    const rising = [...his].sort((a, b) => a.rep.bodies.length - b.rep.bodies.length);
    const tried = rising.flatMap(({ rep, at }) => {
      const mark = marks.find((m) => m.script === id && m.rep === at);
      return mark ? [{ rep, mark }] : [];
    });
    if (tried.length === 0) return [];
    const failed = tried.findIndex((t) => !t.mark.good);
    const stood = failed < 0 ? tried : tried.slice(0, failed);
    const counts = new Map<string, number>();
    for (const { mark } of tried) for (const seat of mark.missed) counts.set(seat, (counts.get(seat) ?? 0) + 1);
    const { rep } = rising[0]!;
    return [
      {
        ...{ key, rep, of: rep.bodies.length + rep.cones.length, tried: tried.length },
        stands: stood.at(-1)?.rep.bodies.length ?? 0,
        good: tried.filter((t) => t.mark.good).length,
        lost: [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([seat]) => seat),
      },
    ];
  });
}
