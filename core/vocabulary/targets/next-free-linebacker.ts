import { firstOf } from '../finding';
import type { TargetWord } from '../word';

export const nextFreeLinebacker: TargetWord = {
  says: ['the next free linebacker', 'the next free linebacker after {count:count}'],
  help: 'The first box linebacker from the play side whom nobody has once the named ones are handed out.',
  offTheLine: true,
  find: (slots) => {
    const after = slots.has('count') ? Number(slots.text('count').slice(1)) : 0;
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) =>
        firstOf(scene, me, him, after === 0 ? scene.linebackers : scene.linebackers.slice(after), accept),
    };
  },
};
