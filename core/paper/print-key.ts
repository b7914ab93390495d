import type { Sheet } from './sheet';

/** A short key of what stands on a sheet, whatever its stamp says: two sheets with one key say the same (FNV-1a, 53 bits of two rounds). */
export function printKey({ title, subtitle, parts }: Sheet): string {
  const text = JSON.stringify({ title, subtitle, parts });
  let [one, two] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    one = Math.imul(one ^ code, 0x01000193) >>> 0;
    two = Math.imul(two + code, 0x85ebca6b) >>> 0;
    two = (two ^ (two >>> 13)) >>> 0;
  }
  return `${one.toString(36)}-${two.toString(36)}`;
}

/** What was printed last, by the title of the sheet. */
export type Printed = Readonly<Record<string, string>>;

/** The sheets that say something else than when they were printed last, or were never. */
export const changedSheets = (sheets: readonly Sheet[], printed: Printed): Sheet[] =>
  sheets.filter((s) => printed[s.title] !== printKey(s));

/** What is printed once these are. */
export const printedNow = (sheets: readonly Sheet[], printed: Printed): Printed => ({
  ...printed,
  ...Object.fromEntries(sheets.map((s) => [s.title, printKey(s)])),
});
