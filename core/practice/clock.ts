/**
 * The time on the clock so many minutes after the period begins, or the minutes themselves while nobody has said when it does.
 *
 * @example clockAt('18:50', 15) // => '19:05'
 * @example clockAt(null, 65) // => '1:05'
 */
export function clockAt(begins: string | null, minutes: number): string {
  const [hours, past] = begins ? begins.split(':').map(Number) : [0, 0];
  const at = hours! * 60 + past! + minutes;
  return `${Math.floor(at / 60) % 24}:${String(at % 60).padStart(2, '0')}`;
}
