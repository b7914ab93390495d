import { between, type Point } from '../../geometry/vec';
import { lessThan } from '../../geometry/compare';
import { otherSide, type Side } from '../../model/side';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { TechniqueParts } from '../../vocabulary/word';
import type { Aim } from '../prepare/prepare-call';
import type { ManOutcome } from '../allot/outcome';
import { setPoint } from './pass-set';

/** How near to his man a path stops, feet: arm's length from nose to nose. */
const CONTACT = 1.4;
/** How deep behind the line a puller runs, feet. */
const PULL_DEPTH = -3.2;

/** Where a man runs, from his place to his last contact, in the scene's frame (play side positive), feet. */
export function pathOf(scene: Scene, outcome: ManOutcome, { attack: { x: attack }, pocket }: Aim): Point[] {
  const self = scene.men[outcome.man]!;
  const start: Point = { x: self.x, y: self.y };
  const { course } = BLOCKS[outcome.block];
  if (course === 'retreat' && pocket) return [start, setPoint(scene, outcome, pocket)];
  if (outcome.target === NOBODY) {
    const y = course === 'climb' ? 9 : 1;
    return [start, { x: self.x + (course === 'climb' ? 1 : 0), y: self.y + y }];
  }
  const first = scene.defenders[outcome.target]!;
  const path: Point[] = [start];
  if (course === 'behind-the-line') {
    const ahead = Math.sign(first.x - self.x) || 1;
    const upField = first.level === 1 ? first.x - 2 * ahead : Math.max(Math.min(first.x, attack + 1.5), attack - 1.5);
    // Only a puller runs behind the line; who releases around an end never goes deeper than he stood.
    const y = outcome.pull ? PULL_DEPTH : self.y;
    path.push({ x: self.x + ahead * 1.6, y }, { x: upField - ahead * 0.8, y });
    if (first.level > 1) path.push({ x: upField, y: 0.5 });
  } else if (course === 'retreat') path.push({ x: self.x + (self.x < 0 ? 0.8 : -0.8), y: self.y - 0.6 });
  else if (course === 'flat-then-up') path.push({ x: self.x + (first.x - self.x) * 0.6, y: self.y + 0.1 });
  else if (course === 'climb' && first.level > 1) path.push({ x: self.x + (first.x - self.x) * 0.25, y: 2.4 });
  path.push(touch(path[path.length - 1]!, first, outcome, scene));
  if (outcome.next !== NOBODY) path.push(touch(path[path.length - 1]!, scene.defenders[outcome.next]!, outcome, scene));
  return path;
}

/** The point an arm's length short of a defender; men of a pair meet him on their own side. */
function touch(from: Point, defender: Point, outcome: ManOutcome, scene: Scene): Point {
  const away = Math.hypot(defender.x - from.x, defender.y - from.y);
  const spot = away <= CONTACT ? from : between(from, defender, 1 - CONTACT / away);
  if (outcome.partners.length === 0 || defender !== scene.defenders[outcome.target]) return spot;
  const mate = scene.men[outcome.partners[0]!]!.x;
  const self = scene.men[outcome.man]!.x;
  return { x: defender.x + (self < mate ? -0.75 : 0.75), y: defender.y - 1.3 };
}

/** The foot he starts with, as the man himself would say it. */
export function footOf(scene: Scene, outcome: ManOutcome, rule: TechniqueParts['foot'], side: Side): Side {
  const self = scene.men[outcome.man]!;
  const playFoot = side;
  const target = outcome.target === NOBODY ? self.x + 1 : scene.defenders[outcome.target]!.x;
  const toward = lessThan(target, self.x) ? otherSide(playFoot) : playFoot;
  if (rule === 'playside') return playFoot;
  if (rule === 'backside') return otherSide(playFoot);
  if (rule === 'inside') return self.x > 0 ? otherSide(playFoot) : playFoot;
  return rule === 'near' ? toward : otherSide(toward);
}
