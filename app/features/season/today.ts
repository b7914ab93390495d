import { format } from 'date-fns';

/** The day it is where the coach is, as 2026-11-27. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');
