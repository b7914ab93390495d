import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const counted: TargetWord = {
  says: ['number {place:place}', 'plus {place:place}', 'minus {place:place}', 'zero'],
  help: 'A man of the box by his number: 1, 2, 3 from the play side across; or from the ball out, zero over or nearest it, plus to the play side, minus to the back side.',
  offTheLine: true,
  find: (slots) => {
    const place = slots.form === 3 ? 0 : Number(slots.text('place'));
    const { form } = slots;
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const { order, zero } = scene.count;
        const at = form === 0 ? place - 1 : zero + (form === 1 ? -place : place);
        const found = order[at] ?? NOBODY;
        return found !== NOBODY && accept(scene, me, him, found) ? found : NOBODY;
      },
    };
  },
};
