import type { TargetWord } from '../word';

export const linebackerCount: TargetWord = {
  says: ['{count:count}'],
  help: 'A box linebacker by his number from the play side: L1 is the first, L2 the second.',
  offTheLine: true,
  find: (slots) => {
    const place = Number(slots.text('count').slice(1)) - 1;
    return {
      claim: 'named',
      every: false,
      orLast: true,
      seek: (scene, me, him, accept) => {
        const lb = scene.linebackers[place];
        return lb !== undefined && accept(scene, me, him, lb) ? lb : -1;
      },
    };
  },
};
