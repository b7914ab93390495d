import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const walkedUp: ConditionWord = {
  says: ['{whom:target!} is walked up'],
  denies: ['{whom:target!} is not walked up'],
  help: 'He stands on the line without being an end: called out by name.',
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => {
      const found = whom.seek(scene, me, him, always);
      if (found === NOBODY) return NOBODY;
      const { level, stance, position } = scene.defenders[found]!;
      return level === 1 && stance === 'up' && position !== 'end' ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return found === NOBODY
      ? slots.absent('whom')
      : `${scene.defenders[found]!.id} has ${holds ? '' : 'not '}walked up`;
  },
};
