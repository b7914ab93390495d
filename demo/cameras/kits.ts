/** What a team wears, and the numbers its men have by their letters. */
export interface Team {
  readonly shirt: string;
  readonly trim: string;
  readonly trousers: string;
  readonly helmet: string;
  /** The colour of the numbers. */
  readonly number: string;
  readonly numbers: Readonly<Record<string, number>>;
}

export const LANTERNS: Team = {
  ...{ shirt: '#4d2a86', trim: '#3a1d69', trousers: '#d9d2e6', helmet: '#2e1754', number: '#ffffff' },
  numbers: { LT: 72, LG: 64, C: 55, RG: 61, RT: 77, Y: 84, H: 40, B: 28, F: 36, QB: 9 },
};
export const OTTERS: Team = {
  ...{ shirt: '#c28b34', trim: '#8f6420', trousers: '#e9e0cf', helmet: '#6d4a14', number: '#241a08' },
  numbers: { LE: 91, N: 98, T: 94, RE: 95, W: 44, M: 51, S: 23, L: 93, R: 96 },
};
export const MILLERS: Team = {
  ...{ shirt: '#e4e7ea', trim: '#9aa4ad', trousers: '#3f4a54', helmet: '#2b333b', number: '#2b333b' },
  numbers: { LT: 70, LG: 60, C: 52, RG: 65, RT: 79, Y: 88, H: 45, B: 22, F: 31, QB: 14 },
};
export const TERNS: Team = {
  ...{ shirt: '#a3342f', trim: '#6f1f1c', trousers: '#e8dcd3', helmet: '#571613', number: '#ffffff' },
  numbers: { LE: 97, N: 70, T: 92, RE: 48, W: 57, M: 33, S: 24, L: 90, R: 99 },
};
