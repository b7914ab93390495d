/** A card behind the window of a wristband, points (72 an inch). */
export interface BandSize {
  readonly width: number;
  readonly height: number;
}
/** A common window, 4 1/2 by 2 1/4 inches; measure yours. */
export const COMMON_BAND: BandSize = { width: 324, height: 162 };

/** Below this nobody reads it through a scratched window, points. */
export const SMALLEST_TYPE = 5.5;
const LARGEST_TYPE = 10;
/** Height of a line against its type, and the mean width of a letter of Helvetica against it. */
const LINE = 1.22;
const LETTER = 0.54;
/** Points lost at the sides of a column. */
const GUTTER = 8;

/** How a number of lines goes onto a card. */
export interface BandFit {
  readonly columns: number;
  readonly rows: number;
  /** Points. */
  readonly type: number;
  readonly fits: boolean;
}

/**
 * The largest type in which so many lines, the longest of so many letters, go onto a card, over all numbers of columns; it does not fit where
 * that is smaller than can be read.
 */
export function fitBand(lines: number, letters: number, { width, height }: BandSize): BandFit {
  let best: BandFit = { columns: 1, rows: Math.max(1, lines), type: 0, fits: false };
  for (let columns = 1; columns <= 4; columns++) {
    const rows = Math.max(1, Math.ceil(lines / columns));
    const type = Math.min(
      LARGEST_TYPE,
      height / (rows * LINE),
      (width / columns - GUTTER) / (Math.max(1, letters) * LETTER),
    );
    const rounded = Math.floor(10 * type) / 10;
    if (rounded > best.type) best = { columns, rows, type: rounded, fits: rounded >= SMALLEST_TYPE };
  }
  return best;
}
