import type { Ways } from '../calls/resolve-call';
import { sayHead, saySentence } from '../language/print';
import type { Resolution } from '../model/resolution';
import type { Rep } from '../model/script';
import { CALL_SITUATION_IDS, CALL_SITUATIONS } from '../model/call-situations';
import { isSamePlay, sharesOf, type WeekPlan } from '../model/week-plan';
import { callsOf } from '../plan/work-plan';
import { techniqueLines } from '../reports/technique-lines';
import { verdictSentence } from '../reports/verdict-sentence';
import { boardSvg } from './board-svg';
import { gistWords } from './gist-words';
import { cardOfPlay, likeliestLook } from './pocket-cards';
import type { Cell, Part, Sheet } from './sheet';
import { fitBand, type BandSize } from './wristband';
import { workOnce } from './work-once';

/** What the week's sheets are made from. */
export interface WeekPaper {
  readonly plan: WeekPlan;
  readonly ways: Ways;
  /** A play as it is said. */
  readonly sayPlay: (play: Pick<Rep, 'scheme' | 'side' | 'tags'>) => string;
  readonly title: string;
  readonly stamp: string;
}

/** Boards drawn of a play, the likeliest looks first. */
const MOST_BOARDS = 8;

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const isBySituation = (plays: WeekPlan['plays']): boolean => plays.some((p) => (p.when ?? []).length > 0);

/** Plays under each situation they are called in, in the sheet's order; what has none comes last. */
function bySituation(plays: WeekPlan['plays']): { heading: string; plays: number[] }[] {
  const all = plays.map((_, i) => i);
  return [
    ...CALL_SITUATION_IDS.map((id) => ({
      heading: CALL_SITUATIONS[id] as string,
      plays: all.filter((i) => plays[i]!.when?.includes(id)),
    })),
    { heading: 'At any time', plays: all.filter((i) => (plays[i]!.when ?? []).length === 0) },
  ];
}

/** Calls as they are called, with where each is good and where it is not: by look, the likeliest first; by situation where situations are said, with the signs each call answers. */
export function callSheet({ plan, ways, sayPlay, title, stamp }: WeekPaper): Sheet {
  const order = plan.looks.map((_, i) => i).sort((a, b) => plan.looks[b]!.weight - plan.looks[a]!.weight);
  const shares = sharesOf(plan.looks);
  const calls = callsOf(plan);
  const mark = (play: number, look: number): Cell => {
    const work = workOnce(calls.find((c) => c.play === play && c.look === look)!.call, ways);
    if (!work.ok) return '?';
    return {
      mark:
        work.value.resolution.verdict === 'sound'
          ? 'kept'
          : work.value.resolution.verdict === 'broken'
            ? 'missed'
            : 'untold',
    };
  };
  const throws = (play: number): boolean => {
    const scheme = ways.playbook.scheme(plan.plays[play]!.scheme);
    return scheme.ok && Boolean(scheme.value.head.throw);
  };
  const answers = plan.answers ?? [];
  // Many short tables: looks are named once above them and by a letter in each.
  const isShort = isBySituation(plan.plays);
  const nameOf = (look: number): string => `${plan.looks[look]!.frontName} ${percent(shares[look]!)}`;
  const letterOf = (i: number): string => String.fromCharCode('A'.charCodeAt(0) + i);
  const legend: Part[] = isShort
    ? [{ kind: 'text', text: order.map((l, i) => `${letterOf(i)} ${nameOf(l)}`).join('.  ') }]
    : [];
  const answersTo = (play: number): string =>
    answers
      .filter((a) => isSamePlay(plan.plays[play]!, a))
      .map((a) => (a.seen ? `${a.sign} (${a.seen})` : a.sign))
      .join('; ');
  const table = (heading: string, which: readonly number[]): Part[] =>
    which.length === 0
      ? []
      : [
          { kind: 'heading', text: heading },
          {
            kind: 'table',
            head: [
              '',
              'Call',
              'From',
              'Times',
              ...order.map((l, i) => (isShort ? letterOf(i) : nameOf(l))),
              ...(answers.length > 0 ? ['Answers'] : []),
            ],
            widths: [
              ...(answers.length > 0 ? [14, 94, 56, 30] : [16, 120, 74, 30]),
              ...order.map(() => '*' as const),
              ...(answers.length > 0 ? [96] : []),
            ],
            rows: which.map((play) => [
              String(play + 1),
              { strong: sayPlay(plan.plays[play]!) },
              plan.plays[play]!.formationName,
              String(plan.plays[play]!.times),
              ...order.map((look) => mark(play, look)),
              ...(answers.length > 0 ? [answersTo(play)] : []),
            ]),
          },
        ];
  const all = plan.plays.map((_, i) => i);
  const groups = isShort
    ? bySituation(plan.plays)
    : [
        { heading: 'Runs', plays: all.filter((p) => !throws(p)) },
        { heading: 'Throws', plays: all.filter(throws) },
      ];
  return {
    title: 'Call sheet',
    subtitle: title,
    stamp,
    parts: [
      ...legend,
      ...groups.flatMap(({ heading, plays }) => table(heading, plays)),
      {
        kind: 'text',
        text: 'Filled: sound. Dotted: at risk. Struck: broken. A question mark cannot be lined up.',
        small: true,
      },
    ],
  };
}

/** Numbers and calls for the wrist, as large as the card bears; says so where that is too small to be read. */
export function wristband({ plan, sayPlay, title, stamp }: WeekPaper, size: BandSize): Sheet {
  const lines = plan.plays.map((p, i) => `${i + 1} ${sayPlay(p)}`);
  const fit = fitBand(lines.length, Math.max(0, ...lines.map((l) => l.length)), size);
  const columns = Array.from({ length: fit.columns }, (_, c) => lines.slice(c * fit.rows, (c + 1) * fit.rows));
  const inches = (points: number): string => (points / 72).toFixed(2);
  return {
    title: 'Wristband',
    subtitle: title,
    stamp,
    parts: [
      {
        kind: 'text',
        text: fit.fits
          ? `${lines.length} calls in ${fit.type} point type on ${inches(size.width)} by ${inches(size.height)} inches. Cut along the frame.`
          : `${lines.length} calls would need ${fit.type} point type on ${inches(size.width)} by ${inches(size.height)} inches: nobody reads that. Take some out or say them shorter.`,
      },
      ...(fit.fits ? [{ kind: 'card' as const, width: size.width, height: size.height, type: fit.type, columns }] : []),
    ],
  };
}

/** How every man does it: from the ground up, as far as it is said in a line. */
function howTable(resolution: Resolution): Part {
  const rows = resolution.assignments
    .filter((a) => a.technique !== null && a.step.kind !== 'none')
    .map((a): Cell[] => {
      const lines = techniqueLines(a, resolution);
      const of = (name: string): string => lines.find((l) => l.name === name)?.says ?? '';
      return [
        { strong: a.blocker },
        ...['Stance', 'First step', 'Aim', 'Head'].map(of),
        of('Shoulder') || 'hands',
        a.call ?? '',
      ];
    });
  return {
    kind: 'table',
    head: ['', 'Stance', 'First step', 'Aim', 'Head', 'Shoulder', 'Says'],
    widths: [20, 104, 96, '*', 44, 46, 44],
    rows,
  };
}

/** Everything of one play: its rules place by place, how each man does it against the likeliest look, and up to eight of the week's looks drawn with who does what. */
export function installSheet({ plan, ways, sayPlay, title, stamp }: WeekPaper, play: number): Sheet {
  const planned = plan.plays[play]!;
  const scheme = ways.playbook.scheme(planned.scheme);
  const shares = sharesOf(plan.looks);
  const looks = plan.looks.map((_, i) => i).sort((a, b) => shares[b]! - shares[a]!);
  const boards = looks.slice(0, MOST_BOARDS).map((look): Part[] => {
    const { call } = callsOf({ plays: [planned], looks: [plan.looks[look]!] })[0]!;
    const worked = workOnce(call, ways);
    const head = `${plan.looks[look]!.frontName}, ${percent(shares[look]!)}`;
    if (!worked.ok) return [{ kind: 'heading', text: `${head}: cannot be lined up` }];
    const { formation, front, resolution } = worked.value;
    const calls = resolution.calls.map((c) => `${c.from}: ${c.word}`).join(', ');
    return [
      { kind: 'heading', text: head },
      { kind: 'picture', share: 1, svg: boardSvg({ formation, front, resolution }) },
      { kind: 'text', text: `${verdictSentence(resolution)}${calls ? ` Calls: ${calls}.` : ''}`, small: true },
    ];
  });
  const pairs: Part[] = [];
  for (let i = 0; i < boards.length; i += 2)
    pairs.push({ kind: 'columns', columns: [boards[i]!, boards[i + 1] ?? []] });
  const rules: Part[] = scheme.ok
    ? [
        {
          kind: 'table',
          head: ['Place', 'Rule'],
          widths: [110, '*'],
          rows: scheme.value.tree.sheets.map((s) => [
            { strong: s.heads.map(sayHead).join(', ') },
            s.sentences.map((sentence, i) => saySentence(sentence, i === 0)).join('\n'),
          ]),
        },
      ]
    : [];
  const likeliest = plan.looks[looks[0]!];
  const worked = likeliest && workOnce(callsOf({ plays: [planned], looks: [likeliest] })[0]!.call, ways);
  const how: Part[] = worked?.ok
    ? [{ kind: 'heading', text: `How, against ${likeliest!.frontName}` }, howTable(worked.value.resolution)]
    : [];
  return {
    title: sayPlay(planned),
    subtitle: `${planned.formationName}. ${title}`,
    stamp,
    parts: [...rules, ...how, ...pairs],
  };
}

/** Everything one place has to do in the week: play by play, look by look. */
export function assignmentSheet({ plan, ways, sayPlay, title, stamp }: WeekPaper, seat: string): Sheet {
  const rows = callsOf(plan).flatMap(({ play, call }): Cell[][] => {
    const worked = workOnce(call, ways);
    const his = worked.ok ? worked.value.resolution.assignments.find((a) => a.blocker === seat) : undefined;
    if (!his) return [];
    const { foot, kind } = his.step;
    return [
      [
        { strong: sayPlay(plan.plays[play]!) },
        call.frontName,
        gistWords(his).replace(`${seat} `, ''),
        `${foot}, ${kind}`,
        his.call ?? '',
      ],
    ];
  });
  return {
    title: `What ${seat} does`,
    subtitle: title,
    stamp,
    parts: [
      {
        kind: 'table',
        head: ['Play', 'Against', 'He', 'First step', 'Says'],
        widths: [120, 100, '*', 84, 60],
        rows,
      },
    ],
  };
}

/** What a man carries in his pocket: of every play against the likeliest look whom he has, and what he does when that one does something else. */
export function pocketSheet({ plan, ways, sayPlay, title, stamp }: WeekPaper, seat: string): Sheet {
  const cards = plan.plays.flatMap((planned, play): Part[][] => {
    const card = cardOfPlay(plan, play, seat, ways);
    if (!card) return [];
    return [
      [
        { kind: 'heading', text: sayPlay(planned) },
        { kind: 'text', text: `You: ${card.has}.` },
        {
          kind: 'table',
          head: ['If', 'then'],
          widths: [86, '*'],
          rows: card.rows.map((r) => [r.when, r.same ? 'the same' : { strong: r.does }]),
        },
      ],
    ];
  });
  const parts: Part[] = [];
  for (let i = 0; i < cards.length; i += 2) parts.push({ kind: 'columns', columns: [cards[i]!, cards[i + 1] ?? []] });
  return {
    title: `Pocket card, ${seat}`,
    subtitle: `${title}. Against ${likeliestLook(plan)?.frontName ?? ''}`,
    stamp,
    parts,
  };
}
