import { always, sayStand, stands } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const standsBy: ConditionWord = {
  says: ['{whom:target!} stands {how:shades} of {who:man}'],
  help: 'Where a defender’s nose is to a man’s: head-up within half a foot, else inside or outside, play side or back side.',
  finds: (slots) => {
    const [whom, who, how] = [slots.target('whom'), slots.man('who'), slots.list('how')];
    return (scene, me, him) => {
      const [found, man] = [whom.seek(scene, me, him, always), who(scene, me)];
      return found !== NOBODY && man !== NOBODY && stands(scene, found, man, how) ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him) => {
    const [found, man] = [slots.target('whom').seek(scene, me, him, always), slots.man('who')(scene, me)];
    if (found === NOBODY || man === NOBODY) return found === NOBODY ? slots.absent('whom') : slots.absent('who');
    return `${scene.defenders[found]!.id} stands ${sayStand(scene, found, man)} ${man === me ? 'me' : scene.men[man]!.id}`;
  },
};
