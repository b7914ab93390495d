/** Feet in a yard. */
export const YARD = 3;

/** Depth in yards as coaches say it: "4.5". */
export const yards = (feet: number): string => trim(feet / YARD, 2);

/** Inches as coaches say a split: "24 in". */
export const inches = (feet: number): string => `${trim(feet * 12, 0)} in`;

/** Feet to a tenth, without a trailing zero: "5", "5.5". */
export const feet = (value: number): string => `${trim(value, 1)} ft`;

/** Seconds to a tenth: "0.3 s". */
export const seconds = (value: number): string => `${value.toFixed(1)} s`;

/** A number with at most `places` decimals and no trailing zeros. */
export function trim(value: number, places: number): string {
  const text = value.toFixed(places);
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}
