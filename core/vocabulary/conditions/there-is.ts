import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const thereIs: ConditionWord = {
  says: ['there is {whom:target}'],
  denies: ['there is no {whom:target-}'],
  help: 'Such a defender stands in this front; from here on he is “him”.',
  test: (slots) => {
    const whom = slots.target('whom');
    return (scene, me) => {
      const found = whom.seek(scene, me, always);
      if (found === NOBODY) return false;
      scene.him = found;
      return true;
    };
  },
  why: (slots) => (scene, me, holds) => {
    const found = slots.target('whom').seek(scene, me, always);
    return holds && found >= 0 ? `${scene.defenders[found]!.id} stands there` : 'nobody stands there';
  },
};
