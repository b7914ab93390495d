import type { ConditionWord } from '../word';

export const tagOn: ConditionWord = {
  says: ['tag {tag:tag} is on'],
  denies: ['tag {tag:tag} is off'],
  help: 'The call carries this tag, or the scheme has it on unless told otherwise.',
  test: (slots) => {
    const tag = slots.text('tag');
    return (scene) => scene.tags.has(tag);
  },
  why: (slots) => (_scene, _me, holds) => `${slots.text('tag')} is ${holds ? 'on' : 'not called'}`,
};
