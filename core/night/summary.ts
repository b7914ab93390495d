import type { NightSnap } from '../model/night';
import { sharesOf, type WeekPlan } from '../model/week-plan';
import type { Call } from '../model/snap';
import { rateOf, type Rate } from '../statistics/rate';

/** How often a look was expected, and how often it came. */
export interface LookSeen {
  readonly frontName: string;
  /** Share of the plan; `null` for what nobody expected. */
  readonly expected: number | null;
  readonly seen: Rate;
  /** The expected share is outside what the counts bear. */
  readonly otherwise: boolean;
}

/** What a game has come to so far, as it was tapped. */
export interface NightSummary {
  readonly snaps: number;
  readonly looks: readonly LookSeen[];
  /** How often each call was run, and how often nobody lost his man on it. */
  readonly calls: readonly {
    readonly key: string;
    readonly scheme: string;
    readonly side: string;
    readonly clean: Rate;
  }[];
  /** Who lost, the most often first, and to what. */
  readonly lost: readonly { readonly seat: string; readonly times: number; readonly against: readonly string[] }[];
}

/** Adds up the snaps of a game, or of a part of it, against what the plan expected. */
export function summaryOf(snaps: readonly NightSnap[], plan: Pick<WeekPlan, 'looks'>): NightSummary {
  const shares = sharesOf(plan.looks);
  const names = [...new Set([...plan.looks.map((l) => l.frontName), ...snaps.map((s) => s.call.frontName)])];
  const looks = names.map((frontName): LookSeen => {
    const at = plan.looks.findIndex((l) => l.frontName === frontName);
    const expected = at < 0 ? null : shares[at]!;
    const seen = rateOf(snaps.filter((s) => s.call.frontName === frontName).length, snaps.length, 0);
    const otherwise = !seen.tooFew && (expected === null || expected < seen.low || expected > seen.high);
    return { frontName, expected, seen, otherwise };
  });
  const keys = [...new Set(snaps.map(({ call }) => `${call.scheme} ${call.side}`))];
  const seats = [...new Set(snaps.flatMap((s) => s.lost))];
  return {
    snaps: snaps.length,
    looks: looks.sort((a, b) => b.seen.good - a.seen.good || (b.expected ?? 0) - (a.expected ?? 0)),
    calls: keys
      .map((key) => {
        const his = snaps.filter(({ call }) => `${call.scheme} ${call.side}` === key);
        const { scheme, side } = his[0]!.call;
        return { key, scheme, side, clean: rateOf(his.filter((s) => s.lost.length === 0).length, his.length, 0) };
      })
      .sort((a, b) => b.clean.of - a.clean.of || (a.key < b.key ? -1 : 1)),
    lost: seats
      .map((seat) => {
        const his = snaps.filter((s) => s.lost.includes(seat));
        return { seat, times: his.length, against: [...new Set(his.map((s) => s.call.frontName))] };
      })
      .sort((a, b) => b.times - a.times || (a.seat < b.seat ? -1 : 1)),
  };
}

/** How often one of theirs has beaten whoever had him, and who that was. */
export interface TheirWins {
  readonly defender: string;
  readonly times: number;
  readonly against: readonly string[];
}

/** Who of theirs wins, the most often first: of every man who lost, the one he had in that call. */
export function theirWins(
  snaps: readonly NightSnap[],
  whoHad: (call: Call, seat: string) => string | null,
): TheirWins[] {
  const wins = new Map<string, { times: number; against: Set<string> }>();
  for (const { call, lost } of snaps)
    for (const seat of lost) {
      const defender = whoHad(call, seat);
      if (defender === null) continue;
      const his = wins.get(defender) ?? { times: 0, against: new Set() };
      his.times++;
      his.against.add(seat);
      wins.set(defender, his);
    }
  return [...wins]
    .map(([defender, { times, against }]) => ({ defender, times, against: [...against] }))
    .sort((a, b) => b.times - a.times || (a.defender < b.defender ? -1 : 1));
}

/** Of the looks they have really shown, on how many a play of the week is sound. */
export interface SoundNow {
  /** Its place in the plan. */
  readonly play: number;
  readonly sound: Rate;
}

/** Plays by how much of what they show they are sound against, the best first; looks nobody has worked out count for nothing. */
export function soundNow(
  plan: Pick<WeekPlan, 'plays' | 'looks'>,
  cells: readonly { readonly play: number; readonly look: number; readonly verdict: string }[],
  snaps: readonly NightSnap[],
): SoundNow[] {
  const times = plan.looks.map((l) => snaps.filter((s) => s.call.frontName === l.frontName).length);
  return plan.plays
    .map((_, play) => {
      const his = cells.filter((c) => c.play === play);
      const of = his.reduce((sum, c) => sum + times[c.look]!, 0);
      const good = his.reduce((sum, c) => sum + (c.verdict === 'sound' ? times[c.look]! : 0), 0);
      return { play, sound: rateOf(good, of, snaps.length - of) };
    })
    .filter((p) => p.sound.of > 0)
    .sort((a, b) => b.sound.share! - a.sound.share! || a.play - b.play);
}
