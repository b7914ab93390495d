import { describe, expect, it } from 'vitest';
import { levelOf, newRequestId, routeOf } from './requests';

describe('a request in the log', () => {
  it.each([
    ['/api/snaps/17/grades', '/api/snaps/:id/grades', '/api/snaps/:id/grades'],
    ['/api/nothing/at/all', '/api/**', '/api/none'],
    ['/api/nothing', undefined, '/api/none'],
    ['/film/17', '/**', 'page'],
    ['/join', undefined, 'page'],
    ['/_nuxt/abc.js', '/**', 'file'],
    ['/robots.txt', '/**', 'file'],
  ])('is named by its route and not by what stands in it: %s', (path, declared, route) => {
    expect(routeOf(path, declared)).toBe(route);
  });

  it('is as loud as what came of it', () => {
    const level = (status: number, route = '/api/games') => levelOf({ status, route });
    expect([level(200), level(404), level(503), level(200, 'file'), level(200, '/api/health')]).toEqual([
      ...['info', 'info', 'error', 'debug', 'debug'],
    ]);
  });

  it('has a number of its own', () => {
    expect(new Set(Array.from({ length: 100 }, newRequestId)).size).toBe(100);
  });
});
