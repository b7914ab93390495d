import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const handDown: ConditionWord = {
  says: ['{whom:target!} has a hand down'],
  denies: ['{whom:target!} has no hand down'],
  help: 'He is on the line with a hand on the ground; a man who stands there is not.',
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => {
      const found = whom.seek(scene, me, him, always);
      if (found === NOBODY) return NOBODY;
      const { level, stance } = scene.defenders[found]!;
      return level === 1 && stance === 'down' ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return found === NOBODY
      ? slots.absent('whom')
      : `${scene.defenders[found]!.id} ${holds ? 'has a hand down' : 'stands'}`;
  },
};
