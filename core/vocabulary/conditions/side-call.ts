import type { ConditionWord } from '../word';
import type { Scene } from '../scene';

/** The call of a side of the play: the scene is turned, the calls are made on the field. */
const callOn = (scene: Scene, side: string): string =>
  scene.facts.sideCall()[(side === 'playside') === (scene.side === 'right') ? 'right' : 'left'].call;

export const sideCall: ConditionWord = {
  says: ['the {side:wing} is {load:load}'],
  denies: ['the {side:wing} is not {load:load}'],
  help: 'What the tackle on that side tells the centre: loaded when two or more stand on the guard or wider, else light.',
  test: (slots) => {
    const [side, load] = [slots.text('side'), slots.text('load')];
    return (scene) => callOn(scene, side) === load;
  },
  why: (slots) => (scene) => `the ${slots.text('side')} is ${callOn(scene, slots.text('side'))}`,
};
