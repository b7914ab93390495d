import { crosses } from '../after';
import { outward } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { EventWord } from '../word';

/** Which way that is for this man: 1 to the play side. */
function signOfWay(scene: Scene, man: number, way: string): number {
  if (way === 'playside' || way === 'backside') return way === 'playside' ? 1 : -1;
  return way === 'outside' ? outward(scene, man) : -outward(scene, man);
}

export const crossesFace: EventWord = {
  says: ['he crosses my face', 'he crosses my face {way:dir}'],
  help: 'The man I am on slants across my nose; which way may be said.',
  happens: (slots) => {
    const way = slots.has('way') ? slots.text('way') : null;
    return (change, me) => {
      const his = change.had[me]!;
      if (his === NOBODY) return null;
      const went = crosses(change, me, his);
      return went !== 0 && (way === null || went === signOfWay(change.before, me, way)) ? change.nowAt[his]! : null;
    };
  },
};
