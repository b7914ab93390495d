import { EPSILON } from '../../geometry/tolerances';
import { techniqueWordAt } from '../../identify/techniques';
import { nthOnLine } from '../finding';
import type { Scene } from '../scene';
import type { TargetWord } from '../word';

/** What the place of a first-level defender is called, by geometry alone. */
function wordOf(scene: Scene, defender: number): string {
  const { x } = scene.defenders[defender]!;
  const sign = x < 0 ? -1 : 1;
  const noses: number[] = [];
  for (let i = 0; i < scene.lineCount; i++) if (scene.men[i]!.x * sign >= 0) noses.push(scene.men[i]!.x * sign);
  return techniqueWordAt(
    x * sign,
    noses.sort((a, b) => a - b),
  );
}

export const manAt: TargetWord = {
  says: ['the man at {techniques:techniques} {side:wing}', 'a man at {techniques:techniques} {side:wing}'],
  help: 'A first-level defender by the number of his place, on one side of the ball, the one nearest the ball first.',
  find: (slots) => {
    const [words, side] = [slots.list('techniques'), slots.text('side')];
    const out = side === 'playside' ? 1 : -1;
    // Whoever stands over the ball stands on both sides of it.
    const half = out > 0 ? { from: 0, to: Infinity } : { from: -Infinity, to: EPSILON };
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) =>
        nthOnLine(
          scene,
          me,
          him,
          out,
          half,
          0,
          (_scene, _me, _him, d) => words.includes(wordOf(scene, d)) && accept(scene, me, him, d),
        ),
    };
  },
};
