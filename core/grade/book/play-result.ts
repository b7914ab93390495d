import * as z from 'zod';
import { LINE_SEATS } from '../../model/formation';
import type { Grade } from '../../model/grade';
import type { GradedSnap } from '../../model/snap-body';
import { ResultSchema, type Situation } from '../../model/snap';
import { standardFor, type Standard } from '../../model/standard';
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
  /** Yards before contact, of a run of which somebody wrote them down. */
  readonly beforeContact: number | null;
}

/** Was a play one by the coach's yardage standard: so many yards, or the line to gain when it was short; a touchdown always. */
export function isSuccess(situation: Situation, standard: Standard): boolean {
  const { gain, distance, result } = situation;
  if (result === 'touchdown') return true;
  if (result === 'ball lost') return false;
  const yards = standardFor(standard, situation);
  return gain >= (distance <= SHORT ? Math.min(distance, yards) : yards);
}

/** Yards beyond which plays stand together at the ends of what is counted yard by yard. */
export const YARD_ENDS = { least: -5, most: 20 };
export const yardOf = (gain: number): number => Math.max(YARD_ENDS.least, Math.min(YARD_ENDS.most, gain));

/** "4 yards", "20 and more yards". */
export function sayYard(yard: number): string {
  const more = yard === YARD_ENDS.least ? ' and less' : yard === YARD_ENDS.most ? ' and more' : '';
  return `${yard}${more} ${yard === 1 ? 'yard' : 'yards'}`;
}

/** What a snap and its grades come to. */
export function playResultOf(
  { situation, resolution }: Pick<GradedSnap, 'situation'> & { resolution: Pick<GradedSnap['resolution'], 'passing'> },
  grades: readonly { blocker: string; grade: Grade }[],
  standard: Standard,
): PlayResult {
  const throws = resolution.passing !== null;
  const played = grades.filter((g) => g.grade.counts);
  const line = LINE_SEATS.filter((man) => played.some((g) => g.blocker === man));
  const told = played.map((g) => bothKept(g.grade));
  const facts = played.flatMap((g) => g.grade.facts);
  return {
    throws,
    success: isSuccess(situation, standard),
    stuffed: !throws && situation.gain <= 0,
    explosive: situation.gain >= (throws ? EXPLOSIVE_THROW : EXPLOSIVE),
    blocked: line.length < LINE_SEATS.length ? null : told.every((kept) => kept !== false),
    beforeContact: throws ? null : situation.beforeContact,
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

/** What is counted of plays: its name at the head of a column, and which snaps those are. */
export const PLAY_COUNTS = {
  snaps: { name: 'Snaps', says: 'every snap that counts' },
  runs: { name: 'Runs', says: 'runs' },
  touched: { name: 'Before contact', says: 'runs of which somebody wrote down how far nobody touched the runner' },
  successes: { name: 'Success', says: 'gained what the coach’s standard asks' },
  stuffed: { name: 'Runs stuffed', says: 'runs for no gain or a loss' },
  explosive: { name: 'Explosive', says: `runs of ${EXPLOSIVE} yards, throws of ${EXPLOSIVE_THROW}` },
  throws: { name: 'Throws', says: 'throws' },
  pressured: { name: 'Pressured', says: 'a sack, a hit or a pressure was charged' },
  graded: { name: 'Line graded', says: 'all five of the line are graded' },
  blocked: { name: 'Line blocked it', says: 'every graded blocker did his job' },
  blockedFailed: { name: 'Blocked, and failed', says: 'everybody did his job and the play was no success' },
  missedWorked: { name: 'Missed, and worked', says: 'somebody missed his job and the play was a success' },
} as const satisfies Record<string, { name: string; says: string }>;
export type PlayCount = keyof typeof PLAY_COUNTS;
export const PLAY_COUNT_IDS = Object.keys(PLAY_COUNTS) as [PlayCount, ...PlayCount[]];

/** One line of what plays came to. */
export const PlayLineSchema = z.object({
  key: z.string(),
  label: z.string(),
  /** Yards of all snaps, and of the runs alone. */
  yards: z.number(),
  runYards: z.number(),
  /** Yards before contact, of the runs of which they are known. */
  beforeContact: z.number(),
  counts: z.record(z.enum(PLAY_COUNT_IDS), z.int()),
});
export type PlayLine = z.infer<typeof PlayLineSchema>;

/** Snaps that gained so many yards: the line blocked it, somebody missed, or not all of the line are graded. */
export const GainCountSchema = z.object({ gain: z.int(), blocked: z.int(), missed: z.int(), untold: z.int() });
export type GainCount = z.infer<typeof GainCountSchema>;
export const PlayPageSchema = z.object({
  by: z.string(),
  lines: z.array(PlayLineSchema),
  total: PlayLineSchema,
  gains: z.array(GainCountSchema),
});
export type PlayPage = z.infer<typeof PlayPageSchema>;

/** One snap behind a figure of plays, with what speaks for it: what it gained, who missed, and where its failure began. */
export const BookPlaySchema = z.object({
  snapId: z.int(),
  number: z.int(),
  gameId: z.int(),
  opponent: z.string(),
  week: z.int(),
  scheme: z.string(),
  side: z.string(),
  front: z.string(),
  down: z.int(),
  distance: z.int(),
  gain: z.int(),
  result: ResultSchema,
  blocked: z.boolean().nullable(),
  /** Blockers who did not do what they were asked. */
  missed: z.array(z.string()),
  /** How it failed, one thing after the other, where somebody has worked that out. */
  cause: z.array(z.string()),
});
export type BookPlay = z.infer<typeof BookPlaySchema>;
export const BookPlaysSchema = z.object({ plays: z.array(BookPlaySchema), total: z.int() });
export type BookPlays = z.infer<typeof BookPlaysSchema>;

const ENDS: Readonly<Record<z.infer<typeof ResultSchema>, string>> = {
  'went on': '',
  touchdown: 'touchdown',
  'ball lost': 'ball lost',
  incomplete: 'incomplete',
  sacked: 'sacked',
  'no play': 'no play',
};

/** What speaks for a snap in a sentence: "2nd and 7, gained 1; all did their job". */
export function sayPlay({ down, distance, gain, result, blocked, missed, cause }: BookPlay): string {
  const yards = gain < 0 ? `lost ${-gain}` : `gained ${gain}`;
  const ended = result === 'incomplete' ? ENDS.incomplete : [yards, ENDS[result]].filter(Boolean).join(', ');
  const line = missed.length > 0 ? `${missed.join(', ')} missed` : blocked ? 'all did their job' : '';
  return [`${ORDINALS[down - 1]} and ${distance}, ${ended}`, line, ...cause].filter(Boolean).join('; ');
}
const ORDINALS = ['1st', '2nd', '3rd', '4th'];
