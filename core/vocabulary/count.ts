import { STACK_WIDTH } from '../geometry/tolerances';
import type { Count, Scene } from './scene';

/** The box in lateral order from the play side, first level before second where they are stacked; zero is the man over the ball, else the one nearest it, on the line first. */
export function countOf(scene: Scene): Count {
  const order = [...scene.first, ...scene.linebackers].sort((a, b) => {
    const [one, other] = [scene.defenders[a]!, scene.defenders[b]!];
    return Math.abs(one.x - other.x) <= STACK_WIDTH && one.level !== other.level
      ? one.level - other.level
      : other.x - one.x || a - b;
  });
  let zero = -1;
  const off = (i: number): number => Math.abs(scene.defenders[order[i]!]!.x);
  for (let i = 0; i < order.length; i++) if (zero < 0 || off(i) < off(zero) - 1e-6) zero = i;
  return { order, zero };
}
