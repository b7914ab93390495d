import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const worksWith: ConditionWord = {
  says: ['{who:man!} works with {mate:man}'],
  denies: ['{who:man!} does not work with {mate:man}'],
  help: 'His own rule puts him on one defender together with that man; "him" is then that defender.',
  asksOthers: true,
  asksOf: (slots) => (lineup, me) => [slots.man('who')(lineup, me)],
  finds: (slots) => {
    const [who, mate] = [slots.man('who'), slots.man('mate')];
    return (scene, me) => {
      const [man, other] = [who(scene, me), mate(scene, me)];
      const his = man === NOBODY ? null : scene.proposals[man]!;
      return his !== null && other !== NOBODY && his.pairs && his.partner === other ? his.target : NOBODY;
    };
  },
  why: (slots) => (scene, me, _him, holds) => {
    const [man, other] = [slots.man('who')(scene, me), slots.man('mate')(scene, me)];
    if (man === NOBODY || other === NOBODY) return slots.absent(man === NOBODY ? 'who' : 'mate');
    return `${scene.men[man]!.id} ${holds ? 'works' : 'does not work'} with ${other === me ? 'me' : scene.men[other]!.id}`;
  },
};
