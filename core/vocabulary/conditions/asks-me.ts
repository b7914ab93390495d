import { isOfTrade } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const asksMe: ConditionWord = {
  says: ['{who:man!} asks me for help'],
  denies: ['{who:man!} asks nobody for help'],
  help: 'His own rule is a double team with me; "him" is then the man he wants doubled.',
  asksOthers: true,
  aboutMe: true,
  asksOf: (slots) => (lineup, me) => {
    const asked = slots.man('who')(lineup, me);
    return lineup.men.map((m) => m.index).filter((man) => isOfTrade(lineup, man, asked));
  },
  finds: (slots) => {
    const who = slots.man('who');
    return (scene, me) => {
      const asked = who(scene, me);
      for (let man = 0; man < scene.men.length; man++) {
        const { pairs, partner, target } = scene.proposals[man]!;
        if (pairs && partner === me && isOfTrade(scene, man, asked)) return target;
      }
      return NOBODY;
    };
  },
  why: (slots) => (scene, me, _him, holds) => {
    const man = slots.man('who')(scene, me);
    if (man === NOBODY) return slots.absent('who');
    return `${scene.men[man]!.id} ${holds ? 'asks me' : 'does not ask me'}`;
  },
};
