import * as z from 'zod';
import { FamilySchema, SideCallSchema } from './overrides';
import { SideSchema } from './side';

/** A worked-out value with the sentence that says why; `overruled` when the coach set it by hand. */
const because = { because: z.string(), overruled: z.boolean().default(false) };
const perSide = <T extends z.ZodType>(value: T) => z.object({ left: value, right: value });

export const SubNameSchema = z.enum(['over', 'under', 'double three', 'tite', 'stack', 'five-man']);

export const TechniqueSchema = z.object({
  id: z.string(),
  /** `5 left`, `30 right @4.5`: as a coach would say it. */
  label: z.string(),
  level: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  /** The blocker he is head-up or shaded on. */
  on: z.string().nullable(),
  /** `head-up`, `inside`, `outside` of that blocker, else in a gap or wide of the line. */
  relation: z.enum(['head-up', 'inside', 'outside', 'playside', 'backside', 'left', 'right', 'gap', 'wide', 'off']),
});

export const NumbersSchema = z.object({
  offence: perSide(z.number()),
  defence: perSide(z.number()),
  /** Hats over theirs at the point of attack: negative is a shortage. Only with a scheme. */
  surplus: z.number().nullable(),
  /** How many the scheme can account for, reads included. Only with a scheme. */
  count: z.number().nullable(),
  plusOne: z.string().nullable(),
  /** What would even the numbers. */
  evens: z.array(z.enum(['wrapper', 'insert', 'receiver'])),
  because: z.string(),
});

/** All the line must be told before the snap. */
export const IdentificationSchema = z.object({
  techniques: z.array(TechniqueSchema),
  strength: z.object({ side: SideSchema, ...because }),
  family: z.object({ name: FamilySchema, subNames: z.array(SubNameSchema), ...because }),
  sideCall: perSide(z.object({ call: SideCallSchema, ...because })),
  box: z.object({
    ids: z.array(z.string()),
    size: z.number(),
    spoken: z.string(),
    overhangs: z.array(z.string()),
    ...because,
  }),
  linebackers: z.object({ ids: z.array(z.string()), ...because }),
  mike: z.object({ id: z.string().nullable(), ...because }),
  bubbles: z.object({ gaps: z.array(z.object({ gap: z.enum(['A', 'B']), side: SideSchema })), ...because }),
  edge: perSide(
    z.object({
      endMan: z.string().nullable(),
      force: z.string().nullable(),
      corner: z.string().nullable(),
      alley: z.string().nullable(),
      overhangs: z.array(z.string()),
      ...because,
    }),
  ),
  numbers: NumbersSchema,
  walkedUp: z.object({ ids: z.array(z.string()), ...because }),
});
export type Identification = z.infer<typeof IdentificationSchema>;
export type Technique = z.infer<typeof TechniqueSchema>;
export type SubName = z.infer<typeof SubNameSchema>;
