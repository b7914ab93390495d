import * as z from 'zod';

/** What a person is called. */
export const PersonNameSchema = z.string().trim().min(1, 'a name').max(80);
