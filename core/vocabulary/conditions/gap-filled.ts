import { fillsGap } from '../../identify/line';
import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const gapFilled: ConditionWord = {
  says: ['{gap:gap} is filled', 'a man is in {gap:gap}'],
  denies: ['{gap:gap} is open', 'nobody is in {gap:gap}'],
  help: 'A first-level nose stands strictly between the two neighbours and is head-up on neither.',
  finds: (slots) => {
    const gap = slots.gap('gap');
    return (scene, me) => {
      const edges = gap(scene, me);
      if (!edges) return NOBODY;
      for (const d of scene.first) if (fillsGap(scene.defenders[d]!.x, edges.lo, edges.hi)) return d;
      return NOBODY;
    };
  },
  why: (slots) => (scene, me, _him, holds) => {
    const edges = slots.gap('gap')(scene, me);
    if (!edges) return slots.absent('gap');
    const inside = scene.first.filter((d) => fillsGap(scene.defenders[d]!.x, edges.lo, edges.hi));
    return holds
      ? `${inside.map((d) => scene.defenders[d]!.id).join(', ')} stands in that gap`
      : 'nobody stands in that gap';
  },
};
