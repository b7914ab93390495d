import { ClipBodySchema, type ClipBody } from '#core/model/snap';
import { SnapBodySchema, type SnapBody, GradedSnapSchema, type GradedSnap } from '#core/model/snap-body';
import { GradeSchema, type Grade } from '#core/model/grade';
import { ProgramBodySchema, type ProgramBody } from '#core/model/program';
import { FilmBodySchema, type FilmBody } from '#core/model/film';
import { CalibrationSchema, type Calibration } from '#core/model/calibration';
import { MeasuringSchema, type Measuring } from '#core/model/measured';
import { LineupSchema, type Lineup } from '#core/film/log/lineup';
import { AskedSchema, type Asked } from '#core/model/asked';
import { FindingSchema, type Finding } from '#core/model/finding';
import { CutSchema, type Cut } from '#core/film/log/cut';
import { FilmNoteSchema, type FilmNote } from '#core/model/film-note';
import type {
  CalibrationRow,
  ClipRow,
  CutRow,
  FilmNoteRow,
  FindingRow,
  FilmRow,
  GameRow,
  GradeRow,
  MeasuringRow,
  ProgramRow,
  SnapRow,
} from './models';

/** Bodies are read by the core's schemas, so that a row nobody can read is found here and not on a screen. */
export const snapBody = (row: SnapRow): SnapBody => SnapBodySchema.parse(row.body);
/** What of a snap grades are written and counted by. */
export const gradedSnap = (row: SnapRow): GradedSnap => GradedSnapSchema.parse(row.body);
export const clipBody = (row: ClipRow): ClipBody => ClipBodySchema.parse(row.body);
export const gradeBody = (row: GradeRow): Grade => GradeSchema.parse(row.body);
export const gradeAsked = (row: GradeRow): Asked => AskedSchema.parse(row.asked);
export const findingBody = (row: FindingRow): Finding => FindingSchema.parse(row.body);
export const programBody = (row: ProgramRow): ProgramBody => ProgramBodySchema.parse(row.body ?? {});
export const filmBody = (row: FilmRow): FilmBody => FilmBodySchema.parse(row.body ?? {});
export const calibrationBody = (row: CalibrationRow): Calibration => CalibrationSchema.parse(row.body);
export const measuringBody = (row: MeasuringRow): Measuring => MeasuringSchema.parse(row.body);
export const lineupOf = (row: GameRow): Lineup => LineupSchema.parse(row.lineup ?? {});
export const cutBody = (row: CutRow): Cut => CutSchema.parse(row.body);
export const noteBody = (row: FilmNoteRow): FilmNote => FilmNoteSchema.parse(row.body);
