import type { ConditionWord } from '../word';
import { NUMBERS } from '../numbers';

export const boxCount: ConditionWord = {
  says: ['the box has {n:number} or more'],
  denies: ['the box has fewer than {n:number}'],
  help: 'Everyone on the line and the linebackers in the box.',
  test: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    return (scene) => scene.first.length + scene.linebackers.length >= n;
  },
  why: () => (scene) => `the box has ${NUMBERS[scene.first.length + scene.linebackers.length]}`,
};
