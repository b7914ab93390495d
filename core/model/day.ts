import * as z from 'zod';

/** A day of the calendar, as 2026-11-27. */
export const DaySchema = z.iso.date({ message: 'a day such as 2026-11-27' });
