import { moreThan } from '../../geometry/compare';
import { HEAD_UP } from '../../geometry/tolerances';
import type { Point } from '../../geometry/vec';
import type { Pocket } from '../../kinematics/passing';
import type { Passing } from '../../model/resolution';
import { outward } from '../../vocabulary/finding';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { ManOutcome } from '../allot/outcome';

export type PassSet = Passing['men'][number]['set'];

/** How far behind his place each set meets the rusher, feet. */
const DEPTH: Record<PassSet, number> = { short: 1.5, slide: 2.5, angle: 3.5, vertical: 5 };
/** A rusher this far outside a tackle is met by going straight back, feet. */
const WIDE = 3;

/** Which set a man takes to his rusher: by where he stands to him, or a slide where the rule says so. */
export function setOf(scene: Scene, m: ManOutcome): PassSet {
  if (BLOCKS[m.block].slides) return 'slide';
  const { post } = scene.men[m.man]!;
  if (m.target === NOBODY || m.partners.length > 0 || post === 'C' || post === 'PG' || post === 'BG') return 'short';
  const away = (scene.defenders[m.target]!.x - scene.men[m.man]!.x) * outward(scene, m.man);
  return moreThan(away, WIDE) ? 'vertical' : moreThan(away, HEAD_UP) ? 'angle' : 'short';
}

/** Where he sets: on his rusher's way to the quarterback's spot, as deep as the set; with nobody to block, just behind his place. */
export function setPoint(scene: Scene, m: ManOutcome, { spot }: Pocket): Point {
  const self = scene.men[m.man]!;
  const rusher = m.target === NOBODY ? null : scene.defenders[m.target]!;
  if (m.man >= scene.lineCount)
    return { x: self.x + ((rusher?.x ?? self.x) - self.x) * 0.4, y: Math.min(-5, self.y + 4) };
  const depth = DEPTH[setOf(scene, m)];
  if (!rusher || rusher.level > 1) return { x: self.x, y: self.y - depth };
  const y = Math.min(self.y - depth, -1);
  const share = (rusher.y - y) / (rusher.y - spot.y);
  return { x: rusher.x + (spot.x - rusher.x) * share, y };
}
