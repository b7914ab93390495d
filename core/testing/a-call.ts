import type { Call } from '../model/snap';

/** A call as it is logged with a snap: power against an over front. */
export const A_CALL: Call = {
  scheme: 'power',
  side: 'right',
  tags: [],
  formation: 'LT LG C RG RT H right',
  formationName: 'H right',
  front: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
  frontName: 'Over',
  overrides: {},
};
