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
    return (scene) => {
      let man = scene.posts.C;
      for (let i = 0; i < letter && man !== NOBODY; i++) man = scene.men[man]![step];
      return man === NOBODY ? null : betweenMen(scene, man, scene.men[man]![step]);
    };
  },
};
