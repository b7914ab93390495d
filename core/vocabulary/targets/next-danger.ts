import type { Scene } from '../scene';
import { firstOf } from '../finding';
import type { TargetWord } from '../word';

/** The order in which a scanning man looks at them, by the form said. */
const ORDERS: readonly ((scene: Scene) => (d: number) => number)[] = [
  (scene) => (d) => Math.abs(scene.defenders[d]!.x),
  (scene) => (d) => -Math.abs(scene.defenders[d]!.x),
];

export const nextDanger: TargetWord = {
  says: ['the next danger inside out', 'the next danger outside in', 'the next danger {side:wing}'],
  help: 'Who can rush and nobody has, in the order a scanning man looks: from the ball out, from the edge in, or on one side first.',
  offTheLine: true,
  find: (slots) => {
    const sign = slots.has('side') ? (slots.text('side') === 'playside' ? 1 : -1) : 0;
    return {
      claim: 'last',
      every: false,
      seek: (scene, me, him, accept) => {
        const by =
          sign === 0
            ? ORDERS[slots.form]!(scene)
            : (d: number): number => (scene.defenders[d]!.x * sign > 0 ? 0 : 1000) + Math.abs(scene.defenders[d]!.x);
        return firstOf(
          scene,
          me,
          him,
          [...scene.threats].sort((a, b) => by(a) - by(b) || b - a),
          accept,
        );
      },
    };
  },
};
