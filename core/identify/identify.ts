import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Identification, Overrides } from '../model/identification';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import type { Side } from '../model/side';
import { inGap, interiorGaps, takePicture, type Picture } from './before-the-snap';
import { once, saidOf, type Found } from './found';
import { findBox, findMike, findSideCalls, orderLinebackers, sayBox } from './items/box';
import { findEdges, findWalkedUp } from './items/edge';
import { findFamily } from './items/family';
import { findNumbers, type SchemeNumbers } from './items/numbers';
import { findStrength } from './items/strength';
import { techniqueOf } from './techniques';

export interface ObserveOptions {
  /** Play side; without it, items that need one are counted from the strength. */
  readonly side?: Side | null;
  readonly settings?: Settings;
  readonly overrides?: Overrides;
}

export interface IdentifyOptions extends ObserveOptions {
  /** What the numbers need of the scheme; without it surplus, count and plus-one are left out. */
  readonly scheme?: SchemeNumbers | null;
}

type Sides<T> = Readonly<Record<Side, T>>;

/** What a front shows, each item worked out when it is first asked for and without its sentence: what resolving by the thousand needs. */
export interface Facts {
  readonly picture: Picture;
  readonly strength: () => Found<Identification['strength']>;
  readonly box: () => Found<Omit<Identification['box'], 'spoken'>>;
  readonly linebackers: () => Found<Identification['linebackers']>;
  readonly family: () => Found<Identification['family']>;
  readonly mike: () => Found<Identification['mike']>;
  readonly sideCall: () => Sides<Found<Identification['sideCall']['left']>>;
  readonly edge: () => Sides<Found<Identification['edge']['left']>>;
}

/** Looks at a front once. Places in feet, field frame; the order in which defenders are listed does not matter. */
export function observe(formation: Formation, front: Front, options: ObserveOptions = {}): Facts {
  const settings = options.settings ?? SHIPPED_SETTINGS;
  const overrides = options.overrides ?? NONE;
  const side = options.side ?? null;
  const picture = takePicture(formation, front);
  const strength = once(() => overrule(findStrength(picture, side, settings), overrides.strength, (value, was) => ({ ...was, side: value })));
  const box = once(() => overrule(findBox(picture, settings), overrides.box, (ids, was) => ({ ...was, ids, size: ids.length })));
  const linebackers = once(() => orderLinebackers(picture, box().ids, side ?? strength().side, side !== null));
  return {
    picture, strength, box, linebackers,
    family: once(() => overrule(findFamily(picture, strength().side, linebackers().ids, settings), overrides.family, (name, was) => ({ ...was, name, subNames: [] }))),
    mike: once(() => overrule(findMike(picture, box().ids, strength().side, settings), overrides.mike, (id, was) => ({ ...was, id }))),
    sideCall: once(() => {
      const { left, right } = findSideCalls(picture);
      return {
        left: overrule(left, overrides.leftCall, (call, was) => ({ ...was, call })),
        right: overrule(right, overrides.rightCall, (call, was) => ({ ...was, call })),
      };
    }),
    edge: once(() => {
      const { left, right } = findEdges(picture, box().ids);
      return {
        left: overrule(left, overrides.leftForce, (force, was) => ({ ...was, force })),
        right: overrule(right, overrides.rightForce, (force, was) => ({ ...was, force })),
      };
    }),
  };
}

const NONE: Overrides = Object.freeze({});

/** All the line must be told before the snap, each item with the sentence that says why. */
export const identify = (formation: Formation, front: Front, options: IdentifyOptions = {}): Identification =>
  describeFacts(observe(formation, front, options), options);

/** The facts with their sentences, and the numbers where a scheme is known. */
export function describeFacts(facts: Facts, options: IdentifyOptions = {}): Identification {
  const settings = options.settings ?? SHIPPED_SETTINGS;
  const { picture } = facts;
  const [family, linebackers, sideCall, edge] = [saidOf<Identification['family']>(facts.family()), saidOf<Identification['linebackers']>(facts.linebackers()), facts.sideCall(), facts.edge()];
  return {
    techniques: picture.defenders.map((d) => techniqueOf(d, picture.formation, settings)),
    strength: saidOf<Identification['strength']>(facts.strength()),
    family,
    sideCall: { left: saidOf<Identification['sideCall']['left']>(sideCall.left), right: saidOf<Identification['sideCall']['right']>(sideCall.right) },
    box: { ...saidOf<Omit<Identification['box'], 'spoken'>>(facts.box()), spoken: sayBox(family.name, linebackers.ids.length) },
    linebackers,
    mike: saidOf<Identification['mike']>(facts.mike()),
    bubbles: findBubbles(picture),
    edge: { left: saidOf<Identification['edge']['left']>(edge.left), right: saidOf<Identification['edge']['right']>(edge.right) },
    numbers: findNumbers(picture, facts.box().ids, options.side ?? null, options.scheme ?? null),
    walkedUp: saidOf<Identification['walkedUp']>(findWalkedUp(picture)),
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
function overrule<T extends { why: () => string; overruled: boolean }, V>(found: T, value: V | undefined, put: (value: V, was: T) => T): T {
  if (value === undefined) return found;
  return { ...put(value, found), overruled: true, why: () => `Set by the coach on this front. Worked out: ${found.why()}` };
}
