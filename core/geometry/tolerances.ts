/**
 * Every tolerance the geometry uses, in feet, each with its reason.
 * Field frame: x to the offence's right, y downfield, the ball at the origin.
 */

/** A lineman's shoulders, edge to edge. Splits are measured between shoulders. */
export const SHOULDER_WIDTH = 2;

/** Noses this close to the side are head-up: less than half a shoulder of overlap is lost. */
export const HEAD_UP = 0.5;

/** Noses this close to the side still touch shoulders when engaged: a shade. */
export const SHADE = 1.5;

/** Where a shade is placed when a text names it: half a shoulder to the side. */
export const SHADE_PLACE = 1;

/** Deepest nose that still counts as on the line (first level). */
export const FIRST_LEVEL_DEPTH = 4.5;

/** Deepest second-level defender. */
export const SECOND_LEVEL_DEPTH = 24;

/** How far outside the last interior lineman's nose a linebacker still belongs to the box. */
export const BOX_MARGIN = 2;

/** A linebacker this close to straight behind a down man is stacked on him. */
export const STACK_WIDTH = 1;

/** A full double team: the helper's nose is this near to the defender's, to the side. */
export const FULL_DOUBLE = 3;

/** One hand on the way by: farther than this, the helper goes to the next level at once. */
export const HAND_HELP = 5;

/** A second-level man farther to the side of a blocker than this is out in space: a corner, not an overhang. */
export const OVERHANG_REACH = 20;

/** An end farther outside a tight end's nose than this is out of his reach: wide of him. */
export const WIDE_OF_ME = 4;

/** A man off the line this far outside the last blocker is out with the receivers: a corner. */
export const CORNER_WIDTH = 6;

/** A lineman with nobody cannot be asked to get to somebody farther to the side than this. */
export const LATERAL_REACH = 12;

/** Nobody is sent to the next level as far to the side as this, feet: he would never get there. */
export const CLIMB_REACH = 14;

/** A climb farther to the side than this, past a man who is nearer and nobody's, is doubtful, feet. */
export const LONG_CLIMB = 10;

/** Two men cannot stand with their noses closer than this. */
export const BODY = 1;

/** Absorbs binary rounding of splits such as 4.2 - 4; far below an inch (0.083 ft). */
export const EPSILON = 1e-6;

/** A puller who goes this much farther back side than he stood has turned back, feet. */
export const TURN_BACK = 2;
