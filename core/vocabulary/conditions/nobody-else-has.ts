import { always, hasOwner } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const nobodyElseHas: ConditionWord = {
  says: ['nobody else has {whom:target}'],
  denies: ['somebody else has {whom:target}'],
  help: 'No other man’s rule takes that defender first.',
  asksOthers: true,
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => {
      const found = whom.seek(scene, me, him, always);
      return found !== NOBODY && !hasOwner(scene, me, found) ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    if (found === NOBODY) return slots.absent('whom');
    const owner = scene.proposals.findIndex((p, man) => man !== me && p.target === found);
    return owner >= 0
      ? `${scene.men[owner]!.id} has ${scene.defenders[found]!.id}`
      : `nobody else has ${scene.defenders[found]!.id}`;
  },
};
