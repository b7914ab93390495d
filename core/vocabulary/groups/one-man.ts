import type { GroupWord } from '../word';

export const oneMan: GroupWord = {
  says: ['{who:man}'],
  help: 'One man by his post or seat.',
  includes: (slots) => {
    const who = slots.man('who');
    return (lineup, man) => who(lineup, man) === man;
  },
};
