import { HEAD_UP, OVERHANG_REACH } from '../../geometry/tolerances';
import { outward } from '../finding';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

/** Forms from here on take overhangs in; the odd ones look outside. */
const OVERHANGS_TOO = 2;

export const linebackerBeside: TargetWord = {
  says: [
    'the first free linebacker inside {who:man}',
    'the first free linebacker outside {who:man}',
    'the first free second-level man inside {who:man}',
    'the first free second-level man outside {who:man}',
  ],
  help: 'The nearest linebacker to that man’s inside (a man straight in front of him counts) or outside whom nobody has; a second-level man may stand outside the box.',
  offTheLine: true,
  find: (slots) => {
    const who = slots.man('who');
    const wide = slots.form >= OVERHANGS_TOO;
    const outside = slots.form % 2 === 1;
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        if (man < 0) return NOBODY;
        const nose = scene.men[man]!.x;
        const out = outward(scene, man);
        let best = NOBODY;
        for (const d of scene.defenders) {
          if (d.level !== 2 || (!wide && !scene.linebackers.includes(d.index))) continue;
          const away = (d.x - nose) * out;
          if (Math.abs(away) > OVERHANG_REACH) continue;
          if (outside ? away <= HEAD_UP : away > HEAD_UP) continue;
          if (
            (best === NOBODY || Math.abs(d.x - nose) < Math.abs(scene.defenders[best]!.x - nose)) &&
            accept(scene, me, him, d.index)
          )
            best = d.index;
        }
        return best;
      },
    };
  },
};
