import * as z from 'zod';

/** What a man was asked when he was graded, kept with the grade: a later change of the call or the rule never changes it. */
export const AskedSchema = z.object({
  block: z.string(),
  target: z.string().nullable(),
  next: z.string().nullable(),
  partners: z.array(z.string()),
  role: z.enum(['alone', 'inner', 'outer', 'third']),
  schools: z.array(z.string()),
});
export type Asked = z.infer<typeof AskedSchema>;
