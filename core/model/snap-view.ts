import * as z from 'zod';
import { AskedSchema } from './asked';
import { KeptNoteSchema } from './film-note';
import { MarkedSchema } from './game';
import { RubricRefSchema } from './grade';
import { ClipBodySchema } from './snap';
import { SnapBodySchema } from './snap-body';

/** A mark as it is kept, with what was asked of the man when it was given. */
export const KeptMarkSchema = MarkedSchema.extend({ revision: z.int(), asked: AskedSchema });
export type KeptMark = z.infer<typeof KeptMarkSchema>;

/** A snap with its film, as it is watched and graded. */
export const SnapViewSchema = SnapBodySchema.extend({
  id: z.int(),
  number: z.int(),
  gameId: z.int(),
  clips: z.array(ClipBodySchema.extend({ id: z.int(), angle: z.string() })),
  /** Revision of what is asked on it. */
  revision: z.int(),
  /** With what it is graded now. */
  rubric: RubricRefSchema,
  grades: z.array(KeptMarkSchema),
  /** One's own reading beside them. */
  own: z.array(KeptMarkSchema),
  notes: z.array(KeptNoteSchema),
  /** A player may mark himself on it, on a sheet of his own. */
  ownGrades: z.boolean().default(false),
  /** Everybody was followed on its film, so that proposals can be made; told to those who grade the program. */
  followed: z.boolean().default(false),
  /** Who played where on this snap, and with which number. */
  field: z.array(z.object({ seat: z.string(), name: z.string(), number: z.int() })),
});
export type SnapView = z.infer<typeof SnapViewSchema>;
