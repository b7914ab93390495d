import { NOBODY } from '../scene';
import type { PlainCondition } from '../word';

const byCall: PlainCondition['byCall'] & {} = (slots) => {
  const who = slots.man('who');
  return (lineup, me) => who(lineup, me) !== NOBODY;
};

export const inTheGame: PlainCondition = {
  says: ['{who:man!} be in the game'],
  denies: ['{who:man!} be not in the game'],
  help: 'This formation has such a man.',
  test: byCall,
  byCall,
  why: (slots) => (scene, me, _him, holds) => {
    const man = slots.man('who')(scene, me);
    return holds && man >= 0 ? `${scene.men[man]!.id} is in the game` : slots.absent('who');
  },
};
