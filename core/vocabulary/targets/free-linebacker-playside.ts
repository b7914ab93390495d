import type { TargetWord } from '../word';

export const freeLinebackerPlayside: TargetWord = {
  says: ['the first free linebacker playside of {who:man}'],
  help: 'The first box linebacker nobody has, if he stands on the play side of that man’s nose.',
  offTheLine: true,
  find: (slots) => {
    const who = slots.man('who');
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        if (man < 0) return -1;
        for (const d of scene.linebackers)
          if (scene.defenders[d]!.x > scene.men[man]!.x && accept(scene, me, him, d)) return d;
        return -1;
      },
    };
  },
};
