import type { PlainCondition } from '../word';

const byCall: PlainCondition['byCall'] & {} = (slots) => {
  const tag = slots.text('tag');
  return ({ tags }) => tags.has(tag);
};

export const tagOn: PlainCondition = {
  says: ['tag {tag:tag} is on'],
  denies: ['tag {tag:tag} is off'],
  help: 'The call carries this tag, or the scheme has it on unless told otherwise.',
  test: byCall,
  byCall,
  why: (slots) => (_scene, _me, _him, holds) => `${slots.text('tag')} is ${holds ? 'on' : 'not called'}`,
};
