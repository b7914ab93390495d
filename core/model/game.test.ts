import { describe, expect, it } from 'vitest';
import { latestGame, newestPlayed, sayGame, type GameItem } from './game';
import { gameAhead } from './schedule';

const game = (id: number, snaps: number, playedOn?: string): GameItem => ({
  ...{ id, opponent: `Team ${id}`, week: id, published: false, snaps },
  ...(playedOn ? { playedOn } : {}),
});
const theirs = (item: GameItem): GameItem => ({ ...item, theirs: 'Somebody' });
const TODAY = '2026-11-28';

describe('a game in words', () => {
  it('says against whom they play, where it is one of theirs', () => {
    expect(sayGame(game(3, 0))).toBe('week 3, Team 3');
    expect(sayGame(theirs(game(3, 0)), 'Week')).toBe('Week 3, Team 3 against Somebody');
  });
});

describe('the game one means who says nothing', () => {
  it.each<[string, GameItem[], number | null]>([
    ['is the newest that is not still ahead', [game(1, 9), game(2, 0, TODAY), game(3, 0, '2026-12-05')], 2],
    ['may have no day', [game(1, 9), game(2, 0), game(3, 0, '2026-12-05')], 2],
    ['is the next one when nothing was played', [game(3, 0, '2026-12-05')], 3],
    ['is none of theirs', [game(1, 9), theirs(game(2, 9))], 1],
    ['is none without games', [], null],
  ])('for film and log %s', (_what, games, id) => expect(newestPlayed(games, TODAY)?.id ?? null).toBe(id));

  it.each<[string, GameItem[], number | null]>([
    ['is the last with snaps', [game(1, 9), game(2, 4), game(3, 0)], 2],
    ['is the last one when none has any', [game(1, 0), game(2, 0)], 2],
    ['is one of ours', [game(1, 9), game(2, 0), theirs(game(3, 9))], 1],
    ['is one of ours even without snaps', [game(1, 0), theirs(game(3, 9))], 1],
    ['is one of theirs when there is nothing else', [theirs(game(3, 9))], 3],
    ['is none without games', [], null],
  ])('for watching %s', (_what, games, id) => expect(latestGame(games)?.id ?? null).toBe(id));

  it.each<[string, { week: number; snaps: number; playedOn: string | null }[], number | null]>([
    ['is on the day itself still ahead', [{ week: 4, snaps: 0, playedOn: TODAY }], 4],
    ['is not behind once its day has passed', [{ week: 4, snaps: 0, playedOn: '2026-11-27' }], null],
    [
      'is not one without a day before those that were played',
      [
        { week: 2, snaps: 0, playedOn: null },
        { week: 3, snaps: 50, playedOn: null },
      ],
      null,
    ],
    [
      'is the first of several',
      [
        { week: 6, snaps: 0, playedOn: null },
        { week: 5, snaps: 0, playedOn: '2026-12-05' },
        { week: 3, snaps: 50, playedOn: null },
      ],
      5,
    ],
  ])('for the week %s', (_what, games, week) => expect(gameAhead(games, TODAY)?.week ?? null).toBe(week));
});
