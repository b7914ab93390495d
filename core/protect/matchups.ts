import type { PressureProof } from '../model/pressure';
import { RATINGS, type Rating, type Ratings } from '../model/ratings';

/** One of ours by himself on one of theirs when only the line comes. */
export interface Matchup {
  readonly blocker: string;
  readonly on: string;
  readonly ours: Rating | null;
  readonly theirs: Rating | null;
  /** By how much theirs is better; `null` while one of the two is not rated. */
  readonly behind: number | null;
}

/** Everybody who is alone, the worst match first; who is not rated comes last, in the order of the least time in hand. */
export function matchupsOf({ alone }: Pick<PressureProof, 'alone'>, { ours, theirs }: Ratings): Matchup[] {
  const rated = alone.map(({ blocker, on }): Matchup => {
    const [mine, his] = [ours[blocker] ?? null, theirs[on] ?? null];
    return { blocker, on, ours: mine, theirs: his, behind: mine === null || his === null ? null : his - mine };
  });
  return rated.sort((a, b) => (b.behind ?? -RATINGS.length) - (a.behind ?? -RATINGS.length));
}

/** Their best rusher of those on the line: the highest rating; `null` while nobody is rated or two are alike. */
export function bestRusher(rushers: readonly string[], { theirs }: Ratings): string | null {
  const rated = rushers.filter((id) => theirs[id] !== undefined).sort((a, b) => theirs[b]! - theirs[a]!);
  const [first, second] = rated;
  return first === undefined || (second !== undefined && theirs[second] === theirs[first]) ? null : first;
}

/** A protection that was proved against a front. */
export interface ProvedCall {
  readonly name: string;
  readonly proof: Pick<PressureProof, 'counts' | 'doubles' | 'alone'>;
}

/** A slide and count that put two men on one rusher, and what that costs elsewhere. */
export interface TwoOnHim {
  readonly name: string;
  readonly by: readonly string[];
  readonly short: number;
  readonly all: number;
  /** Who is then alone on whom. */
  readonly alone: readonly string[];
}

/** Every call that puts two on a rusher, the one that is short least often first. */
export function twoOn(rusher: string, proved: readonly ProvedCall[]): TwoOnHim[] {
  const found = proved.flatMap(({ name, proof }): TwoOnHim[] => {
    const double = proof.doubles.find((d) => d.on === rusher);
    if (!double) return [];
    const { short, all } = proof.counts;
    return [{ name, by: double.by, short, all, alone: proof.alone.map((a) => `${a.blocker} on ${a.on}`) }];
  });
  return found.sort((a, b) => a.short / a.all - b.short / b.all || (a.name < b.name ? -1 : 1));
}

/** The best three of those calls in words. */
export function sayTwoOn(found: readonly TwoOnHim[]): string {
  if (found.length === 0) return 'no protection in the book puts two men on him.';
  const say = ({ name, by, short, all, alone }: TwoOnHim): string =>
    `${name} (${by.join(' and ')}; short ${short} of ${all}; alone: ${alone.join(', ') || 'nobody'})`;
  return `${found.slice(0, 3).map(say).join(' · ')}.`;
}

/** How a match looks in a word; nothing while one of the two is not rated. */
export function sayMatch(behind: number | null): string {
  if (behind === null) return '';
  if (behind >= NEEDS_HELP) return 'needs help';
  return behind === 1 ? 'behind' : behind === 0 ? 'even' : 'ours';
}

/** So much better than ours he needs two. */
export const NEEDS_HELP = 2;
