import { describe, expect, it } from 'vitest';
import { askFilmAhead } from './ahead';

describe('what the film asks for first', () => {
  /** What is asked for at an address, in turn; the snap is one of game 7. */
  const askedAt = async (path: string, isStaff = true): Promise<string[]> => {
    const asked: string[] = [];
    await askFilmAhead(path, Promise.resolve(isStaff), <T>(url: string) => {
      asked.push(url);
      return Promise.resolve({ gameId: 7 } as T);
    });
    return asked;
  };

  it('is the snap of the address, and its game with all its snaps', async () => {
    expect(await askedAt('/film/12')).toEqual(['/api/snaps/12', '/api/games', '/api/games/7/snaps']);
  });

  it('is the snap alone for a player, who has no list of them', async () => {
    expect(await askedAt('/film/12', false)).toEqual(['/api/snaps/12']);
  });

  it('is the snap before anybody is known', () => {
    const asked: string[] = [];
    void askFilmAhead('/film/12', new Promise<boolean>(() => undefined), <T>(url: string) => {
      asked.push(url);
      return Promise.resolve({ gameId: 7 } as T);
    });
    expect(asked).toEqual(['/api/snaps/12']);
  });

  it.each(['/film', '/film/log/12', '/film/12/more', '/walkthrough', '/'])('is nothing at %s', async (path) => {
    expect(await askedAt(path)).toEqual([]);
  });

  it('is no game where the snap is not to be had', async () => {
    const asked: string[] = [];
    const ask = <T>(url: string): Promise<T> => {
      asked.push(url);
      return url.startsWith('/api/snaps') ? Promise.reject(new Error('not yours')) : Promise.resolve([] as T);
    };
    await expect(askFilmAhead('/film/12', Promise.resolve(true), ask)).rejects.toThrow('not yours');
    expect(asked).toEqual(['/api/snaps/12', '/api/games']);
  });
});
