import { ref } from 'vue';
import { describe, expect, it } from 'vitest';
import { attempting } from './attempt';
import { comingPart } from './part';

describe('a part that comes when it is asked for', () => {
  it('is there when it has come', async () => {
    expect(await comingPart(Promise.resolve({ leave: 1 }))).toEqual({ leave: 1 });
  });

  it('says that the server cannot be reached where it does not come, as any request does', async () => {
    const problem = ref('');
    const failed = new TypeError('Failed to fetch dynamically imported module');
    const done = await attempting(
      problem,
      'Nothing is lost.',
    )(async () => {
      await comingPart(Promise.reject(failed));
    });
    expect([done, problem.value]).toEqual([false, 'The server cannot be reached. Nothing is lost.']);
  });
});
