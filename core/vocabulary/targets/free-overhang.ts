import { OVERHANG_REACH } from '../../geometry/tolerances';
import { firstOf } from '../finding';
import type { Scene } from '../scene';
import type { TargetWord } from '../word';

export const freeOverhang: TargetWord = {
  says: ['the first free overhang', 'the first free overhang backside'],
  help: 'The second-level defender outside the box on the play side (or the back side) whom nobody has, nearest the ball first.',
  offTheLine: true,
  find: (slots) => {
    const side = slots.form === 0 ? 'playside' : 'backside';
    const off = (scene: Scene, d: number): number => Math.abs(scene.defenders[d]!.x);
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) =>
        firstOf(
          scene,
          me,
          him,
          [...scene.edge[side].overhangs].sort((a, b) => off(scene, a) - off(scene, b)),
          (_scene, _me, _him, d) => off(scene, d) <= OVERHANG_REACH && accept(scene, me, him, d),
        ),
    };
  },
};
