import { atMost, moreThan } from '../../geometry/compare';
import { HEAD_UP, SHADE } from '../../geometry/tolerances';
import type { TechniqueSheet } from '../../model/resolution';
import type { SchemeHead } from '../../model/scheme';
import type { Settings } from '../../model/settings';
import { sayOf } from '../../model/technique-schools';
import { outward } from '../../vocabulary/finding';
import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { BlockTechnique, Place, TechniqueParts } from '../../vocabulary/word';
import type { ManOutcome, Outcome } from '../allot/outcome';
import type { Aim } from '../prepare/prepare-call';

/** What of a call the technique hangs on beyond who has whom. */
export interface TechniqueCall {
  readonly head: Pick<SchemeHead, 'track' | 'step'>;
  readonly aim: Aim;
  readonly settings: Settings;
}

/** Blocks that go straight at somebody: a scheme’s own first step holds for them. */
const STRAIGHT = new Set(['straight', 'flat-then-up', 'climb']);

/** How a man does his block here: its parts, and the sheet he gets of them. */
export function techniqueOf(
  { settled: { scene } }: Outcome,
  plan: ManOutcome,
  call: TechniqueCall,
): { parts: TechniqueParts; sheet: Omit<TechniqueSheet, 'stance' | 'stepsWith'> } {
  const place = placeOf(scene, plan, call);
  const parts = partsOf(scene, plan, place, call);
  return { parts, sheet: sheetOf(scene, plan, parts, place, call.settings) };
}

function partsOf(
  { lineCount }: Scene,
  plan: ManOutcome,
  place: Place,
  { head: { step } }: TechniqueCall,
): TechniqueParts {
  const block = BLOCKS[plan.block];
  const { byPlace = [], ...base }: BlockTechnique = block.technique;
  const parts = byPlace.reduce<TechniqueParts>(
    (now, { when, then }) => (fits(when, place) ? { ...now, ...then } : now),
    base,
  );
  const isOnLine = plan.man < lineCount && !plan.pull && STRAIGHT.has(block.course);
  return step && isOnLine && parts.step !== 'in place' ? { ...parts, step } : parts;
}

const fits = (when: Partial<Place>, place: Place): boolean =>
  (Object.keys(when) as (keyof Place)[]).every((key) => when[key] === place[key]);

/** Where and as what a man does his block. */
function placeOf(scene: Scene, plan: ManOutcome, { head, aim: { attack } }: TechniqueCall): Place {
  const { man, target } = plan;
  const self = scene.men[man]!;
  const away = target === NOBODY ? 0 : (scene.defenders[target]!.x - self.x) * outward(scene, man);
  const at = target === NOBODY ? self.x : scene.defenders[target]!.x;
  return {
    role: roleOf(scene, plan),
    shade: atMost(Math.abs(away), HEAD_UP) ? 'head-up' : away > 0 ? 'outside' : 'inside',
    wide: moreThan(Math.abs(away), SHADE),
    ball: (attack.x - at) * (at < 0 ? -1 : 1) > 0 ? 'outside' : 'inside',
    end: self.kind === 'tight' || self.kind === 'wing',
    track: head.track,
  };
}

/** Of a pair he is the inner man when his partner stands farther from the ball. */
function roleOf({ men }: Scene, { man, partners }: ManOutcome): Place['role'] {
  if (partners.length === 0) return 'alone';
  const out = (m: number): number => Math.abs(men[m]!.x);
  const others = partners.filter((m) => m !== man);
  if (others.length > 1)
    return others.every((m) => out(m) > out(man)) || others.every((m) => out(m) < out(man)) ? 'outer' : 'third';
  return out(others[0]!) > out(man) ? 'inner' : 'outer';
}

type Pointed = TechniqueSheet['hand'] & TechniqueSheet['head'];

/** The sheet of a man beside the step, the aim and the eyes: said as inside and outside. */
function sheetOf(
  scene: Scene,
  plan: ManOutcome,
  parts: TechniqueParts,
  { role, shade }: Place,
  settings: Settings,
): Omit<TechniqueSheet, 'stance' | 'stepsWith'> {
  const point = pointer(scene, plan);
  const { head, hand, length, landmark, pad } = parts;
  return {
    role,
    length,
    landmark,
    head: headOf(head, shade, settings, point),
    hand: hand === 'both' || hand === 'none' ? hand : point(hand),
    pad,
    schools: schoolsFor(plan, parts, settings),
  };
}

/** Turns a side as a block says it into inside and outside as the man says it; for the centre play side and back side. */
function pointer(scene: Scene, { man, target }: ManOutcome) {
  const self = scene.men[man]!;
  const out = outward(scene, man);
  const toHim = target === NOBODY ? out : Math.sign(scene.defenders[target]!.x - self.x) || out;
  const isCentre = self.post === 'C';
  const said = (sign: number): Pointed =>
    (isCentre ? (sign > 0 ? 'play side' : 'back side') : sign === out ? 'outside' : 'inside') as Pointed;
  return (side: 'inside' | 'outside' | 'playside' | 'near' | 'far'): Pointed => {
    if (side === 'playside') return said(1);
    if (side === 'near') return said(toHim);
    if (side === 'far') return said(-toHim);
    return isCentre ? said(side === 'outside' ? toHim : -toHim) : (side as Pointed);
  };
}

/** Where his hat goes, as it is said to him. */
function headOf(
  head: TechniqueParts['head'],
  shade: Place['shade'],
  { hat }: Pick<Settings, 'hat'>,
  point: ReturnType<typeof pointer>,
): TechniqueSheet['head'] {
  switch (head) {
    case 'across':
    case 'square':
      return head;
    case 'near':
      // On the near side of the man: that is the other way than to him.
      return point('far');
    case 'by school':
      if (shade === 'head-up') return 'square';
      return point(shade === 'inside' || hat === 'inside number' ? 'inside' : 'outside');
    default:
      return point(head);
  }
}

/** Blocks on which two men work; they come off by the program’s school. */
const PAIRED = new Set<BlockId>(['double', 'help', 'triple', 'pass-double']);

function schoolsFor(
  { block, partners, next }: ManOutcome,
  { step, hand, head }: TechniqueParts,
  settings: Settings,
): string[] {
  const { strike, hat, reachStep, doubleExit } = settings;
  return [
    ...(hand === 'none' ? [] : [sayOf('strike', strike)]),
    ...(head === 'by school' ? [sayOf('hat', hat)] : []),
    ...(step === 'bucket' || step === 'drop' ? [sayOf('reachStep', reachStep)] : []),
    ...(PAIRED.has(block) && partners.length > 0 && next !== NOBODY ? [sayOf('doubleExit', doubleExit)] : []),
  ];
}
