import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { ManOutcome, Outcome } from '../allot/outcome';
import { bestAllotment, decidingRule, type Picks, type Question, type Rule } from '../allot/search';

/** Why a man has the linebacker he has and no other, in a sentence: "M rather than W: the ways are shorter". `null` where nothing was chosen. */
export function whyRather({ settled: { scene }, shared }: Outcome, { man, target, next }: ManOutcome): string | null {
  const { jobs, chosen, kept, lost, traded } = shared;
  const id = (d: number): string => scene.defenders[d]!.id;
  if (kept.some((j) => jobs[j]!.man === man)) return `${id(next)} stands over the double, so it keeps him`;
  if (traded.some((j) => jobs[j]!.man === man || jobs[j]!.mates.includes(man)))
    return `${id(next === NOBODY ? target : next)}, traded with a team mate so that nobody crosses`;
  const missed = lost.filter((l) => jobs[l.job]!.man === man && l.name !== target).map((l) => id(l.name));
  const first = missed.length ? `${[...new Set(missed)].join(' and ')} is somebody else’s by name` : null;
  const job = chosen ? chosen.question.jobs.findIndex((j) => j.man === man || j.mates.includes(man)) : NOBODY;
  if (!chosen || job < 0) return first;
  const rest = comparedWith(scene, chosen.question, chosen.picks, job);
  return [first, rest].filter(Boolean).join('; ') || null;
}

function comparedWith(scene: Scene, question: Question, best: Picks, job: number): string | null {
  const id = (d: number): string => scene.defenders[d]!.id;
  const mine = best[job];
  if (!mine || question.options[job]!.length < 2) return null;
  const other = bestAllotment(question, { job, defender: mine.defender });
  const rule = decidingRule(question, best, other);
  if (!rule) return null;
  const his = other[job];
  const reason = REASONS[rule](scene, question, best, other);
  return `${id(mine.defender)}${his ? ` rather than ${id(his.defender)}` : ''}: ${reason}`;
}

type Reason = (scene: Scene, question: Question, best: Picks, other: Picks) => string;

const leftBy = ({ open }: Question, picks: Picks): number[] =>
  open.filter((d) => !picks.some((p) => p?.defender === d));
const names = (scene: Scene, who: readonly number[]): string => who.map((d) => scene.defenders[d]!.id).join(' and ');

/** What each rule of the search says when it decides between two allotments. */
const REASONS: Record<Rule, Reason> = {
  uncovered: (scene, question, best, other) => {
    const kept = leftBy(question, best);
    return `else nobody has ${names(
      scene,
      leftBy(question, other).filter((d) => !kept.includes(d)),
    )}`;
  },
  past: () => 'else somebody runs far past a man whom nobody has',
  danger: (scene, question, best, other) => {
    const [left, instead] = [leftBy(question, best), leftBy(question, other)];
    const [mine, his] = [left.filter((d) => !instead.includes(d)), instead.filter((d) => !left.includes(d))];
    return `one stays free, and ${names(scene, mine)} meets the ball later than ${names(scene, his)}`;
  },
  idle: (scene, { jobs, idle: isIdle }, best, other) => {
    const idle = jobs.filter((_, i) => isIdle[i] && best[i] && !other[i]);
    return idle.length
      ? `else ${idle.map((j) => scene.men[j.man]!.id).join(' and ')} has nobody`
      : 'else a man has nobody';
  },
  crossings: () => 'so that nobody crosses',
  inward: () => 'a spare end man looks outside first',
  order: () => 'in the order of the rules, from the play side',
  way: () => 'the ways are shorter',
  tie: () => 'the play side first',
};
