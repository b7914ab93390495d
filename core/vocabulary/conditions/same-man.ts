import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const sameMan: ConditionWord = {
  says: ['{one:target!} is {other:target}'],
  denies: ['{one:target!} is not {other:target}'],
  help: 'Two descriptions name the same defender.',
  finds: (slots) => {
    const one = slots.target('one');
    const other = slots.target('other');
    return (scene, me, him) => {
      const found = one.seek(scene, me, him, always);
      return found !== NOBODY && found === other.seek(scene, me, him, always) ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('one').seek(scene, me, him, always);
    if (found === NOBODY) return slots.absent('one');
    return `${scene.defenders[found]!.id} is ${holds ? '' : 'not '}that man`;
  },
};
