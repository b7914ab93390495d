import { firstOf } from '../finding';
import type { Scene } from '../scene';
import type { TargetWord } from '../word';

export const nextFreeLinebacker: TargetWord = {
  says: ['the next free linebacker', 'the next free linebacker after {count:count}'],
  help: 'The first box linebacker from the play side whom nobody has once the named ones are handed out.',
  offTheLine: true,
  find: (slots) => {
    const after = slots.has('count') ? Number(slots.text('count').slice(1)) : 0;
    const list = ({ linebackers }: Scene): readonly number[] => (after === 0 ? linebackers : linebackers.slice(after));
    return {
      claim: 'free',
      every: false,
      list,
      seek: (scene, me, him, accept) => firstOf(scene, me, him, list(scene), accept),
    };
  },
};
