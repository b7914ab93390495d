import { atLeast, lessThan } from '../geometry/compare';
import { NOBODY, type Scene } from './scene';

/** Somebody off the line and out of the box may still come when he stands this near to the ball, feet. */
export const RUSH_REACH = 30;
/** Of those, so many at most. */
const OTHERS = 2;
/** Where a rush goes, feet behind the ball: a quarterback's usual depth. Which rusher is the more dangerous does not hang on the exact one. */
const RUSH_DEPTH = 15;

/**
 * Who can rush, the most dangerous first: the men on the line, the linebackers of the box and at most two others within ten yards of the
 * ball. Danger is nearness to the quarterback; of two alike the one on the back side.
 */
export const threatsOf = (scene: Scene): readonly number[] =>
  rushersOf(scene).sort((a, b) => toQuarterback(scene, a) - toQuarterback(scene, b) || a - b);

function rushersOf(scene: Scene): number[] {
  const sure = [...new Set([...scene.first, ...scene.linebackers])];
  const away = (d: number): number => Math.hypot(scene.defenders[d]!.x, scene.defenders[d]!.y);
  const others = scene.defenders
    .map((d) => d.index)
    .filter((d) => !sure.includes(d) && away(d) <= RUSH_REACH)
    .sort((a, b) => away(a) - away(b) || a - b);
  return [...sure, ...others.slice(0, OTHERS)];
}

const toQuarterback = (scene: Scene, d: number): number =>
  Math.hypot(scene.defenders[d]!.x, scene.defenders[d]!.y + RUSH_DEPTH);

/**
 * Down: a hand on the ground anywhere on the line, or standing there at or outside the last lineman. Who stands inside the tackles is a
 * linebacker who has walked up.
 */
export function isDown({ defenders, men }: Scene, d: number): boolean {
  const { level, stance, x } = defenders[d]!;
  if (level !== 1 || stance === 'down') return level === 1;
  let last = 0;
  for (const m of men) if (m.post !== null && m.x > 0 === x > 0) last = Math.max(last, Math.abs(m.x));
  return atLeast(Math.abs(x), last);
}

/** The men who are down by how near they stand to the ball, the back side first where two are alike. */
export const nearestTheBall = (scene: Scene): number[] =>
  scene.first
    .filter((d) => isDown(scene, d))
    .sort((a, b) => Math.abs(scene.defenders[a]!.x) - Math.abs(scene.defenders[b]!.x) || a - b);

/**
 * The linebacker with whom the count begins: of three the middle one, of four the inner one away from the back. Of two the one away from the
 * back when somebody else may come on the back's side, so that he scans two men there, inside out; else the one nearer the ball, of two
 * alike the one away from the back. Whoever has walked up inside is a linebacker too. A coach's own word holds over it.
 */
export const declaredOf = (scene: Scene): number => declare(scene).who;

/** Whom the count begins with, as the line is told. */
export interface Declared {
  readonly who: number;
  readonly why: (scene: Scene) => string;
}

export function declare(scene: Scene): Declared {
  const { facts, mike, defenders } = scene;
  if (facts.mike().overruled && mike !== NOBODY) return { who: mike, why: () => facts.mike().why() };
  const across = [...scene.linebackers].sort((a, b) => defenders[a]!.x - defenders[b]!.x || a - b);
  const away = across[Math.floor((across.length - 1) / 2)] ?? NOBODY;
  const name = ({ defenders: all }: Scene, d: number): string => all[d]!.id;
  if (away === NOBODY) return { who: NOBODY, why: () => 'No linebacker in the box: nobody is declared.' };
  if (across.length === 1) return { who: away, why: (s) => `${name(s, away)} is the only linebacker.` };
  if (across.length % 2) return { who: away, why: (s) => `${name(s, away)} is the middle one of the linebackers.` };
  const fromBack = (s: Scene): string => `${name(s, away)} is the inner one away from the back`;
  if (across.length > 2) return { who: away, why: (s) => `${fromBack(s)}.` };
  const isOther = (d: number): boolean => defenders[d]!.level > 1 && defenders[d]!.x > 0 && !across.includes(d);
  const other = scene.threats.find(isOther);
  if (other !== undefined)
    return {
      who: away,
      why: (s) => `${fromBack(s)}, who scans ${name(s, across[1]!)} and ${name(s, other)} on his own side.`,
    };
  const [far, near] = [Math.abs(defenders[across[0]!]!.x), Math.abs(defenders[across[1]!]!.x)];
  return lessThan(near, far)
    ? { who: across[1]!, why: (s) => `${name(s, across[1]!)} is the nearer to the ball of two, and nobody else comes.` }
    : { who: away, why: (s) => `${fromBack(s)}.` };
}
