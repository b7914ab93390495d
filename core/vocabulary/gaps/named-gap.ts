import { neighbourOf } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { GapWord } from '../word';

const LETTERS = ['A', 'B', 'C', 'D'];

function betweenMen(scene: Scene, one: number, other: number): { lo: number; hi: number } | null {
  if (one === NOBODY || other === NOBODY) return null;
  const a = scene.men[one]!.x;
  const b = scene.men[other]!.x;
  return { lo: Math.min(a, b), hi: Math.max(a, b) };
}

export const myGap: GapWord = {
  says: ['my {dir:dir} gap'],
  help: 'The gap between me and my neighbour on that side.',
  find: (slots) => {
    const dir = slots.text('dir');
    return (scene, self) => betweenMen(scene, self, neighbourOf(scene, self, dir));
  },
};

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
