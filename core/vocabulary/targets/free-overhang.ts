import { OVERHANG_REACH } from '../../geometry/tolerances';
import { NOBODY, type Scene } from '../scene';
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
      seek: (scene, me, him, accept) => {
        let nearest = NOBODY;
        for (const d of scene.edge[side].overhangs) {
          if (off(scene, d) > OVERHANG_REACH || (nearest !== NOBODY && off(scene, d) >= off(scene, nearest))) continue;
          if (accept(scene, me, him, d)) nearest = d;
        }
        return nearest;
      },
    };
  },
};
