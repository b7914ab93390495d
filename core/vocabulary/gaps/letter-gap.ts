import { betweenMen } from '../finding';
import { NOBODY } from '../scene';
import type { GapWord } from '../word';

const LETTERS = ['A', 'B', 'C', 'D'];

export const letterGap: GapWord = {
  says: ['the {side:wing} {letter:letter} gap'],
  help: 'A gap by its letter: A next to the centre, then B, C, D.',
  find: (slots) => {
    const step = slots.text('side') === 'playside' ? 'playside' : 'backside';
    const letter = LETTERS.indexOf(slots.text('letter'));
    return (lineup) => {
      const { men, posts } = lineup;
      let man = posts.C;
      for (let i = 0; i < letter && man !== NOBODY; i++) man = men[man]![step];
      return man === NOBODY ? null : betweenMen(lineup, man, men[man]![step]);
    };
  },
};
