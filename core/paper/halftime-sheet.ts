import { howMany } from '../vocabulary/how-many';
import { letGo, type SignSeen } from '../night/signs';
import type { NightSummary, TheirWins } from '../night/summary';
import type { Sheet } from './sheet';

const percent = (share: number | null): string => (share === null ? 'not expected' : `${Math.round(100 * share)} %`);

/** What the first half was, on one sheet: forecast against seen, calls, and who lost to what. */
export const halftimeSheet = (
  { snaps, looks, calls, lost }: NightSummary,
  {
    title,
    stamp,
    sayPlay,
    wins,
    sound,
    signs,
  }: {
    title: string;
    stamp: string;
    sayPlay: (scheme: string, side: string) => string;
    wins: readonly TheirWins[];
    sound: readonly { readonly play: string; readonly good: number; readonly of: number }[];
    signs: readonly SignSeen[];
  },
): Sheet => ({
  title: 'Halftime',
  subtitle: `${title}. ${howMany(snaps, 'snap')} as ${snaps === 1 ? 'it was' : 'they were'} tapped`,
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
    ...signsPart(signs, sayPlay),
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
    { kind: 'heading', text: 'Who of theirs wins' },
    {
      kind: 'table',
      head: ['He', 'Times', 'Against'],
      widths: [50, 50, '*'],
      rows: wins.map((w) => [{ strong: w.defender }, String(w.times), w.against.join(', ')]),
    },
    { kind: 'heading', text: 'What holds against what they show' },
    {
      kind: 'table',
      head: ['Call', 'Sound on'],
      widths: ['*', 90],
      rows: sound.map((s) => [s.play, `${s.good} of ${howMany(s.of, 'snap')}`]),
    },
  ],
});

/** Their signs: nothing where the plan has none. */
const signsPart = (signs: readonly SignSeen[], sayPlay: (scheme: string, side: string) => string): Sheet['parts'] =>
  signs.length === 0
    ? []
    : [
        { kind: 'heading', text: 'Their signs' },
        {
          kind: 'table',
          head: ['Sign', 'Its play', 'Seen', 'Answered', 'Nobody lost then'],
          widths: ['*', '*', 40, 60, 90],
          rows: signs.map((s) => [
            letGo(s) > 0 ? { strong: s.sign } : s.sign,
            s.plays.map((p) => sayPlay(p.scheme, p.side)).join(' or '),
            String(s.answered.of),
            String(s.answered.good),
            String(s.clean.good),
          ]),
        },
      ];
