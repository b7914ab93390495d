import type { NightSummary } from '../night/summary';
import type { Sheet } from './sheet';

const percent = (share: number | null): string => (share === null ? 'not expected' : `${Math.round(100 * share)} %`);

/** What the first half was, on one sheet: forecast against seen, calls, and who lost to what. */
export const halftimeSheet = (
  { snaps, looks, calls, lost }: NightSummary,
  { title, stamp, sayPlay }: { title: string; stamp: string; sayPlay: (scheme: string, side: string) => string },
): Sheet => ({
  title: 'Halftime',
  subtitle: `${title}. ${snaps} snaps as they were tapped`,
  stamp,
  parts: [
    { kind: 'heading', text: 'What they show' },
    {
      kind: 'table',
      head: ['Look', 'Expected', 'Seen', ''],
      widths: ['*', 70, 70, 110],
      rows: looks.map((l) => [
        l.frontName,
        percent(l.expected),
        `${l.seen.good} of ${l.seen.of}`,
        l.otherwise ? { strong: 'otherwise than expected' } : '',
      ]),
    },
    { kind: 'heading', text: 'What we call' },
    {
      kind: 'table',
      head: ['Call', 'Run', 'Nobody lost'],
      widths: ['*', 60, 80],
      rows: calls.map((c) => [sayPlay(c.scheme, c.side), String(c.clean.of), String(c.clean.good)]),
    },
    { kind: 'heading', text: 'Who lost' },
    {
      kind: 'table',
      head: ['Place', 'Times', 'Against'],
      widths: [50, 50, '*'],
      rows: lost.map((l) => [{ strong: l.seat }, String(l.times), l.against.join(', ')]),
    },
  ],
});
