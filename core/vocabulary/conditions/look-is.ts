import { spokenOf } from '../scene';
import type { ConditionWord } from '../word';

export const lookIs: ConditionWord = {
  says: ['the look is {look:look}'],
  denies: ['the look is not {look:look}'],
  help: 'The picture this scheme has a name for, described in a line "look NAME: ...".',
  test: (slots) => {
    const name = slots.text('look');
    return (scene, me) => scene.shows(name, me);
  },
  why: (slots) => (scene, _me, _him, holds) =>
    `this is ${holds ? '' : 'not '}the look “${spokenOf(scene, slots.text('look'))}”`,
};
