import { STACK_WIDTH } from '../../geometry/tolerances';
import { atMost } from '../../geometry/compare';
import { always } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { ConditionWord } from '../word';

const isStacked = (scene: Scene, d: number): boolean =>
  scene.defenders[d]!.level > 1 &&
  scene.first.some((f) => atMost(Math.abs(scene.defenders[f]!.x - scene.defenders[d]!.x), STACK_WIDTH));

export const stacked: ConditionWord = {
  says: ['{whom:target!} is stacked'],
  denies: ['{whom:target!} is not stacked'],
  help: 'He stands within a foot of straight behind a man on the line.',
  finds: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him) => {
      const found = whom.seek(scene, me, him, always);
      return found !== NOBODY && isStacked(scene, found) ? found : NOBODY;
    };
  },
  why: (slots) => (scene, me, him, holds) => {
    const found = slots.target('whom').seek(scene, me, him, always);
    return found === NOBODY
      ? slots.absent('whom')
      : `${scene.defenders[found]!.id} is ${holds ? '' : 'not '}behind a man on the line`;
  },
};
