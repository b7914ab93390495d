import type { Proposal } from '#core/model/proposal';
import type { DemoSnap } from '#demo/scenario';
import type { Tally } from './tally';

/** A proposal this sure is one that a grader would take without looking twice. */
const SURE = 0.7;

/** Adds to the tally what proposals say of a snap against what was planted in it. */
export function compareProposals(
  snap: DemoSnap,
  proposals: readonly Proposal[],
  tally: Tally,
  say: (l: string) => void,
): void {
  for (const { blocker, assignment, sure, why, faults } of proposals) {
    const planted = snap.faults.filter((f) => f.man === blocker).map((f) => f.fault);
    const wrong = planted.includes('wrong-man');
    tally.count('blocks the film proposes an assignment mark for', assignment !== null);
    if (assignment !== null) {
      const right = (assignment === 'wrong') === wrong;
      tally.count('assignment marks proposed that are right', right);
      if (sure >= SURE) tally.count(`the same where it is sure (${SURE} and more)`, right);
      if (!right)
        say(
          `  ${blocker}: proposed ${assignment} (${sure.toFixed(2)}), planted ${planted.join(', ') || 'nothing'}. ${why}`,
        );
    } else say(`  ${blocker}: nothing proposed. ${why}`);
    if (wrong) tally.count('wrong men that are found', assignment === 'wrong');
    for (const fault of planted)
      tally.count(
        `planted fault found: ${fault}`,
        faults.some((f) => f.fault === fault),
      );
    const made = faults.filter((f) => f.fault !== 'wrong-man' && !planted.includes(f.fault as never));
    tally.count('blocks with a fault proposed that was not planted', made.length > 0);
    if (made.length)
      say(
        `  ${blocker}: ${made.map((f) => `${f.fault} (${f.why})`).join(' ')} planted ${planted.join(', ') || 'nothing'}`,
      );
  }
}
