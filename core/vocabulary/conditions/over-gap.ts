import { always } from '../finding';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const overGap: ConditionWord = {
  says: ['{whom:target!} stands over {gap:gap}'],
  denies: ['{whom:target!} does not stand over {gap:gap}'],
  help: 'His nose lies between the two noses of that gap, at any depth.',
  finds: (slots) => {
    const [whom, gap] = [slots.target('whom'), slots.gap('gap')];
    return (scene, me, him) => {
      const [found, edges] = [whom.seek(scene, me, him, always), gap(scene, me)];
      if (found === NOBODY || !edges) return NOBODY;
      const { x } = scene.defenders[found]!;
      return x > edges.lo && x < edges.hi ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return found === NOBODY
      ? slots.absent('whom')
      : `${scene.defenders[found]!.id} stands ${holds ? 'in' : 'outside'} that gap`;
  },
};
