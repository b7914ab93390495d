import * as z from 'zod';

/** The secret of a link. */
export const TokenSchema = z.object({ token: z.string().regex(/^[\w-]{20,64}$/, 'the last part of the link') });
