import { spokenOf } from '../scene';
import type { PlainCondition } from '../word';

const byCall: PlainCondition['byCall'] & {} = (slots) => {
  const tag = slots.text('tag');
  return ({ tags }) => tags.has(tag);
};

/** How the reason ends where a sentence belongs to a tag that the call does not carry. */
export const NOT_CALLED = 'is not called';

export const tagOn: PlainCondition = {
  says: ['tag {tag:tag} is on'],
  denies: ['tag {tag:tag} is off'],
  help: 'The call carries this tag, or the scheme has it on unless told otherwise.',
  test: byCall,
  byCall,
  why: (slots) => (scene, _me, _him, holds) =>
    `“${spokenOf(scene, slots.text('tag'))}” ${holds ? 'is called' : NOT_CALLED}`,
};
