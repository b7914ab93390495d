import { createError } from 'h3';
import { findRubric } from '#core/grade/rubrics/index';
import { database } from '../db/database';
import { SeasonRow } from '../db/models';
import type { Member } from '../session/member';

export interface SeasonView {
  readonly id: number;
  readonly name: string;
  readonly rubric: string;
  /** The coach's own pass line, 0 to 1; `null`: the rubric's. */
  readonly passLine: number | null;
  /** How many seasons there are beside it. */
  readonly others: number;
}

/** The season that is played now; a program always has one. */
export async function newestSeason({ programId }: Pick<Member, 'programId'>): Promise<SeasonRow> {
  await database();
  const row = await SeasonRow.findOne({ where: { programId }, order: [['id', 'DESC']] });
  return row ?? SeasonRow.create({ programId, name: 'Season' });
}
const seasonView = async ({ id, programId, name, rubric, passLine }: SeasonRow): Promise<SeasonView> => ({
  id,
  name,
  rubric,
  passLine: passLine ?? null,
  others: (await SeasonRow.count({ where: { programId } })) - 1,
});

/** With what this season's snaps are graded. */
export const readSeason = async (member: Member): Promise<SeasonView> =>
  seasonView(await newestSeason(member).then((s) => s.reload()));

/** Names the season, or chooses a rubric or a pass line for what is graded from now on; grades given before keep theirs. */
export async function changeSeason(
  member: Member,
  change: { name?: string | undefined; rubric?: string | undefined; passLine?: number | null | undefined },
): Promise<SeasonView> {
  if (change.rubric !== undefined && !findRubric(change.rubric))
    throw createError({
      statusCode: 400,
      message: `rubric: there is no rubric "${change.rubric}". Nothing was changed.`,
    });
  const row = await newestSeason(member);
  await row.update(change);
  return seasonView(await row.reload());
}
