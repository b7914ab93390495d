import type { TargetWord } from '../word';
import { NOBODY, type Scene } from '../scene';

const counts = new WeakMap<Scene, { order: readonly number[]; zero: number }>();

/** The count of one picture, made when it is first asked for. */
function countOf(scene: Scene): { order: readonly number[]; zero: number } {
  let count = counts.get(scene);
  if (!count) {
    const order = countOrder(scene);
    counts.set(scene, count = { order, zero: zeroOf(scene, order) });
  }
  return count;
}

/** The box in lateral order from the play side, first level before second where they are stacked. */
function countOrder(scene: Scene): number[] {
  return [...scene.first, ...scene.linebackers].sort((a, b) => {
    const [one, other] = [scene.defenders[a]!, scene.defenders[b]!];
    return Math.abs(one.x - other.x) <= 1 && one.level !== other.level ? one.level - other.level : other.x - one.x || a - b;
  });
}

/** Where the count from the ball has its zero: the man over the ball, else the one nearest it, on the line first. */
function zeroOf(scene: Scene, order: readonly number[]): number {
  let zero = -1;
  const off = (i: number): number => Math.abs(scene.defenders[order[i]!]!.x);
  for (let i = 0; i < order.length; i++) if (zero < 0 || off(i) < off(zero) - 1e-6) zero = i;
  return zero;
}

export const counted: TargetWord = {
  says: ['number {place:place}', 'plus {place:place}', 'minus {place:place}', 'zero'],
  help: 'A man of the box by his number: 1, 2, 3 from the play side across; or from the ball out, zero over or nearest it, plus to the play side, minus to the back side.',
  find: (slots) => {
    const place = slots.form === 3 ? 0 : Number(slots.text('place'));
    const { form } = slots;
    return {
      claim: null, every: false,
      seek: (scene, _me, accept) => {
        const { order, zero } = countOf(scene);
        const at = form === 0 ? place - 1 : zero + (form === 1 ? -place : place);
        const found = order[at] ?? NOBODY;
        return found !== NOBODY && accept(found) ? found : NOBODY;
      },
    };
  },
};
