import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { askedOf } from '#core/grade/book/marked';
import type { Asked } from '#core/model/asked';
import { GradeSchema, type Grade } from '#core/model/grade';
import { GradedSnapSchema } from '#core/model/snap-body';

/** A snap that is held, so that nobody else marks it or changes what it asks. */
export interface HeldSnap {
  readonly id: number;
  readonly gameId: number;
  readonly number: number;
  readonly revision: number;
  /** What it asks of each blocker. */
  readonly asked: ReadonlyMap<string, Asked>;
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

/** A mark as it is to be, with how often it was given; without a grade, and 0 times, it is taken back. `before` is what stood there. */
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

type Row = Record<string, unknown> & { body: unknown; assignments: unknown };
const AssignmentsSchema = GradedSnapSchema.shape.resolution.shape.assignments;

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
    `select id, game_id as "gameId", number, revision, body #> '{resolution,assignments}' as assignments from snaps where id = :snapId and program_id = :programId for update;
     select blocker, body, revision, entry, player_id as "playerId", user_id as "userId", changed_at as "changedAt" from grades
       where program_id = :programId and snap_id = :snapId and sheet = :sheet`,
    { type: QueryTypes.SELECT, replacements: { programId, snapId, sheet }, transaction },
  );
  if (!snap || !('gameId' in snap)) return null;
  const { assignments, ...held } = snap;
  const asked = new Map(AssignmentsSchema.parse(assignments).map((a) => [a.blocker, askedOf(a)]));
  return {
    snap: { ...(held as unknown as Omit<HeldSnap, 'asked'>), asked },
    kept: marks.map(({ body, ...mark }) => ({ ...(mark as unknown as KeptMark), grade: GradeSchema.parse(body) })),
  };
}

/** What is done to marks of a revision: the first adds one, later ones change it, none takes it back. The snap is held: nobody adds one meanwhile. */
const DONE: readonly { readonly to: (revision: number) => boolean; readonly sql: string }[] = [
  {
    to: (revision) => revision === 1,
    sql: `added as (insert into grades (program_id, snap_id, sheet, user_id, blocker, entry, body, asked, player_id, revision)
      select $2, $3, $4, $5, blocker, entry, grade, asked, "playerId", revision from sent where revision = 1)`,
  },
  {
    to: (revision) => revision > 1,
    sql: `changed as (update grades g set body = s.grade, revision = s.revision, entry = s.entry, user_id = $5, asked = s.asked, changed_at = now()
      from sent s where s.revision > 1 and g.snap_id = $3 and g.sheet = $4 and g.blocker = s.blocker)`,
  },
  {
    to: (revision) => revision === 0,
    sql: `taken as (delete from grades g using sent s where s.revision = 0 and g.snap_id = $3 and g.sheet = $4 and g.blocker = s.blocker)`,
  },
];

/** Writes marks on a sheet of a snap that is held, and beside each what it was before, with who: one statement, all or none. */
export async function writeMarks(
  sequelize: Sequelize,
  { programId, snapId, sheet }: Sheet,
  userId: number,
  marks: readonly MarkToWrite[],
  transaction: Transaction,
): Promise<void> {
  const done = DONE.filter(({ to }) => marks.some(({ revision }) => to(revision))).map(({ sql }) => sql);
  await sequelize.query(
    `with sent as (select * from jsonb_to_recordset($1::jsonb) as s(blocker text, entry uuid, grade jsonb, before jsonb, asked jsonb,
         "playerId" integer, revision integer)),
       ${done.join(',\n')}
     insert into grade_changes (program_id, snap_id, sheet, user_id, blocker, before, after)
       select $2, $3, $4, $5, blocker, before, grade from sent`,
    { bind: [JSON.stringify(marks), programId, snapId, sheet, userId], transaction },
  );
}
