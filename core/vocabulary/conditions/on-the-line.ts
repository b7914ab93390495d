import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const onTheLine: ConditionWord = {
  says: ['{whom:target!} is on the line'],
  denies: ['{whom:target!} is off the line'],
  help: 'He stands on the first level, hand down or standing.',
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => {
      const found = whom.seek(scene, me, him, always);
      return found !== NOBODY && scene.defenders[found]!.level === 1 ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return found === NOBODY
      ? slots.absent('whom')
      : `${scene.defenders[found]!.id} is ${scene.defenders[found]!.level === 1 ? 'on' : 'off'} the line`;
  },
};
