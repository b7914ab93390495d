import * as z from 'zod';
import { SideSchema } from './side';

/** Where a blocker lines up; decides whether he is part of the line and how his place is worked out. */
export const BlockerKindSchema = z.enum([
  'line',
  'tight',
  'wing',
  'hback',
  'fullback',
  'back',
  'quarterback',
  'slot',
  'wide',
]);
export type BlockerKind = z.infer<typeof BlockerKindSchema>;

export const LINE_SEATS = ['LT', 'LG', 'C', 'RG', 'RT'] as const;

export const BlockerSchema = z.object({
  /** Seat: `LT LG C RG RT`, or the letter of an end, wing or back. A man keeps the rule of his seat wherever he stands. */
  id: z.string().regex(/^[A-Z][A-Z0-9]{0,2}$/),
  kind: BlockerKindSchema,
  /** Feet, field frame. */
  x: z.number().finite().min(-80).max(80),
  y: z.number().finite().min(-40).max(0),
});
export type Blocker = z.infer<typeof BlockerSchema>;

export const MotionSchema = z.object({ man: z.string(), side: SideSchema });

/** A formation with everybody's place worked out. Men on the line come first, left to right. */
export const FormationSchema = z.object({
  id: z.string(),
  name: z.string(),
  men: z.array(BlockerSchema).min(5).max(11),
  quarterback: z.enum(['under', 'gun', 'pistol']),
  motions: z.array(MotionSchema),
});
export type Formation = z.infer<typeof FormationSchema>;

/** Men who stand on the line next to each other: the five and everybody attached to them. */
export const isOnLine = (man: Pick<Blocker, 'kind'>): boolean => man.kind === 'line' || man.kind === 'tight';

const lines = new WeakMap<Formation, readonly Blocker[]>();

/** The men on the line, left to right. A formation is never changed in place, so its line is worked out once. */
export function lineOf(formation: Formation): readonly Blocker[] {
  let line = lines.get(formation);
  if (!line) lines.set(formation, (line = formation.men.filter(isOnLine).sort((a, b) => a.x - b.x)));
  return line;
}
