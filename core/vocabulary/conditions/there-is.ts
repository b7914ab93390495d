import { always, nameHim } from '../finding';
import type { ConditionWord } from '../word';

export const thereIs: ConditionWord = {
  says: ['there is {whom:target}'],
  denies: ['there is no {whom:target-}'],
  help: 'Such a defender stands in this front.',
  test: (slots) => {
    const whom = slots.target('whom');
    return (scene, me) => nameHim(scene, whom.seek(scene, me, always));
  },
  why: (slots) => (scene, me, holds) => {
    const found = slots.target('whom').seek(scene, me, always);
    return holds && found >= 0 ? `${scene.defenders[found]!.id} stands there` : 'nobody stands there';
  },
};
