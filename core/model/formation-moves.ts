import { SHOULDER_WIDTH } from '../geometry/tolerances';
import { GRAIN } from './front-steps';
import { lineOf, type Blocker, type Formation } from './formation';

/** Widest split between shoulders a text may say, feet. */
const WIDEST_SPLIT = 6;
const LIMITS = { x: 54, nearest: -1.5, deepest: -24 };
const snap = (feet: number): number => Math.round(feet / GRAIN) * GRAIN + 0;

/**
 * The formation with one man moved to a place, to the nearest half foot: a man off the line stands there, a man on the line takes the
 * split that brings him there and everybody outside him goes along. `null` when nothing would change or he would stand on somebody.
 */
export function moveBlocker(formation: Formation, id: string, to: { x: number; y: number }): Formation | null {
  const man = formation.men.find((m) => m.id === id);
  if (!man || id === 'C') return null;
  return lineOf(formation).includes(man) ? split(formation, man, to.x) : place(formation, man, to);
}

function place(formation: Formation, man: Blocker, to: { x: number; y: number }): Formation | null {
  const x = Math.max(-LIMITS.x, Math.min(LIMITS.x, snap(to.x)));
  const y = Math.min(LIMITS.nearest, Math.max(LIMITS.deepest, snap(to.y)));
  if (x === man.x && y === man.y) return null;
  if (formation.men.some((m) => m !== man && Math.hypot(m.x - x, m.y - y) < GRAIN)) return null;
  return withMen(formation, (m) => (m === man ? { ...m, x, y } : m));
}

function split(formation: Formation, man: Blocker, x: number): Formation | null {
  const line = lineOf(formation);
  const [at, centre] = [line.indexOf(man), line.findIndex((m) => m.id === 'C')];
  const out = at < centre ? -1 : 1;
  const inside = line[at - out]!;
  const gap = Math.max(0, Math.min(WIDEST_SPLIT, snap((x - inside.x) * out - SHOULDER_WIDTH)));
  const by = inside.x + (gap + SHOULDER_WIDTH) * out - man.x;
  if (Math.abs(by) < 1e-6) return null;
  const isOutside = (m: Blocker): boolean => line.includes(m) && (m.x - man.x) * out >= 0;
  return withMen(formation, (m) => (isOutside(m) ? { ...m, x: m.x + by } : m));
}

const withMen = (formation: Formation, change: (man: Blocker) => Blocker): Formation => ({
  ...formation,
  men: formation.men.map(change),
});
