import { coveringMen, stands } from '../finding';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const manOn: TargetWord = {
  says: [
    'the man on {who:man}',
    'a man on {who:man}',
    'the man {how:shades} on {who:man}',
    'a man {how:shades} on {who:man}',
  ],
  help: 'A first-level defender head-up or shaded on that man, whatever the scheme means by covered.',
  find: (slots) => {
    const who = slots.man('who');
    const how = slots.has('how') ? slots.list('how') : null;
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        for (const d of coveringMen(scene, man))
          if ((!how || stands(scene, d, man, how)) && accept(scene, me, him, d)) return d;
        return NOBODY;
      },
    };
  },
};
