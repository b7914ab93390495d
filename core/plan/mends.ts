import { sayChange, whatMends, type Change, type Mending } from '../compare/mend';
import type { Ways, WorkedCall } from '../calls/resolve-call';
import type { Call } from '../model/snap';
import { SHIPPED_SETTINGS } from '../model/settings';

/** What is the least to ask of the men: a word more, a split, another place, the other way, another sheet. */
const SMALLEST: readonly Change['kind'][] = ['tag', 'split', 'lineup', 'side', 'school'];

/** The smallest change that helps most: sound before at risk, and of those alike the one that asks least; `null` where nothing common helps. */
export function smallestOf(mendings: readonly Mending[]): Mending | null {
  const [best] = mendings;
  if (!best) return null;
  const alike = mendings.filter(
    (m) => m.verdict === best.verdict && (best.verdict === 'sound' || m.left === best.left),
  );
  return alike.sort((a, b) => SMALLEST.indexOf(a.change.kind) - SMALLEST.indexOf(b.change.kind))[0]!;
}

/** What would mend one call of the week, as small as can be. */
export function mendOf(call: Call, { scheme, front }: WorkedCall, { playbook, settings = SHIPPED_SETTINGS }: Ways) {
  return smallestOf(
    whatMends({
      ...{ scheme, front, formationText: call.formation, schools: playbook.schools(call.scheme) },
      call: { side: call.side, tags: call.tags, without: [], settings, overrides: call.overrides },
    }),
  );
}

/** The change and what it comes to: "call wrap: sound". */
export function sayMend(mend: Mending | null): string {
  if (!mend) return 'nothing common mends it: another play, or one sentence more';
  const left = mend.verdict === 'sound' ? '' : `, ${mend.left} left`;
  return `${sayChange(mend.change)}: ${mend.verdict}${left}`;
}
