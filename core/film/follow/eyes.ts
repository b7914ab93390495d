import type { Pixel } from '../../model/calibration';

/** A part of a picture: its middle and half its size, pixels. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly halfWidth: number;
  readonly halfHeight: number;
}

/** A part of a box, by shares of its half sizes from its middle: -1 is its left or upper edge, 1 its right or lower one. */
export interface Part {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Where something was found, and how alike it is: 1 the same, 0 nothing in common. */
export interface Found {
  readonly at: Pixel;
  readonly score: number;
}

/** What a picture library tells of the film of one angle. It knows pictures only; whose they are is worked out elsewhere. Places in pixels. */
export interface Eyes {
  /** Looks at a frame; the one before it stays in mind for `flow`. */
  look(frame: number): void;
  /** Where points of the frame before have gone in this one; `null` for those that cannot be found there and back. */
  flow(points: readonly Pixel[]): (Pixel | null)[];
  /** Remembers what is in a part of a box of this frame by a name. */
  learn(name: string, box: Box, part: Part): void;
  /**
   * Where the middle of a box that was learnt is in this frame, within `reach` around a place, by such of its part as is free to see now;
   * `null` when the name is unknown, the place outside the picture or too little to go by.
   */
  find(name: string, around: Pixel, reach: number, free: Part): Found | null;
}
