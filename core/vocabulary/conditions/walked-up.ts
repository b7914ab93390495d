import { always, nameHim } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const walkedUp: ConditionWord = {
  says: ['{whom:target!} is walked up'],
  denies: ['{whom:target!} is not walked up'],
  help: 'He stands on the line without being an end: called out by name.',
  test: (slots) => {
    const whom = slots.target('whom');
    return (scene, me) => {
      const found = whom.seek(scene, me, always);
      if (found === NOBODY) return false;
      const { level, stance, position } = scene.defenders[found]!;
      return level === 1 && stance === 'up' && position !== 'end' && nameHim(scene, found);
    };
  },
  why: (slots) => (scene, me, holds) => {
    const found = slots.target('whom').seek(scene, me, always);
    return found === NOBODY
      ? 'there is no such defender'
      : `${scene.defenders[found]!.id} has ${holds ? '' : 'not '}walked up`;
  },
};
