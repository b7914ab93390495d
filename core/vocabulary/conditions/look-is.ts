import type { ConditionWord } from '../word';

export const lookIs: ConditionWord = {
  says: ['the look is {look:look}'],
  denies: ['the look is not {look:look}'],
  help: 'The picture this scheme has a name for, described in a line "look NAME: ...".',
  test: (slots) => {
    const name = slots.text('look');
    return (scene, me) => {
      const him = scene.him;
      const holds = scene.looks.get(name)?.(scene, me) ?? false;
      scene.him = him;
      return holds;
    };
  },
  why: (slots) => (_scene, _me, holds) => `this front is ${holds ? '' : 'not '}${slots.text('look')}`,
};
