import { EVENTS, PLAIN_CLIMB, REACTIONS } from '../vocabulary/index';
import { hasOwner } from '../vocabulary/finding';
import { NOBODY, type Change, type Proposal, type Scene } from '../vocabulary/scene';
import type { EventWord, ReactionWord } from '../vocabulary/word';
import { slotsOf } from '../resolve/prepare/phrase';
import type { ManOutcome, Outcome } from '../resolve/allot/outcome';
import { jobAfter, readAfter } from './jobs';
import { keptMen, runsTo } from './keep';
import { insteadOf, NO_PROPOSAL } from '../resolve/prepare/proposals';
import type { Bound } from '../resolve/settle/settled';

type Reaction = ReactionWord['does'];

/**
 * What binds everybody when the rules are read again on the picture after the snap. In a run men keep whom they had on the line, and those
 * who run somewhere keep their job; against a pass the deal stays with the man. `hole`: where the ball crosses the line, feet.
 */
export function bindMen(before: Outcome, after: Scene, hole: number): Bound {
  const was = before.settled.scene;
  const nowAt = was.defenders.map((d) => after.defenders.findIndex((a) => a.id === d.id));
  const had = was.men.map(() => NOBODY);
  for (const m of before.men) had[m.man] = m.target;
  const change: Change = { before: was, after, nowAt, had };
  const fixed: (Proposal | null)[] = was.men.map((m) =>
    m.kind === 'design' ? carried(was.proposals[m.index]!, nowAt) : null,
  );
  const readers = was.men.filter((m) => m.kind === 'quarterback-read').map((m) => m.index);
  const isRun = before.settled.call.scheme.head.throw === null;
  const kept = isRun ? keptMen(before, change) : was.men.map(() => NOBODY);
  if (isRun) releaseTaken(kept, before, change);
  for (const m of before.men) fixed[m.man] = boundTo(before, change, m, kept);
  const pulled = new Map(before.men.map((m) => [m.man, m.pull ? m.sentence : NOBODY]));
  const runners = new Map(isRun ? before.men.filter((m) => runsTo(before, m.man)).map((m) => [m.man, m]) : []);
  const settled = alone(fixed);
  return {
    fixed: settled,
    isHad: (man, d) =>
      isRun &&
      d !== NOBODY &&
      after.men[man]!.kind !== 'design' &&
      settled.some((p, mate) => mate !== man && p?.target === d),
    running: (man) => {
      if (readers.includes(man)) return readNow(change, man);
      const runner = runners.get(man);
      return runner ? jobAfter(change, runner, hole) : null;
    },
    mayUse: (man, sentence, index) => {
      const own = pulled.get(man);
      if (own === undefined) return true;
      return own === NOBODY ? !sentence.actions.some((a) => a.block.pulls) : index === own;
    },
    keeps: (man) =>
      (pulled.get(man) ?? NOBODY) === NOBODY ? NO_PROPOSAL : { ...was.proposals[man]!, target: NOBODY, all: [] },
  };
}

/** Two men who had one between them let go of him when the words of a third give him to that one: they read their rules again. */
function releaseTaken(kept: number[], before: Outcome, change: Change): void {
  for (const { man } of before.men) {
    const follows = followOf(before, change, man);
    if (follows?.does !== 'take' || follows.who === NOBODY || kept[man] === follows.who) continue;
    const holders = kept.flatMap((d, mate) => (d === follows.who ? [mate] : []));
    if (holders.length > 1) for (const mate of holders) kept[mate] = NOBODY;
  }
}

/** What is decided for one blocker: by his follow-up, else because he keeps his man or has taken over a neighbour's. */
function boundTo(before: Outcome, change: Change, m: ManOutcome, kept: readonly number[]): Proposal | null {
  const { man, block, target } = m;
  const follows = followOf(before, change, man);
  const after = follows && proposalAfter(change, man, block, before.settled.lone, follows, kept);
  if (after) return after;
  const his = kept[man]!;
  if (his === NOBODY) return null;
  const was = change.before.proposals[man]!;
  if (his === change.nowAt[target]!)
    return m.instead === null ? carried(was, change.nowAt) : insteadOf(was, his, block, 'stay');
  return insteadOf(was, his, before.settled.lone, 'take');
}

/** Who is read after the snap: another only once somebody has the man who was. */
function readNow(change: Change, reader: number): Proposal {
  const { before, after, nowAt } = change;
  const was = before.proposals[reader]!;
  const isHad = was.target !== NOBODY && hasOwner(after, reader, nowAt[was.target]!);
  const next = isHad ? readAfter(change, was.target) : NOBODY;
  return next === NOBODY ? carried(was, nowAt) : { ...was, target: next, all: [] };
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
  kept: readonly number[],
): Proposal | null {
  const { before, nowAt, had } = change;
  const was = before.proposals[man]!;
  const stays = does === 'stay' || (does === 'outside-stays' && isOuter(change, man));
  if (stays)
    return had[man] === NOBODY
      ? null
      : { ...insteadOf(was, nowAt[had[man]!]!, block, 'stay'), partner: was.partner, pairs: was.pairs };
  // Whoever is one man's alone is ridden by him; nobody else steps in.
  const isHad = kept.some((d, mate) => mate !== man && d === who);
  if (does === 'take') return who === NOBODY || isHad ? null : insteadOf(was, who, lone, 'take');
  // Whoever was on his track to a linebacker who runs away goes by his own words again: the next one inside.
  if (had[man] !== NOBODY && before.defenders[had[man]!]!.level > 1) return null;
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
