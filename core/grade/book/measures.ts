import * as z from 'zod';
import { CONSEQUENCES } from '../../model/grade';
import { MISS_WEIGHTS } from './weigh';

/** What is counted of grades, each with its name at the head of a column and what it says in a sentence. */
export const MEASURES = {
  assignment: { name: 'Right man', says: 'He took the man his rule gave him.' },
  technique: { name: 'Technique', says: 'Done the way this block asks.' },
  both: { name: 'Both', says: 'Right man and done as asked.' },
  finish: { name: 'Finish', says: 'Still on him at the whistle; only where the rubric asks for it.' },
  outcome: { name: 'Outcome', says: 'The block ended as its own standard wants it; only where it was marked.' },
  film: { name: 'Film said so', says: 'What the film proposed was what was marked; only where it proposed anything.' },
  score: { name: 'Grade', says: 'What was earned of what was possible, by the rubric of each mark.' },
  weighed: {
    name: 'Grade, weighed',
    says: `The same, a miss counted by what it meant: ${CONSEQUENCES.map((c) => `${c} ${MISS_WEIGHTS[c]}`).join(', ')}; only where it was marked.`,
  },
} as const satisfies Record<string, { name: string; says: string }>;
export type Measure = keyof typeof MEASURES;
export const MEASURE_IDS = Object.keys(MEASURES) as [Measure, ...Measure[]];

/**
 * How often something was kept, of how often it could be told; `unknown`: marks that could not be told or were not asked. Of a grade by its
 * rubric these are weights, no whole numbers.
 */
export const CountSchema = z.object({ good: z.number(), of: z.number(), unknown: z.number() });
export type Count = z.infer<typeof CountSchema>;
