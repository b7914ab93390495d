import * as z from 'zod';
import { LineupSchema } from '#core/film/log/lineup';
import { CutSchema } from '#core/film/log/cut';
import { SHELVES } from '#core/calls/playbook';
import { AskedSchema } from '#core/model/asked';
import { AuditEntrySchema } from '#core/model/audit';
import { CalibrationSchema } from '#core/model/calibration';
import { FilmBodySchema, FilmKindSchema, FilmStateSchema } from '#core/model/film';
import { FilmNoteSchema } from '#core/model/film-note';
import { FindingSchema } from '#core/model/finding';
import { GradeSchema, RubricRefSchema } from '#core/model/grade';
import { MeasuringSchema } from '#core/model/measured';
import { QuizAnswerSchema } from '#core/model/quiz';
import { RepMarkSchema } from '#core/model/script';
import { NewGameSchema, ScheduledSchema } from '#core/model/schedule';
import { ClipBodySchema } from '#core/model/snap';
import { SnapBodySchema } from '#core/model/snap-body';
import { HERE_IDS } from '#core/roster/attendance';
import { WEEK_PARTS } from '#core/model/week';
import { NewPlayerSchema } from '#core/roster/player';

/** A row as it goes out: columns by their names in the database. */
export type Row = Record<string, unknown> & { readonly id?: number };

/** A table of a program, as its copy holds it. */
export interface CopiedTable {
  readonly name: string;
  /** Columns that name a row of another table; `users` are people. */
  readonly refs: Readonly<Record<string, string>>;
  /** What its bodies have to be, so that nothing nobody can read comes in. */
  readonly bodies: Readonly<Record<string, z.ZodType>>;
  /** Only with film: without it these are rows of nothing. */
  readonly withFilm?: true;
  /** Its rows have no number of their own. */
  readonly unnumbered?: true;
}

const AnyText = z.string();

/** Every table of a program, in the order in which they can be written. A new table of a program is one entry here. */
export const COPIED: readonly CopiedTable[] = [
  { name: 'seasons', refs: {}, bodies: { name: z.string().min(1).max(80), rubric: RubricRefSchema } },
  { name: 'players', refs: {}, bodies: NewPlayerSchema.shape },
  {
    name: 'games',
    refs: { season_id: 'seasons' },
    bodies: {
      lineup: LineupSchema,
      opponent: ScheduledSchema.shape.opponent,
      week: ScheduledSchema.shape.week,
      theirs: NewGameSchema.shape.theirs,
    },
  },
  { name: 'snaps', refs: { game_id: 'games' }, bodies: { body: SnapBodySchema } },
  {
    name: 'films',
    refs: { game_id: 'games', user_id: 'users' },
    bodies: { body: FilmBodySchema, name: AnyText, kind: FilmKindSchema, state: FilmStateSchema },
    withFilm: true,
  },
  { name: 'clips', refs: { snap_id: 'snaps', film_id: 'films' }, bodies: { body: ClipBodySchema } },
  { name: 'calibrations', refs: { clip_id: 'clips', user_id: 'users' }, bodies: { body: CalibrationSchema } },
  { name: 'measurings', refs: { snap_id: 'snaps', user_id: 'users' }, bodies: { body: MeasuringSchema } },
  { name: 'film_notes', refs: { clip_id: 'clips', user_id: 'users' }, bodies: { body: FilmNoteSchema } },
  { name: 'cuts', refs: { user_id: 'users' }, bodies: { body: CutSchema } },
  {
    name: 'grades',
    refs: { snap_id: 'snaps', player_id: 'players', user_id: 'users', sheet: 'users' },
    bodies: { body: GradeSchema, asked: AskedSchema.nullable() },
  },
  {
    name: 'grade_changes',
    refs: { snap_id: 'snaps', user_id: 'users', sheet: 'users' },
    bodies: { before: GradeSchema.nullable(), after: GradeSchema.nullable() },
  },
  { name: 'snap_findings', refs: { snap_id: 'snaps', user_id: 'users' }, bodies: { body: FindingSchema } },
  {
    name: 'acknowledgements',
    refs: { game_id: 'games', snap_id: 'snaps', player_id: 'players', user_id: 'users' },
    bodies: { question: AnyText, answer: AnyText },
  },
  {
    name: 'week_parts',
    refs: { game_id: 'games', user_id: 'users' },
    bodies: { body: z.union([WEEK_PARTS.plan, WEEK_PARTS.practice, WEEK_PARTS.scripts]) },
  },
  {
    name: 'quiz_answers',
    refs: { game_id: 'games', player_id: 'players' },
    bodies: { body: QuizAnswerSchema, item_key: AnyText, answer: z.uuid() },
  },
  {
    name: 'rep_marks',
    refs: { game_id: 'games', user_id: 'users' },
    bodies: { script: RepMarkSchema.shape.script, missed: RepMarkSchema.shape.missed },
  },
  { name: 'documents', refs: {}, bodies: { shelf: z.enum(SHELVES), slug: z.string().min(1).max(80) } },
  {
    name: 'document_versions',
    refs: { document_id: 'documents', user_id: 'users' },
    bodies: { text: AnyText },
  },
  { name: 'attendance', refs: { player_id: 'players' }, bodies: { here: z.enum(HERE_IDS) }, unnumbered: true },
  { name: 'audit', refs: { user_id: 'users' }, bodies: { what: AuditEntrySchema.shape.what, about: AnyText } },
];

/** Tables of a program that no copy holds: what is made anew from others, what opens doors, and what lasts no longer than a meeting. */
export const NOT_COPIED: readonly string[] = [
  'book_columns',
  'book_counted',
  'book_due',
  'book_grades',
  'book_kinds',
  'book_marks',
  'book_snaps',
  'book_words',
  'huddle_men',
  'huddles',
  'memberships',
  'sessions',
  'tickets',
];

export const FORMAT = 'violet-chalk-program';
/** What a copy says of itself. */
export const CopyHeadSchema = z.object({
  format: z.literal(FORMAT),
  version: z.literal(1),
  /** The newest migration of the database it is from. */
  migration: z.string().max(60),
  name: z.string().min(1).max(80),
  made: z.iso.datetime(),
  film: z.boolean(),
  body: z.unknown(),
});
export type CopyHead = z.infer<typeof CopyHeadSchema>;

/** Somebody a row names: he is invited anew where the copy goes, his name stays with what he did. */
export const CopiedPersonSchema = z.object({
  id: z.int().positive(),
  name: z.string().max(80),
  email: z.string().max(200),
});
export type CopiedPerson = z.infer<typeof CopiedPersonSchema>;
