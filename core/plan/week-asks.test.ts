import { describe, expect, it } from 'vitest';
import { asksOf, type WeekCounts } from './week-asks';

const NOTHING: WeekCounts = {
  ...{ men: 12, games: 3, graded: [], unlogged: [], questions: 0, ruleQuestions: 0, looseFilms: 0 },
  next: {
    ...{ gameId: 6, opponent: 'Quillport Terns', week: 6, playedOn: '2026-11-28', plays: 9, looks: 5 },
    days: [{ day: '2026-11-24', lines: 8 }],
  },
};
const says = (part: Partial<WeekCounts>): string[] =>
  asksOf({ ...NOTHING, ...part }, '2026-11-25').map((a) => `${a.says} ${a.act}: ${a.to}`);
const game = (part: Partial<WeekCounts['graded'][number]>) => ({
  ...{ gameId: 5, opponent: 'Fennick Otters', week: 5, snaps: 24, ungraded: 0, published: true, nextSnap: null },
  ...part,
});

describe('what the week asks', () => {
  it('is nothing when everything is done', () => {
    expect(says({})).toEqual([]);
    expect(says({ graded: [game({})], next: null })).toEqual([]);
  });

  it.each<[string, Partial<WeekCounts>, string[]]>([
    [
      'a program that has just begun',
      { men: 0, games: 0, next: null },
      [
        'Nobody is on the roster. Write the men down: /team/roster',
        'No game is in the schedule. Write down whom you play: /team/season',
      ],
    ],
    [
      'grades',
      { graded: [game({ ungraded: 13, nextSnap: 77 }), game({ gameId: 4, published: false })] },
      [
        'Week 5, Fennick Otters: 13 of 24 snaps without a mark. Go on grading: /film/77',
        'Week 5, Fennick Otters: graded, and its players cannot see it. Open it to them: /book/grading',
      ],
    ],
    [
      'a game that was played',
      { unlogged: [{ gameId: 9, opponent: 'Saltmarsh Union', week: 4 }] },
      ['Week 4, Saltmarsh Union: played, and no snap is logged. Log it: /film/log/9'],
    ],
    ['film', { looseFilms: 1 }, ['1 film belongs to no snap yet. Put it in: /film/in']],
    [
      'questions',
      { questions: 1, ruleQuestions: 2 },
      [
        '1 player’s question unanswered. Answer: /book/grading',
        '2 questions about rules from grading. Settle: /book/grading',
      ],
    ],
    [
      'a week without a plan',
      { next: { ...NOTHING.next!, plays: 0, days: [] } },
      [
        'No play is chosen for the Quillport Terns. Choose plays: /week/plan?game=6',
        'No day of practice is in the week. Say when you practise: /week/practice?game=6',
      ],
    ],
    [
      'a plan without looks',
      { next: { ...NOTHING.next!, looks: 0 } },
      ['Nobody has said what the Quillport Terns show. Choose looks: /week/plan?game=6'],
    ],
  ])('%s', (_what, part, expected) => expect(says(part)).toEqual(expected));

  it('asks for no day that is over', () => {
    const days = [
      { day: '2026-11-24', lines: 0 },
      { day: '2026-11-25', lines: 0 },
      { day: '2026-11-27', lines: 0 },
    ];
    expect(says({ next: { ...NOTHING.next!, days } })).toEqual([
      '2 days of practice not planned yet. Plan them: /week/practice?game=6',
    ]);
    expect(says({ next: { ...NOTHING.next!, days: days.slice(0, 1) } })).toEqual([]);
  });
});
