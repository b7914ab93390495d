import { EVENTS, PLAIN_CLIMB, REACTIONS } from '../vocabulary/index';
import { NOBODY, type Change, type Proposal, type Scene } from '../vocabulary/scene';
import type { EventWord, ReactionWord } from '../vocabulary/word';
import { slotsOf } from '../resolve/prepare/phrase';
import type { Outcome } from '../resolve/allot/outcome';
import { insteadOf, NO_PROPOSAL } from '../resolve/prepare/proposals';
import type { Bound } from '../resolve/settle/settled';

type Reaction = ReactionWord['does'];

/** What binds everybody when the rules are read again on the picture after the snap. */
export function bindMen(before: Outcome, after: Scene): Bound {
  const was = before.settled.scene;
  const nowAt = was.defenders.map((d) => after.defenders.findIndex((a) => a.id === d.id));
  const had = was.men.map(() => NOBODY);
  for (const m of before.men) had[m.man] = m.target;
  const change: Change = { before: was, after, nowAt, had };
  const fixed: (Proposal | null)[] = was.men.map((m) =>
    m.kind === 'quarterback-read' || m.kind === 'design' ? carried(was.proposals[m.index]!, nowAt) : null,
  );
  for (const { man, block } of before.men) {
    const follows = followOf(before, change, man);
    if (follows) fixed[man] = proposalAfter(change, man, block, before.settled.lone, follows);
  }
  const pulled = new Map(before.men.map((m) => [m.man, m.pull ? m.sentence : NOBODY]));
  return {
    fixed: alone(fixed),
    mayUse: (man, sentence, index) => {
      const own = pulled.get(man);
      if (own === undefined) return true;
      return own === NOBODY ? !sentence.actions.some((a) => a.block.pulls) : index === own;
    },
    keeps: (man) =>
      (pulled.get(man) ?? NOBODY) === NOBODY ? NO_PROPOSAL : { ...was.proposals[man]!, target: NOBODY, all: [] },
  };
}

/** A read or a man left by design stays the same man, wherever he has gone. */
const carried = (p: Proposal, nowAt: readonly number[]): Proposal => ({
  ...p,
  target: p.target === NOBODY ? NOBODY : nowAt[p.target]!,
  all: p.all.map((d) => nowAt[d]!),
});

/** The first of his sentence's follow-ups whose event has happened, with the defender it is about. */
function followOf({ settled }: Outcome, change: Change, man: number): { does: Reaction; who: number } | null {
  const { sentence } = settled.scene.proposals[man]!;
  if (sentence < 0) return null;
  for (const { event, reaction } of settled.sheets[man]![sentence]!.sentence.followUps) {
    const who = (EVENTS as Record<string, EventWord>)[event.word]!.happens(slotsOf(event, null))(change, man);
    if (who !== null) return { does: (REACTIONS as Record<string, ReactionWord>)[reaction.word]!.does, who };
  }
  return null;
}

function proposalAfter(
  change: Change,
  man: number,
  block: string,
  lone: string,
  { does, who }: { does: Reaction; who: number },
): Proposal | null {
  const { before, nowAt, had } = change;
  const was = before.proposals[man]!;
  const stays = does === 'stay' || (does === 'outside-stays' && isOuter(change, man));
  if (stays)
    return had[man] === NOBODY
      ? null
      : { ...insteadOf(was, nowAt[had[man]!]!, block, 'stay'), partner: was.partner, pairs: was.pairs };
  if (does === 'take') return who === NOBODY ? null : insteadOf(was, who, lone, 'take');
  return insteadOf(was, NOBODY, PLAIN_CLIMB, 'climb');
}

/** Of the men who had one defender: the one farther from the ball. */
function isOuter({ before, had }: Change, man: number): boolean {
  const away = (m: number): number => Math.abs(before.men[m]!.x);
  return before.men.every((m) => m.index === man || had[m.index] !== had[man] || away(m.index) < away(man));
}

/** A pair of which only one stays is a man on his own. */
const alone = (fixed: readonly (Proposal | null)[]): (Proposal | null)[] =>
  fixed.map((p) => (p?.pairs && fixed[p.partner]?.target !== p.target ? { ...p, pairs: false, partner: NOBODY } : p));
