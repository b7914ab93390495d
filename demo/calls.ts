import type { Call } from '#core/model/snap';
import type { Side } from '#core/model/side';

const FORMATIONS = {
  'Five-man': 'LT LG C RG RT; B left',
  'H right': 'LT LG C RG RT; H right; B left',
  'H left': 'LT LG C RG RT; H left; B right',
  'Tight end right': 'LT LG C RG RT Y right; B left',
  'Tight end and H right': 'LT LG C RG RT Y right; H right; B left',
  'One back behind': 'LT LG C RG RT; B; QB pistol',
} as const;

const FRONTS = {
  Over: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
  Under: 'LE 5 left; T 3 left; N 1 right; RE 5 right; W 10 left; M 30 right',
  Odd: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right',
  Tite: 'LE 4i left; N 0; RE 4i right; W 10 left; M 10 right',
  'Over, walked up': 'LE 5 left; N 1 left; T 3 right; RE 5 right; S 9 right up; W 30 left; M 10 right',
  'Over, tackle slants in': 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; T slant left',
  'Over, end loops': 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; twist T RE',
  'Over, line slants right': 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; slant right',
  'Over, Mike in the A gap': 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; M blitz A right',
  'Odd, edge': 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; W edge left',
  Bear: 'LE 9 left; L 3 left; N 0; R 3 right; RE 9 right; W 20 left; M 20 right',
} as const;

export type DemoFormation = keyof typeof FORMATIONS;
export type DemoFront = keyof typeof FRONTS;

/** A call of the demo's, by the names of its formation and front. */
export const demoCall = (
  scheme: string,
  side: Side,
  formation: DemoFormation,
  front: DemoFront,
  tags: string[] = [],
): Call => ({
  scheme,
  side,
  tags,
  formation: FORMATIONS[formation],
  formationName: formation,
  front: FRONTS[front],
  frontName: front,
  overrides: {},
});
