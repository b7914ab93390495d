import { always, nameHim } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const onTheLine: ConditionWord = {
  says: ['{whom:target!} is on the line'],
  denies: ['{whom:target!} is off the line'],
  help: 'He stands on the first level, hand down or standing.',
  test: (slots) => {
    const whom = slots.target('whom');
    return (scene, me) => {
      const found = whom.seek(scene, me, always);
      return found !== NOBODY && scene.defenders[found]!.level === 1 && nameHim(scene, found);
    };
  },
  why: (slots) => (scene, me) => {
    const found = slots.target('whom').seek(scene, me, always);
    return found === NOBODY
      ? 'there is no such defender'
      : `${scene.defenders[found]!.id} is ${scene.defenders[found]!.level === 1 ? 'on' : 'off'} the line`;
  },
};
