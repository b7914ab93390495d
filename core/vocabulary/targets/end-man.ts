import type { TargetWord } from '../word';

export const endMan: TargetWord = {
  says: ['the end man on the line [{side:wing}]'],
  help: 'The widest first-level defender, on the play side unless told otherwise.',
  find: (slots) => {
    const side = slots.has('side') && slots.text('side') === 'backside' ? 'backside' : 'playside';
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const end = scene.edge[side].endMan;
        return end >= 0 && accept(scene, me, him, end) ? end : -1;
      },
    };
  },
};
