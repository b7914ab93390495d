import { describe, expect, it } from 'vitest';
import { ref } from 'vue';
import { attempting } from './attempt';
import { RequestProblem } from './request';

const fail = (problem: Error) => () => Promise.reject(problem);

describe('what talks to the server', () => {
  it('is done, or says what went wrong; the next try begins clean', async () => {
    const problem = ref('old');
    const attempt = attempting(problem);
    expect(await attempt(fail(new RequestProblem('No.', 409)))).toBe(false);
    expect(problem.value).toBe('No.');
    expect(await attempt(async () => expect(problem.value).toBe(''))).toBe(true);
    expect(problem.value).toBe('');
  });

  it('says that nothing is lost when the server cannot be reached, and only then', async () => {
    const problem = ref('');
    const attempt = attempting(problem, 'It is still here.');
    await attempt(fail(new RequestProblem('Away.', null)));
    expect(problem.value).toBe('Away. It is still here.');
    await attempt(fail(new RequestProblem('Full.', 507)));
    expect(problem.value).toBe('Full. It is still here.');
    await attempt(fail(new RequestProblem('Taken.', 409)));
    expect(problem.value).toBe('Taken.');
  });

  it('writes over nothing when it fails after nobody wants it any more', async () => {
    const problem = ref('');
    const attempt = attempting(problem);
    let [isWanted, arrive] = [true, () => {}];
    const early = attempt(
      () => new Promise((_, no) => (arrive = () => no(new RequestProblem('Late.', 500)))),
      () => isWanted,
    );
    isWanted = false;
    expect(await attempt(fail(new RequestProblem('No.', 409)), () => true)).toBe(false);
    arrive();
    expect([await early, problem.value]).toEqual([false, 'No.']);
  });

  it('lets mistakes of ours through', async () => {
    await expect(attempting(ref(''))(fail(new TypeError('oops')))).rejects.toThrow('oops');
  });
});
