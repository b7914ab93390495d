import { nthOnLine, outward, passedOver } from '../finding';
import type { TargetWord } from '../word';

/** Forms from here on look inside the region; the one before them means every man. */
const WITHIN = 4;
const EVERY = 3;

export const manOfRegion: TargetWord = {
  says: [
    'the {nth:ordinal} man outside {region:region}',
    'a {nth:ordinal} man outside {region:region}',
    'a man outside {region:region}',
    'every man outside {region:region}',
    'the {nth:ordinal} man in {region:region}',
    'a {nth:ordinal} man in {region:region}',
    'a man in {region:region}',
  ],
  help: 'First-level defenders in, or farther from the ball than, the part of the line that is that man’s by the scheme’s cover; counted from the ball out.',
  find: (slots) => {
    const who = slots.region('region');
    const passed = passedOver(slots);
    const inside = slots.form >= WITHIN;
    return {
      claim: null,
      every: slots.form === EVERY,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        if (man < 0 || man >= scene.lineCount) return -1;
        const out = outward(scene, man);
        const his = scene.cover.regions[man]!;
        return nthOnLine(
          scene,
          me,
          him,
          out,
          inside ? his : out > 0 ? { from: his.to, to: Infinity } : { from: -Infinity, to: his.from },
          passed,
          accept,
        );
      },
    };
  },
};
