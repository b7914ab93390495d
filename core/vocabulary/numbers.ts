/** Small numbers as a sentence says them, by value. */
export const NUMBERS: readonly string[] = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
];
