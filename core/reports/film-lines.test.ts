import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FilmView } from '../model/film';
import { sayByClock, sayBytes, sayFilm, sayFilmsHere, sayNumbers, sayShowByClock } from './film-lines';

const FILM: FilmView = {
  id: 1,
  name: 'snap 3 sideline.mp4',
  kind: 'own game',
  state: 'ready',
  bytes: 1,
  gameId: 1,
  progress: 1,
  problem: '',
  facts: {
    container: 'mov',
    codec: 'h264',
    width: 1280,
    height: 720,
    rate: 30_000 / 1001,
    even: true,
    frames: 90,
    duration: 3.003,
    pixels: 'yuv420p',
    keyEvery: 15,
    sound: false,
  },
  rewritten: [],
  cut: false,
  snap: null,
};

describe('films in words', () => {
  it('a ready one says what it is, and why it was written anew', () => {
    expect(sayFilm(FILM)).toBe('1280 by 720, 29.97 frames a second, 3.0 s.');
    expect(sayFilm({ ...FILM, rewritten: ['no browser opens avi files', 'it is huge'] })).toContain(
      'because no browser opens avi files and it is huge; the file as it came is kept.',
    );
  });

  it('one on its way says how far it is, one that was refused why', () => {
    expect(sayFilm({ ...FILM, state: 'working', progress: 0 })).toBe('Is looked into.');
    expect(sayFilm({ ...FILM, state: 'working', progress: 0.999 })).toContain('99 %');
    expect(sayFilm({ ...FILM, state: 'refused', problem: 'No film.' })).toBe('No film.');
    expect(sayFilm({ ...FILM, state: 'cancelled' })).toContain('kept');
    expect(sayFilm({ ...FILM, state: 'waiting' })).toContain('next');
  });

  it.each([
    [10, '1 kB'],
    [2_600_000, '2.6 MB'],
    [48_000_000, '48 MB'],
    [1_234_000_000, '1.2 GB'],
  ])('%d bytes are %s', (bytes, says) => {
    expect(sayBytes(bytes)).toBe(says);
  });

  it('numbers are drawn together, and every one can be read back', () => {
    expect(sayNumbers([3, 9, 5, 6, 7, 8, 12])).toBe('3, 5 to 9 and 12');
    expect(sayNumbers([4, 5])).toBe('4 and 5');
    expect(sayNumbers([])).toBe('');
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 60 })), (numbers) => {
        const read = [...sayNumbers(numbers).matchAll(/(\d+)(?: to (\d+))?/g)].flatMap(([, from, to]) =>
          Array.from({ length: Number(to ?? from) - Number(from) + 1 }, (_, i) => Number(from) + i),
        );
        expect(read).toEqual([...numbers].sort((a, b) => a - b));
      }),
    );
  });
});

describe('what the clock says', () => {
  it('is which snap, and by which film', () => {
    expect(sayByClock(7, 'C0047.MP4')).toBe('By the clock snap 7, shot beside C0047.MP4.');
    expect([sayFilmsHere(1, 1, 1), sayFilmsHere(9, 4, 60)]).toEqual([
      '1 film, 1 of 1 snap shown by it',
      '9 films, 4 of 60 snaps shown by them',
    ]);
    expect([1, 4].map(sayShowByClock)).toEqual(['Show one film by the clock', 'Show 4 films by the clock']);
  });
});
