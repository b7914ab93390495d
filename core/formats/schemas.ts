import * as z from 'zod';
import { DrillSchema } from '../model/drill';
import { FormationSchema } from '../model/formation';
import { FrontSchema } from '../model/front';
import { GradeRecordSchema } from '../grade/record';
import { GradeSchema } from '../model/grade';
import { IdentificationSchema } from '../model/identification';
import { NamingSchema } from '../model/naming';
import { PracticeWeekSchema } from '../model/practice';
import { PressureProofSchema } from '../model/pressure';
import { ResolutionSchema } from '../model/resolution';
import { ScriptSchema } from '../model/script';
import { SettingsSchema } from '../model/settings';
import { CallSchema } from '../model/snap';
import { SpaceSchema } from '../model/space';
import { WeekPlanSchema } from '../model/week-plan';
import { GoldenCaseSchema } from './golden/golden';

/** Every published format by the name of its file. */
export const PUBLISHED = {
  formation: FormationSchema,
  front: FrontSchema,
  identification: IdentificationSchema,
  resolution: ResolutionSchema,
  settings: SettingsSchema,
  call: CallSchema,
  'pressure-proof': PressureProofSchema,
  space: SpaceSchema,
  drill: DrillSchema,
  'week-plan': WeekPlanSchema,
  'practice-week': PracticeWeekSchema,
  script: ScriptSchema,
  naming: NamingSchema,
  grade: GradeSchema,
  'grade-record': GradeRecordSchema,
  'golden-case': GoldenCaseSchema,
} as const satisfies Record<string, z.ZodType>;

/** The JSON Schema of a published format, as text. */
export const schemaText = (name: keyof typeof PUBLISHED): string =>
  `${JSON.stringify({ title: name, ...z.toJSONSchema(PUBLISHED[name], { io: 'input', unrepresentable: 'any' }) }, null, 1)}\n`;
