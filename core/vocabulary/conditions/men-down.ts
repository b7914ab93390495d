import { NUMBERS } from '../numbers';
import { isDown } from '../threats';
import type { Scene } from '../scene';
import type { ConditionWord } from '../word';

const handsDown = (scene: Scene): number => scene.first.filter((d) => isDown(scene, d)).length;

export const menDown: ConditionWord = {
  says: ['{n:number} or more are down'],
  denies: ['fewer than {n:number} are down'],
  help: 'Men on the line with a hand on the ground, and those who stand there at or outside the tackle; who stands inside is a linebacker who has walked up.',
  test: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    return (scene) => handsDown(scene) >= n;
  },
  why: () => (scene) => `${NUMBERS[handsDown(scene)]} are down`,
};
