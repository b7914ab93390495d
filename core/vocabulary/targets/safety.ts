import type { TargetWord } from '../word';
import { NOBODY, type Scene, type SceneDefender } from '../scene';

/** So deep a back of the secondary plays safety, feet: deeper than linebackers stand. */
const SAFETY_DEPTH = 18;

const isDeepBack = ({ index, position, y }: SceneDefender, { edge: { playside, backside } }: Scene): boolean =>
  position === 'db' && y >= SAFETY_DEPTH && index !== playside.corner && index !== backside.corner;

export const safety: TargetWord = {
  says: ['the first free safety'],
  help: 'A defender marked safety, one of the third level, or a back of the secondary deeper than the linebackers: the one nearest the ball whom nobody has.',
  offTheLine: true,
  find: () => ({
    claim: 'free',
    every: false,
    seek: (scene, me, him, accept) => {
      let best = NOBODY;
      for (const d of scene.defenders) {
        if (d.level < 3 && d.mark !== 'safety' && !isDeepBack(d, scene)) continue;
        if ((best === NOBODY || Math.abs(d.x) < Math.abs(scene.defenders[best]!.x)) && accept(scene, me, him, d.index))
          best = d.index;
      }
      return best;
    },
  }),
};
