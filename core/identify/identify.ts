import type { Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Identification } from '../model/identification';
import type { Overrides } from '../model/overrides';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import type { Side } from '../model/side';
import { inGap, interiorGaps, Picture } from './before-the-snap';
import { saidOf, type Found } from './found';
import { boxTest, findBox, findMike, findBackers, findSideCalls, sayBox, sayLinebackers } from './items/box';
import { findEdge, findEndMan, findOverhangs, findWalkedUp, nameEdge, type EdgeMen } from './items/edge';
import { findFamily } from './items/family';
import { findNumbers, type SchemeNumbers } from './items/numbers';
import { findStrength } from './items/strength';
import { techniqueOf } from './techniques';

export interface ObserveOptions {
  /** Play side; without it, items that need one are counted from the strength. */
  readonly side?: Side | null;
  readonly settings?: Settings;
  readonly overrides?: Overrides;
  /** The picture before the snap, when this is the one after it: what the line was told then stands. */
  readonly before?: Facts;
}

export interface IdentifyOptions extends ObserveOptions {
  /** What the numbers need of the scheme; without it surplus, count and plus-one are left out. */
  readonly scheme?: SchemeNumbers | null;
}

type Sides<T> = Readonly<Record<Side, T>>;

/**
 * What a front shows, each item worked out when it is first asked for and without its sentence: what resolving by the thousand needs.
 * Places in feet, field frame; the order in which defenders are listed does not matter.
 */
export class Facts {
  readonly picture: Picture;
  private readonly settings: Settings;
  private readonly overrides: Overrides;
  private readonly side: Side | null;
  private readonly before: Facts | null;
  private readonly inBox: (d: Defender) => boolean;
  private known: {
    strength?: Found<Identification['strength']>;
    box?: Found<Omit<Identification['box'], 'spoken'>>;
    backers?: readonly Defender[];
    linebackers?: Found<Identification['linebackers']>;
    family?: Found<Identification['family']>;
    mike?: Found<Identification['mike']>;
    sideCall?: Sides<Found<Identification['sideCall']['left']>>;
    left?: EdgeMen;
    right?: EdgeMen;
  } = {};

  constructor(formation: Formation, front: Front, { side, settings, overrides, before }: ObserveOptions) {
    this.picture = new Picture(formation, front);
    this.settings = settings ?? SHIPPED_SETTINGS;
    this.overrides = overrides ?? NONE;
    this.side = side ?? null;
    this.before = before ?? null;
    this.inBox = boxTest(this.picture, this.settings, this.overrides.box);
  }

  strength(): Found<Identification['strength']> {
    if (this.before) return this.before.strength();
    return (this.known.strength ??= overrule(
      findStrength(this.picture, this.side, this.settings),
      this.overrides.strength,
      (value, was) => ({ ...was, side: value }),
    ));
  }

  box(): Found<Omit<Identification['box'], 'spoken'>> {
    return (this.known.box ??= overrule(findBox(this.picture, this.settings), this.overrides.box, (ids, was) => ({
      ...was,
      ids,
      size: ids.length,
    })));
  }

  /** Linebackers of the box from the play side to the back side; from the strength when nothing is called. */
  backers(): readonly Defender[] {
    return (this.known.backers ??= findBackers(this.picture, this.inBox, this.side ?? this.strength().side));
  }

  linebackers(): Found<Identification['linebackers']> {
    return (this.known.linebackers ??= sayLinebackers(
      this.backers(),
      this.side ?? this.strength().side,
      this.side !== null,
    ));
  }

  family(): Found<Identification['family']> {
    if (this.before) return this.before.family();
    return (this.known.family ??= overrule(
      findFamily(this.picture, this.strength().side, this.linebackers().ids, this.settings),
      this.overrides.family,
      (name, was) => ({ ...was, name, subNames: [] }),
    ));
  }

  mike(): Found<Identification['mike']> {
    if (this.before) return this.before.mike();
    return (this.known.mike ??= overrule(
      findMike(this.picture, this.box().ids, this.strength().side, this.settings),
      this.overrides.mike,
      (id, was) => ({ ...was, id }),
    ));
  }

  sideCall(): Sides<Found<Identification['sideCall']['left']>> {
    if (this.before) return this.before.sideCall();
    if (this.known.sideCall) return this.known.sideCall;
    const { left, right } = findSideCalls(this.picture, this.settings);
    return (this.known.sideCall = {
      left: overrule(left, this.overrides.leftCall, (call, was) => ({ ...was, call })),
      right: overrule(right, this.overrides.rightCall, (call, was) => ({ ...was, call })),
    });
  }

  endMan(side: Side): Defender | null {
    return findEndMan(this.picture, side);
  }

  overhangs(side: Side): readonly Defender[] {
    return findOverhangs(this.picture, side, this.inBox);
  }

  /** Who is who on one side, the force as the coach set it. */
  edgeMen(side: Side): EdgeMen {
    const known = this.known[side];
    if (known) return known;
    const found = findEdge(this.picture, side, this.inBox);
    const force = this.overrides[FORCE_OF[side]];
    return (this.known[side] =
      force === undefined ? found : { ...found, force: this.picture.defenders.find((d) => d.id === force) ?? null });
  }

  edge(side: Side): Found<Identification['edge']['left']> {
    return overrule(nameEdge(this.picture, side, this.inBox), this.overrides[FORCE_OF[side]], (force, was) => ({
      ...was,
      force,
    }));
  }
}

const FORCE_OF = { left: 'leftForce', right: 'rightForce' } as const satisfies Record<Side, keyof Overrides>;

const NONE: Overrides = Object.freeze({});

/** All the line must be told before the snap, each item with the sentence that says why. */
export const identify = (formation: Formation, front: Front, options: IdentifyOptions = {}): Identification =>
  describeFacts(new Facts(formation, front, options), options);

/** The facts with their sentences, and the numbers where a scheme is known. */
export function describeFacts(facts: Facts, options: IdentifyOptions = {}): Identification {
  const settings = options.settings ?? SHIPPED_SETTINGS;
  const { picture } = facts;
  const [family, linebackers, sideCall] = [
    saidOf<Identification['family']>(facts.family()),
    saidOf<Identification['linebackers']>(facts.linebackers()),
    facts.sideCall(),
  ];
  return {
    techniques: picture.defenders.map((d) => techniqueOf(d, picture.formation, settings)),
    strength: saidOf<Identification['strength']>(facts.strength()),
    family,
    sideCall: {
      left: saidOf<Identification['sideCall']['left']>(sideCall.left),
      right: saidOf<Identification['sideCall']['right']>(sideCall.right),
    },
    box: {
      ...saidOf<Omit<Identification['box'], 'spoken'>>(facts.box()),
      spoken: sayBox(family.name, linebackers.ids.length),
    },
    linebackers,
    mike: saidOf<Identification['mike']>(facts.mike()),
    bubbles: findBubbles(picture),
    edge: {
      left: saidOf<Identification['edge']['left']>(facts.edge('left')),
      right: saidOf<Identification['edge']['right']>(facts.edge('right')),
    },
    numbers: findNumbers(picture, facts.box().ids, options.side ?? null, options.scheme ?? null),
    walkedUp: saidOf<Identification['walkedUp']>(findWalkedUp(picture)),
  };
}

/** Interior gaps without a first-level defender. */
function findBubbles(picture: Picture): Identification['bubbles'] {
  const open = interiorGaps(picture).filter((g) => inGap(picture, g.left, g.right).length === 0);
  return {
    gaps: open.map(({ gap, side }) => ({ gap, side })),
    overruled: false,
    because: open.length
      ? `Nobody on the line in ${open.map((g) => `the ${g.side} ${g.gap} gap`).join(', ')}.`
      : 'Every interior gap is filled.',
  };
}

/** Puts the coach's own value in place of the worked-out one and says so. */
function overrule<T extends { why: () => string; overruled: boolean }, V>(
  found: T,
  value: V | undefined,
  put: (value: V, was: T) => T,
): T {
  if (value === undefined) return found;
  return {
    ...put(value, found),
    overruled: true,
    why: () => `Set by the coach on this front. Worked out: ${found.why()}`,
  };
}
