import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall, type Ways } from '../calls/resolve-call';
import type { WeekPlan } from '../model/week-plan';
import type { Part, Sheet } from '../paper/sheet';
import type { WeekPaper } from '../paper/week-sheets';
import { need } from './need';

export const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; FS (0, 36)';
export const aPlay = (scheme: string, formation: string, times: number) => ({
  ...{ scheme, side: 'right' as const, tags: [], formation, formationName: `${scheme}’s`, times },
});
/** Three plays against three looks, one of them moving. */
export const PLAN: WeekPlan = {
  quiz: false,
  plays: [
    aPlay('power', 'LT LG C RG RT; H right; B left', 6),
    aPlay('inside-zone-z1', 'LT LG C RG RT; B left', 8),
    aPlay('pro-half-slide', 'LT LG C RG RT; B; QB pistol', 9),
  ],
  looks: [
    { front: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right', frontName: 'Odd', weight: 10, seen: '' },
    { front: OVER, frontName: 'Over', weight: 20, seen: '' },
    { front: `${OVER}; T slant left`, frontName: 'Over, slant', weight: 6, seen: '' },
  ],
};
export const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
export const PAPER: WeekPaper = {
  ...{ plan: PLAN, ways: WAYS, title: 'Week 6, Terns', stamp: 'Lanterns, week 6' },
  sayPlay: ({ scheme, side }) => `${scheme} ${side}`,
};
const every = (parts: readonly Part[]): Part[] =>
  parts.flatMap((p) => (p.kind === 'columns' ? [p, ...p.columns.flatMap((c) => every(c))] : [p]));
/** All parts of a kind, those in columns too. */
export const partsOf = <K extends Part['kind']>(sheet: Sheet, kind: K) =>
  every(sheet.parts).filter((p): p is Extract<Part, { kind: K }> => p.kind === kind);

/** The first play against the likeliest look, worked out. */
export const WORKED = need(workCall({ ...PLAN.plays[0]!, ...PLAN.looks[1]!, overrides: {} }, WAYS));
