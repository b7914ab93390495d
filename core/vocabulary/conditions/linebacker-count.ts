import type { ConditionWord } from '../word';
import { NUMBERS } from '../numbers';

export const linebackersCount: ConditionWord = {
  says: ['there are {n:number} linebackers or more'],
  denies: ['there are fewer than {n:number} linebackers'],
  help: 'Linebackers in the box.',
  test: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    return (scene) => scene.linebackers.length >= n;
  },
  why: () => (scene) => `the box has ${NUMBERS[scene.linebackers.length]} linebackers`,
};
