import { always } from '../finding';
import type { ConditionWord } from '../word';

export const thereIs: ConditionWord = {
  says: ['there is {whom:target}'],
  denies: ['there is no {whom:target-}'],
  help: 'Such a defender stands in this front; from here on he is “him”.',
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => whom.seek(scene, me, him, always);
  },
  rebinds: true,
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return holds && found >= 0 ? `${scene.defenders[found]!.id} stands there` : slots.absent('whom');
  },
};
