/** How long what is known of a man who has left may be kept, in months, as a program may choose; `null` keeps it until somebody erases it. */
export const KEEP_TIMES = [null, 6, 12, 24, 36, 60] as const;

/**
 * When everything said of a man is erased: so many months after the day he left, or the last day of that month where it has no such day.
 *
 * @example dueOn(new Date('2026-08-31'), 6).toISOString().slice(0, 10) // => '2027-02-28'
 */
export function dueOn(left: Date, months: number): Date {
  const due = new Date(left);
  const day = due.getUTCDate();
  due.setUTCDate(1);
  due.setUTCMonth(due.getUTCMonth() + months);
  const lastDay = new Date(Date.UTC(due.getUTCFullYear(), due.getUTCMonth() + 1, 0)).getUTCDate();
  due.setUTCDate(Math.min(day, lastDay));
  return due;
}

/** How long it is, said after "he is known". */
export function sayKeepTime(months: number | null): string {
  if (months === null) return 'until somebody erases it';
  if (months % 12) return `${months} months after he left`;
  return months === 12 ? 'a year after he left' : `${months / 12} years after he left`;
}
