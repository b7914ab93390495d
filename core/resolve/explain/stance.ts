import { atMost } from '../../geometry/compare';
import { HEAD_UP, SHADE } from '../../geometry/tolerances';
import type { TechniqueSheet } from '../../model/resolution';
import { otherSide, type Side } from '../../model/side';
import type { Settings } from '../../model/settings';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { ManOutcome } from '../allot/outcome';

type Stance = TechniqueSheet['stance'];

/**
 * How a man lines up: points, hand, and which foot is back by where the man he expects stands; on his nose nearly even, to the side the
 * foot on that side back. Who pulls stands even, so as to tip nothing off. The sides are his own.
 */
export function stanceOf(
  scene: Scene,
  plan: ManOutcome,
  settings: Pick<Settings, 'runStance'>,
  passes: boolean,
): Stance {
  const { man, target, pull } = plan;
  const self = scene.men[man]!;
  const kind = kindOf(scene, man, settings, passes);
  const even: Stance = { kind, hand: handFor(kind, outsideOf(scene, man)), back: null, stagger: 'even' };
  if (pull || kind === 'upright') return even;
  const away = target === NOBODY ? 0 : scene.defenders[target]!.x - self.x;
  if (target !== NOBODY && scene.defenders[target]!.level > 1) return even;
  const near = atMost(Math.abs(away), HEAD_UP);
  if (near && kind !== 'tackle’s') return even;
  const back = near || kind === 'tackle’s' ? outsideOf(scene, man) : sideOf(scene, away > 0);
  const isClose = atMost(Math.abs(away), SHADE) || back !== outsideOf(scene, man);
  const stagger = isClose && kind !== 'tackle’s' ? 'heel to instep' : 'heel to toe';
  return { kind, hand: handFor(kind, back), back, stagger };
}

function kindOf(
  { men, lineCount }: Scene,
  man: number,
  { runStance }: Pick<Settings, 'runStance'>,
  passes: boolean,
): Stance['kind'] {
  const { post, kind } = men[man]!;
  if (post === 'C') return 'over the ball';
  if (man >= lineCount) return kind === 'fullback' && !passes ? 'three-point' : 'upright';
  if (passes) return post === 'PT' || post === 'BT' ? 'tackle’s' : 'two-point';
  return runStance;
}

const handFor = (kind: Stance['kind'], back: Side): Side | null => (kind === 'three-point' ? back : null);

/** A side of the scene as the man says it. */
const sideOf = ({ side }: Scene, playside: boolean): Side => (playside ? side : otherSide(side));
/** His outside; the centre’s is his right, where he snaps with that hand. */
const outsideOf = (scene: Scene, man: number): Side =>
  scene.men[man]!.post === 'C' ? 'right' : sideOf(scene, scene.men[man]!.x > 0);
