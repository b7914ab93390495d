import { always, nameHim } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const sameMan: ConditionWord = {
  says: ['{one:target!} is {other:target}'],
  denies: ['{one:target!} is not {other:target}'],
  help: 'Two descriptions name the same defender.',
  test: (slots) => {
    const one = slots.target('one');
    const other = slots.target('other');
    return (scene, me) => {
      const found = one.seek(scene, me, always);
      return found !== NOBODY && found === other.seek(scene, me, always) && nameHim(scene, found);
    };
  },
  why: (slots) => (scene, me, holds) => {
    const found = slots.target('one').seek(scene, me, always);
    if (found === NOBODY) return 'there is no such defender';
    return `${scene.defenders[found]!.id} is ${holds ? '' : 'not '}that man`;
  },
};
