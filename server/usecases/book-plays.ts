import { createError } from 'h3';
import { isOfSnap, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import {
  PLAY_COUNT_IDS,
  type BookPlays,
  type PlayCount,
  type PlayLine,
  type PlayPage,
} from '#core/grade/book/play-result';
import { readGains, readPlayRows, readResults } from '../book/read-plays';
import { upToDate } from '../book/keep';
import { findingBody, snapBody } from '../db/mappers';
import { FindingRow, GameRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { labelled } from './book';

/** What plays came to; only for those who coach, as it is no man's record. */
export async function readPlayResults(member: Member, by: Dimension, filter: BookFilter): Promise<PlayPage> {
  if (!isOfSnap(by)) throw createError({ statusCode: 400, message: `by: plays are not counted by ${by}.` });
  const db = await upToDate(member.programId);
  const [lines, gains] = await Promise.all([
    readResults(db, member.programId, filter, by),
    readGains(db, member.programId, filter),
  ]);
  const sum = (of: (line: PlayLine) => number): number => lines.reduce((total, l) => total + of(l), 0);
  const counts = Object.fromEntries(PLAY_COUNT_IDS.map((c) => [c, sum((l) => l.counts[c])])) as PlayLine['counts'];
  const total = {
    key: 'all',
    label: 'all',
    yards: sum((l) => l.yards),
    runYards: sum((l) => l.runYards),
    beforeContact: sum((l) => l.beforeContact),
    counts,
  };
  return { by, lines: await labelled(member, by, lines), total, gains };
}

/** The snaps behind a figure of plays, a page at a time, each with what speaks for it. */
export async function readPlaysBehind(
  { programId }: Member,
  filter: BookFilter,
  count: PlayCount,
  page: { skip: number; take: number },
): Promise<BookPlays> {
  const { plays: found, total } = await readPlayRows(await upToDate(programId), programId, filter, count, page);
  const snapId = found.map((f) => f.snapId);
  const [snaps, games, findings] = await Promise.all([
    SnapRow.findAll({ where: { programId, id: snapId } }),
    GameRow.findAll({ where: { programId, id: [...new Set(found.map((f) => f.gameId))] } }),
    FindingRow.findAll({ where: { programId, snapId } }),
  ]);
  return {
    total,
    plays: found.map((play) => {
      const { situation } = snapBody(snaps.find((s) => s.id === play.snapId)!);
      const game = games.find((g) => g.id === play.gameId)!;
      const finding = findings.find((f) => f.snapId === play.snapId);
      const { down, distance, gain, result } = situation;
      return {
        ...play,
        ...{ opponent: game.opponent, week: game.week, down, distance, gain, result },
        cause: (finding && findingBody(finding).cause?.chain.map((c) => `${c.man}: ${c.says}`)) ?? [],
      };
    }),
  };
}
