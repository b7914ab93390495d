import * as z from 'zod';
import { CallSchema } from './snap';

/** What a script practises: which calls belong in it and who of us is on the field. */
export const SCRIPT_KINDS = {
  'walk-through': {
    name: 'Walk-through',
    calls: 'all',
    says: 'every play three times at a walk, in the order in which they are put in, against its likeliest looks',
  },
  'half line': {
    name: 'Half line',
    calls: 'runs',
    says: 'centre and one side; plays whose pullers come from the other side are out',
  },
  'inside run': { name: 'Inside run', calls: 'runs', says: 'the whole line with backs' },
  'without backs': {
    name: 'Inside run without backs',
    calls: 'runs',
    says: 'the line alone, the coach hands nobody anything',
  },
  'pick-up': { name: 'Pass pick-up', calls: 'throws', says: 'the line and whoever protects' },
  team: { name: 'Team', calls: 'all', says: 'everything that is called' },
  'short yardage': {
    name: 'Short yardage from the 3',
    calls: 'runs',
    says: 'goal line at 3 yards; one defender more after every success, back to the same after a failure',
  },
} as const;
export type ScriptKind = keyof typeof SCRIPT_KINDS;
export const SCRIPT_KIND_IDS = Object.keys(SCRIPT_KINDS) as [ScriptKind, ...ScriptKind[]];

const LookText = CallSchema.pick({ front: true, frontName: true });
/** One rep: what is called, what stands against it, and who of them has to be there. */
export const RepSchema = CallSchema.pick({
  scheme: true,
  side: true,
  tags: true,
  formation: true,
  formationName: true,
}).extend({
  ...LookText.shape,
  /** Defenders without whom somebody would do something else; the others may be cones. */
  bodies: z.array(z.string().max(3)).max(11),
  cones: z.array(z.string().max(3)).max(11),
  /** Why it is in the script, in a sentence. */
  why: z.string().max(200),
});
export type Rep = z.infer<typeof RepSchema>;

export const ScriptSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  kind: z.enum(SCRIPT_KIND_IDS),
  reps: z.array(RepSchema).min(1).max(60),
  /** What of the plan stays uncovered, the likeliest first. */
  uncovered: z.array(z.string().max(200)).max(40),
  /** The clip of practice film that shows each rep, by its name; empty before film was joined. */
  film: z.array(z.string().max(200).nullable()).max(60).default([]),
  /** How many defenders have to go somewhere else between reps, in all. */
  resets: z.int().min(0),
});
export type Script = z.infer<typeof ScriptSchema>;
export const ScriptsSchema = z.object({
  scripts: z
    .array(ScriptSchema)
    .max(12)
    .refine((all) => new Set(all.map((s) => s.id)).size === all.length, { message: 'a script stands here twice' }),
});
export type Scripts = z.infer<typeof ScriptsSchema>;

/** What came of a rep: good or not, and who missed. */
export const RepMarkSchema = z.object({
  script: ScriptSchema.shape.id,
  rep: z.int().min(0).max(59),
  good: z.boolean(),
  /** Places of those who missed; empty while nobody has said. */
  missed: z.array(z.string().max(3)).max(11).default([]),
});
export type RepMark = z.infer<typeof RepMarkSchema>;
