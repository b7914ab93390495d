import { NOBODY } from '../scene';
import type { ManWord } from '../word';

export const declaredSeat: ManWord = {
  says: ['the {seat:seat}'],
  help: 'A job this scheme gives to one man in a line "seat NAME = ...".',
  find: (slots) => {
    const seat = slots.text('seat');
    return ({ seats }) => seats.get(seat) ?? NOBODY;
  },
};
