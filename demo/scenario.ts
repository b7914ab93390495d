import type { FaultId } from '#core/model/faults';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { Cut } from '#core/film/log/cut';
import type { FilmNote } from '#core/model/film-note';
import { FIRST_SNAP } from '#core/film/log/series';
import type { Call, ClipBody, Situation } from '#core/model/snap';
import type { Angle } from '#core/model/angle';
import type { Side } from '#core/model/side';
import { demoCall, type DemoFormation, type DemoFront } from './calls';
import film from './film/film.json';

/** The made-up program, its people and its accounts. Nobody here exists. */
export const DEMO_PROGRAM = {
  name: 'Larkhollow Lanterns',
  season: 'Nine Bridges League 2026',
  opponent: 'Fennick Otters',
  week: 5,
} as const;

export const DEMO_ROSTER = [
  { name: 'Osric Tallow', number: 72, seat: 'LT' },
  { name: 'Bram Wicken', number: 64, seat: 'LG' },
  { name: 'Jory Pell', number: 55, seat: 'C' },
  { name: 'Anselm Rook', number: 61, seat: 'RG' },
  { name: 'Dov Harrow', number: 77, seat: 'RT' },
  { name: 'Kit Merriman', number: 84, seat: 'Y' },
  { name: 'Tobin Ash', number: 40, seat: 'H' },
  { name: 'Lyle Venn', number: 28, seat: 'B' },
  { name: 'Perrin Oakes', number: 36, seat: 'F' },
  { name: 'Cass Holloway', number: 9, seat: 'QB' },
  { name: 'Hale Corrin', number: 66, seat: '' },
  { name: 'Emmet Sloe', number: 78, seat: '' },
] as const;

/** Who came in for whom in the game, and who had to change his jersey; by their numbers on the roster. */
export const DEMO_LINEUP = {
  seats: [
    { from: 9, seat: 'LG', player: 66 },
    { from: 17, seat: 'LG', player: 64 },
  ],
  jerseys: [{ from: 17, player: 40, number: 44 }],
} as const;

export const DEMO_ACCOUNTS = [
  { email: 'coach@lanterns.example', password: 'lantern-coach', name: 'Maren Quill', role: 'coach', number: null },
  {
    email: 'assistant@lanterns.example',
    password: 'lantern-assistant',
    name: 'Theo Brandt',
    role: 'assistant',
    number: null,
  },
  { email: 'player@lanterns.example', password: 'lantern-player', name: 'Jory Pell', role: 'player', number: 55 },
  { email: 'reader@lanterns.example', password: 'lantern-reader', name: 'Una Falk', role: 'reader', number: null },
] as const;

/** Fronts seen on the opponents' film, and one rule sheet the coach has made his own. */
export const DEMO_FRONTS = [
  {
    opponent: 'Fennick Otters',
    text: 'front otters-wide-over "Otters, wide over"\nLE 9 left\nN 1 left\nT 3 right\nRE 9 right\nW 30 left @5\nM 10 right @4\nS (15, 11)\n',
  },
  {
    opponent: 'Fennick Otters',
    text: 'front otters-mugged "Otters, mugged A gap"\nLE 5 left\nT 3 left\nM A right @1 up lb\nN 3 right\nRE 5 right\nW 20 left\n',
  },
  {
    opponent: 'Quillport Terns',
    text: 'front terns-tite "Terns, tite with a hammer"\nLE 4i left\nN 0\nRE 4i right\nW 10 left @4\nM 10 right @4\nJ (-12, 9)\nS 9 right up lb\n',
  },
  {
    opponent: 'Graymoor Millers',
    text: 'front millers-heavy-under "Millers, heavy under"\nJ 9 left up\nLE 5 left\nT 3 left\nN 1 right\nRE 5 right\nW 10 left\nM 30 right\n',
  },
  {
    opponent: 'Saltmarsh Union',
    text: 'front union-stack "Union, stack"\nLE 5 left\nN 0\nRE 5 right\nW 50 left @4\nM 00 @4\nS 50 right @4\n',
  },
] as const;

/** The power the Lanterns run: as shipped, but the tackle closes the B gap before he doubles. */
export function demoPower(shipped: string): string {
  const rule =
    '  when the playside guard is covered head-up or outside: double him with the playside guard, then climb to L2\n';
  const gap = '  when my inside gap is filled: down on him\n';
  return shipped
    .replace('scheme power "Power"', 'scheme power-lantern "Power, Lantern way"')
    .replace(
      rule + gap,
      `  when there is a man in my inside gap who is not the man on the playside guard: down on him\n${rule}${gap}`,
    );
}

/** What was really said at the line, by snap. */
export const DEMO_SAID: Readonly<Record<number, string>> = {
  2: 'Ferry, Ferry',
  4: 'Granite left',
  6: 'Nothing was said',
  14: 'Granite, both sides',
};

/** What the coach has written and drawn on film, by snap; frames of the clip, places in shares of the picture. */
export const DEMO_NOTES: Readonly<Record<number, { angle: Angle; note: FilmNote }>> = {
  5: {
    angle: 'end zone',
    note: {
      frame: 34,
      until: 64,
      text: 'Too deep round the end: flat down the line, and look inside first',
      shapes: [
        {
          kind: 'arrow',
          at: [
            { x: 0.56, y: 0.52 },
            { x: 0.4, y: 0.47 },
          ],
        },
        { kind: 'spot', at: [{ x: 0.44, y: 0.38 }] },
      ],
      players: true,
    },
  },
};

/** Cuts the coach has kept. */
export const DEMO_CUTS: readonly { name: string; cut: Cut }[] = [
  { name: 'Doubles of the right guard', cut: { man: ['RG'], block: ['double'] } },
  { name: 'Teaching reel: doubles as they should be', cut: { block: ['double'], mark: ['did his job'] } },
  { name: 'Power against over', cut: { play: ['power'], front: ['Over'] } },
];

/** What a man does wrong on film. */
export interface FilmFault {
  readonly man: string;
  readonly fault: FaultId;
}

export interface DemoSnap {
  readonly call: Call;
  readonly situation: Situation;
  readonly faults: readonly FilmFault[];
}

function snap(
  scheme: string,
  side: Side,
  formation: DemoFormation,
  front: DemoFront,
  [quarter, down, distance, hash, gain]: [number, number, number, Situation['hash'], number],
  faults: FilmFault[] = [],
  tags: string[] = [],
): DemoSnap {
  return {
    call: demoCall(scheme, side, formation, front, tags),
    situation: { ...FIRST_SNAP, quarter, down, distance, hash, gain },
    faults,
  };
}

/** Where each time with the ball began: at which snap, and how far from the goal line. */
const SERIES = [
  { snap: 1, toGoal: 72 },
  { snap: 7, toGoal: 75 },
  { snap: 17, toGoal: 60 },
  { snap: 23, toGoal: 81 },
] as const;

/** Gives each snap its series and the place of the ball, from where the series began and what was gained since. */
function placed(snaps: readonly DemoSnap[]): DemoSnap[] {
  return snaps.map((one, i) => {
    const at = SERIES.findLastIndex(({ snap: first }) => first <= i + 1);
    const { snap: first, toGoal } = SERIES[at]!;
    const gained = snaps.slice(first - 1, i).reduce((sum, { situation }) => sum + situation.gain, 0);
    const isThrow = one.call.scheme.startsWith('pro-');
    const result = isThrow ? 'incomplete' : 'went on';
    return { ...one, situation: { ...one.situation, series: at + 1, toGoal: toGoal - gained, result } };
  });
}

/** One short game: every snap is filmed from both ends of the same run of the play. */
export const DEMO_SNAPS: readonly DemoSnap[] = placed([
  snap('inside-zone-z1', 'right', 'Five-man', 'Over', [1, 1, 10, 'left', 5]),
  snap('inside-zone-z1', 'left', 'Five-man', 'Over', [1, 2, 5, 'left', 2], [{ man: 'LG', fault: 'left-late' }]),
  snap('power', 'right', 'H right', 'Over', [1, 3, 3, 'middle', 6]),
  snap(
    'inside-zone-z2',
    'right',
    'Tight end right',
    'Under',
    [1, 1, 10, 'right', 4],
    [{ man: 'C', fault: 'high-pads' }],
  ),
  snap(
    'power',
    'left',
    'H left',
    'Odd',
    [1, 2, 6, 'right', -1],
    [
      { man: 'RG', fault: 'too-deep' },
      { man: 'H', fault: 'missed' },
    ],
  ),
  snap('inside-zone-z1', 'right', 'Five-man', 'Tite', [1, 3, 7, 'right', 3], [{ man: 'RT', fault: 'left-early' }]),
  snap('inside-zone-z2', 'left', 'Five-man', 'Over', [2, 1, 10, 'middle', 7]),
  snap(
    'power',
    'right',
    'Tight end and H right',
    'Over, walked up',
    [2, 2, 3, 'left', 4],
    [{ man: 'RG', fault: 'false-step' }],
  ),
  snap('inside-zone-z1', 'right', 'H right', 'Odd', [2, 1, 10, 'left', 1], [{ man: 'LT', fault: 'missed' }], ['split']),
  snap('power', 'right', 'H right', 'Under', [2, 2, 9, 'left', 8]),
  snap('inside-zone-z2', 'right', 'Five-man', 'Bear', [2, 3, 1, 'middle', 2], [{ man: 'LG', fault: 'false-step' }]),
  snap('power', 'left', 'H left', 'Over', [2, 1, 10, 'middle', 3], [{ man: 'RT', fault: 'fell' }]),
  snap('inside-zone-z1', 'left', 'Tight end right', 'Under', [2, 2, 7, 'right', 12]),
  snap(
    'power',
    'right',
    'H right',
    'Bear',
    [2, 1, 10, 'right', 2],
    [
      { man: 'C', fault: 'high-pads' },
      { man: 'RG', fault: 'wrong-track' },
    ],
  ),
  snap('power', 'right', 'H right', 'Over, tackle slants in', [2, 2, 8, 'right', 3]),
  snap('pro-five-back', 'right', 'One back behind', 'Over, end loops', [2, 3, 5, 'middle', 0]),
  snap('counter-gt', 'right', 'Tight end right', 'Over', [3, 1, 10, 'middle', 6]),
  snap('outside-zone', 'left', 'Tight end right', 'Over', [3, 2, 4, 'left', 4], [{ man: 'LT', fault: 'wrong-man' }]),
  snap('duo', 'right', 'Tight end right', 'Under', [3, 1, 10, 'middle', 3]),
  snap('pin-pull-any', 'right', 'Tight end right', 'Over', [3, 2, 7, 'right', 5], [{ man: 'C', fault: 'missed' }]),
  snap('short-trap', 'right', 'Five-man', 'Over', [3, 3, 2, 'right', 4], [{ man: 'LG', fault: 'wrong-man' }]),
  snap('pro-half-slide', 'right', 'One back behind', 'Over, Mike in the A gap', [4, 2, 8, 'middle', 0]),
  snap(
    'power',
    'left',
    'H left',
    'Over, line slants right',
    [4, 1, 10, 'left', 3],
    [{ man: 'LG', fault: 'wrong-man' }],
  ),
  snap('inside-zone-z1', 'right', 'Five-man', 'Odd, edge', [4, 2, 7, 'left', 2], [{ man: 'RG', fault: 'high-pads' }]),
]);

const minus = (fault: FaultId, note = '', more: Partial<Grade> = {}): Grade => ({
  ...ALL_PLUS,
  technique: 'minus',
  faults: [fault],
  note,
  ...more,
});
const wrong = (fault: FaultId, note = ''): Grade => ({ ...ALL_PLUS, assignment: 'wrong', faults: [fault], note });

const LINE = ['LT', 'LG', 'C', 'RG', 'RT'];
const graded = (men: readonly string[], exceptions: Record<string, Grade> = {}): { blocker: string; grade: Grade }[] =>
  men.map((blocker) => ({ blocker, grade: exceptions[blocker] ?? ALL_PLUS }));

/** The first half is graded already, so that the book has something to show and the film something left to do. */
export const DEMO_GRADES: Readonly<Record<number, { blocker: string; grade: Grade }[]>> = {
  1: graded(LINE),
  2: graded(LINE, { LG: minus('left-late', 'Stayed on the nose until W was past him.') }),
  3: graded([...LINE, 'H']),
  4: graded([...LINE, 'Y'], { C: minus('high-pads', '', { phases: { start: 'done', drive: 'not' } }) }),
  5: graded([...LINE, 'H'], {
    RG: minus('too-deep'),
    H: minus('missed', 'Head down, never saw him.', { outcome: 'not', consequence: 'fatal', phases: { fit: 'not' } }),
  }),
  6: graded(LINE, {
    RT: minus('left-early'),
    C: { ...ALL_PLUS, assignment: 'cannot tell', note: 'Ask him: did he hear the call?' },
  }),
  7: graded(LINE, { LT: wrong('wrong-man') }),
};

export const demoClipFile = (number: number, angle: Angle): string =>
  `snap-${String(number).padStart(2, '0')}-${angle.replace(' ', '-')}.webm`;

/** Frames of a clip as the cameras wrote them down. */
export function demoClip(number: number): ClipBody {
  const clip = (film as ClipBody[])[number - 1];
  if (!clip) throw new Error(`the demo film has no snap ${number}; remake it with "npm run film"`);
  return clip;
}
