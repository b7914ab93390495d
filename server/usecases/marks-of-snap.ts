import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import type { Asked } from '#core/model/asked';
import { GradeSchema, type Grade } from '#core/model/grade';
import { GradedSnapSchema, type GradedSnap } from '#core/model/snap-body';

/** A snap that is held, so that nobody else marks it or changes what it asks. */
export interface HeldSnap {
  readonly id: number;
  readonly gameId: number;
  readonly number: number;
  readonly revision: number;
  readonly body: GradedSnap;
}

/** A mark as it is kept on a sheet. */
export interface KeptMark {
  readonly blocker: string;
  readonly grade: Grade;
  readonly revision: number;
  readonly entry: string | null;
  readonly playerId: number | null;
  readonly userId: number | null;
  readonly changedAt: Date;
}

/** A mark as it is to be; without a grade it is taken back. `before` is what stood there. */
export interface MarkToWrite {
  readonly blocker: string;
  readonly entry: string;
  readonly grade: Grade | null;
  readonly before: Grade | null;
  readonly asked: Asked;
  readonly playerId: number | null;
  readonly revision: number;
}

export interface Sheet {
  readonly programId: number;
  readonly snapId: number;
  readonly sheet: number;
}

type Row = Record<string, unknown> & { body: unknown };

/**
 * Holds a snap until the transaction ends, with the marks that stand on a sheet then; `null` where the program has no such snap. Two statements
 * on one way: the marks are read only once the snap is held.
 */
export async function holdSnap(
  sequelize: Sequelize,
  { programId, snapId, sheet }: Sheet,
  transaction: Transaction,
): Promise<{ snap: HeldSnap; kept: KeptMark[] } | null> {
  const [snap, ...marks] = await sequelize.query<Row>(
    `select id, game_id as "gameId", number, revision, body from snaps where id = :snapId and program_id = :programId for update;
     select blocker, body, revision, entry, player_id as "playerId", user_id as "userId", changed_at as "changedAt" from grades
       where program_id = :programId and snap_id = :snapId and sheet = :sheet`,
    { type: QueryTypes.SELECT, replacements: { programId, snapId, sheet }, transaction },
  );
  if (!snap || !('gameId' in snap)) return null;
  return {
    snap: { ...(snap as unknown as HeldSnap), body: GradedSnapSchema.parse(snap.body) },
    kept: marks.map(({ body, ...mark }) => ({ ...(mark as unknown as KeptMark), grade: GradeSchema.parse(body) })),
  };
}

/** Writes marks on a sheet, and beside each what it was before, with who: one statement, all or none. */
export async function writeMarks(
  sequelize: Sequelize,
  { programId, snapId, sheet }: Sheet,
  userId: number,
  marks: readonly MarkToWrite[],
  transaction: Transaction,
): Promise<void> {
  await sequelize.query(
    `with sent as (select * from jsonb_to_recordset($1::jsonb) as s(blocker text, entry uuid, grade jsonb, before jsonb, asked jsonb,
         "playerId" integer, revision integer)),
       given as (insert into grades (program_id, snap_id, sheet, user_id, blocker, entry, body, asked, player_id, revision)
         select $2, $3, $4, $5, blocker, entry, grade, asked, "playerId", revision from sent where grade is not null
         on conflict (snap_id, sheet, blocker) do update set body = excluded.body, revision = excluded.revision, entry = excluded.entry,
           user_id = excluded.user_id, asked = excluded.asked, changed_at = now()),
       taken as (delete from grades g using sent s where g.snap_id = $3 and g.sheet = $4 and g.blocker = s.blocker and s.grade is null)
     insert into grade_changes (program_id, snap_id, sheet, user_id, blocker, before, after)
       select $2, $3, $4, $5, blocker, before, grade from sent`,
    { bind: [JSON.stringify(marks), programId, snapId, sheet, userId], transaction },
  );
}
