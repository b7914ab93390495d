import { NUMBERS } from '../numbers';
import type { Scene } from '../scene';
import type { ConditionWord } from '../word';

const handsDown = (scene: Scene): number => scene.first.filter((d) => scene.defenders[d]!.stance === 'down').length;

export const menDown: ConditionWord = {
  says: ['{n:number} or more are down'],
  denies: ['fewer than {n:number} are down'],
  help: 'Men on the line with a hand on the ground; those who stand up there are not counted.',
  test: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    return (scene) => handsDown(scene) >= n;
  },
  why: () => (scene) => `${NUMBERS[handsDown(scene)]} are down`,
};
