import * as z from 'zod';
import { LINE_SEATS } from '../../model/formation';
import type { Grade } from '../../model/grade';
import type { GradedSnap } from '../../model/asked';
import type { Situation } from '../../model/snap';
import { classOfDistance, classOfGain, classOfZone, EXPLOSIVE, SHORT } from '../../film/log/classes';
import { bothKept } from '../rubrics/rubric';

/** Yards from which a throw is an explosive one. */
const EXPLOSIVE_THROW = 15;

/** What a play came to, whoever blocked whom. */
export interface PlayResult {
  readonly throws: boolean;
  readonly success: boolean;
  readonly stuffed: boolean;
  readonly explosive: boolean;
  /** Did every graded blocker do his job? `null` until the five of the line are graded, without whom nobody can say. */
  readonly blocked: boolean | null;
  readonly pressured: boolean;
}

/** Was a play one by the coach's yardage standard: so many yards, or the line to gain when it was short; a touchdown always. */
export function isSuccess({ gain, distance, result }: Situation, standardYards: number): boolean {
  if (result === 'touchdown') return true;
  if (result === 'ball lost') return false;
  return gain >= (distance <= SHORT ? Math.min(distance, standardYards) : standardYards);
}

/** What a snap and its grades come to. */
export function playResultOf(
  { situation, resolution }: Pick<GradedSnap, 'situation'> & { resolution: Pick<GradedSnap['resolution'], 'passing'> },
  grades: readonly { blocker: string; grade: Grade }[],
  standardYards: number,
): PlayResult {
  const throws = resolution.passing !== null;
  const played = grades.filter((g) => g.grade.counts);
  const line = LINE_SEATS.filter((man) => played.some((g) => g.blocker === man));
  const told = played.map((g) => bothKept(g.grade));
  const facts = played.flatMap((g) => g.grade.facts);
  return {
    throws,
    success: isSuccess(situation, standardYards),
    stuffed: !throws && situation.gain <= 0,
    explosive: situation.gain >= (throws ? EXPLOSIVE_THROW : EXPLOSIVE),
    blocked: line.length < LINE_SEATS.length ? null : told.every((kept) => kept !== false),
    pressured: situation.result === 'sacked' || facts.some((f) => f === 'pressure' || f === 'hit' || f === 'sack'),
  };
}

/** A snap as the Book's results count it. */
export const snapColumns = ({ call, situation }: Pick<GradedSnap, 'call' | 'situation'>) => ({
  scheme: call.scheme,
  side: call.side,
  front: call.frontName,
  formation: call.formationName,
  quarter: situation.quarter,
  down: situation.down,
  distance: classOfDistance(situation.distance),
  zone: classOfZone(situation.toGoal),
  gained: classOfGain(situation.gain),
});

/** One line of what plays came to. */
export const PlayLineSchema = z.object({
  key: z.string(),
  label: z.string(),
  snaps: z.int(),
  runs: z.int(),
  /** Yards of all snaps, and of the runs alone. */
  yards: z.number(),
  runYards: z.number(),
  successes: z.int(),
  stuffed: z.int(),
  explosive: z.int(),
  throws: z.int(),
  pressured: z.int(),
  /** Snaps whose line was graded, and how they divide: blocked and failed, not blocked and yet a success. */
  graded: z.int(),
  blocked: z.int(),
  blockedFailed: z.int(),
  missedWorked: z.int(),
});
export type PlayLine = z.infer<typeof PlayLineSchema>;
export const PlayPageSchema = z.object({ by: z.string(), lines: z.array(PlayLineSchema), total: PlayLineSchema });
export type PlayPage = z.infer<typeof PlayPageSchema>;
