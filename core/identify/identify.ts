import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Identification, Overrides } from '../model/identification';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import type { Side } from '../model/side';
import { inGap, interiorGaps, takePicture, type Picture } from './before-the-snap';
import { findBox, findMike, findSideCalls, orderLinebackers, sayBox } from './items/box';
import { findEdges, findWalkedUp } from './items/edge';
import { findFamily } from './items/family';
import { findNumbers, type SchemeNumbers } from './items/numbers';
import { findStrength } from './items/strength';
import { techniqueOf } from './techniques';

export interface IdentifyOptions {
  /** Play side; without it, items that need one are counted from the strength. */
  readonly side?: Side | null;
  readonly settings?: Settings;
  /** What the numbers need of the scheme; without it surplus, count and plus-one are left out. */
  readonly scheme?: SchemeNumbers | null;
  readonly overrides?: Overrides;
}

/**
 * All the line must be told before the snap, each item with the sentence that says why.
 * Places in feet, field frame. Pure: the same line-ups give the same answer whatever the order of the defenders.
 */
export function identify(formation: Formation, front: Front, options: IdentifyOptions = {}): Identification {
  const settings = options.settings ?? SHIPPED_SETTINGS;
  const overrides = options.overrides ?? {};
  const side = options.side ?? null;
  const picture = takePicture(formation, front);

  const strength = overrule(findStrength(picture, side, settings), overrides.strength, (value, was) => ({ ...was, side: value }));
  const boxFound = overrule(findBox(picture, settings), overrides.box, (ids, was) => ({ ...was, ids, size: ids.length }));
  const linebackers = orderLinebackers(picture, boxFound.ids, side ?? strength.side, side !== null);
  const family = overrule(findFamily(picture, strength.side, linebackers.ids, settings), overrides.family, (name, was) => ({ ...was, name, subNames: [] }));
  const mike = overrule(findMike(picture, boxFound.ids, strength.side, settings), overrides.mike, (id, was) => ({ ...was, id }));
  const sideCall = findSideCalls(picture);
  const edge = findEdges(picture, boxFound.ids);
  return {
    techniques: picture.defenders.map((d) => techniqueOf(d, formation, settings)),
    strength, family,
    sideCall: {
      left: overrule(sideCall.left, overrides.leftCall, (call, was) => ({ ...was, call })),
      right: overrule(sideCall.right, overrides.rightCall, (call, was) => ({ ...was, call })),
    },
    box: { ...boxFound, spoken: sayBox(family.name, linebackers.ids.length) },
    linebackers, mike,
    bubbles: findBubbles(picture),
    edge: {
      left: overrule(edge.left, overrides.leftForce, (force, was) => ({ ...was, force })),
      right: overrule(edge.right, overrides.rightForce, (force, was) => ({ ...was, force })),
    },
    numbers: findNumbers(picture, boxFound.ids, side, options.scheme ?? null),
    walkedUp: findWalkedUp(picture),
  };
}

/** Interior gaps without a first-level defender. */
function findBubbles(picture: Picture): Identification['bubbles'] {
  const open = interiorGaps(picture).filter((g) => inGap(picture, g.left, g.right).length === 0);
  return {
    gaps: open.map(({ gap, side }) => ({ gap, side })), overruled: false,
    because: open.length ? `Nobody on the line in ${open.map((g) => `the ${g.side} ${g.gap} gap`).join(', ')}.` : 'Every interior gap is filled.',
  };
}

/** Puts the coach's own value in place of the worked-out one and says so. */
function overrule<T extends { because: string; overruled: boolean }, V>(found: T, value: V | undefined, set: (value: V, was: T) => T): T {
  if (value === undefined) return found;
  return { ...set(value, found), overruled: true, because: `Set by the coach on this front. Worked out: ${found.because}` };
}
