import { describe, expect, it } from 'vitest';
import { effectScope } from 'vue';
import type { FollowJob, FromFollower, Picture, ToFollower } from '~/workers/following';
import type { Wrong } from '~/workers/talk';
import { useFollowFilm, type FollowerLike } from './follow-film';

const JOB: FollowJob = { starts: [], cameras: [], framesPerSecond: 30, asked: {} };
const picture: Picture = { width: 1, height: 1, data: new Uint8ClampedArray(4) };
const pictures = async () => [picture];

/** A follower that answers as it is told to, and remembers what it heard. */
class Stand implements FollowerLike {
  onmessage: FollowerLike['onmessage'] = null;
  onerror: FollowerLike['onerror'] = null;
  readonly heard: ToFollower['kind'][] = [];
  ended = false;
  constructor(
    private readonly answer: (message: ToFollower, count: number) => FromFollower | Wrong | 'silence' | 'breaks',
  ) {}
  postMessage(message: ToFollower): void {
    this.heard.push(message.kind);
    const said = this.answer(message, this.heard.length);
    if (said === 'breaks') queueMicrotask(() => this.onerror?.({ message: 'no memory' }));
    else if (said !== 'silence') queueMicrotask(() => this.onmessage?.({ data: said }));
  }
  terminate(): void {
    this.ended = true;
  }
}
const willing = (message: ToFollower, done: number): FromFollower =>
  message.kind === 'end' ? { kind: 'tracks', tracks: [], carried: [] } : { kind: 'next', done };

describe('following a film', () => {
  it('sends the job, then one frame after the other, and gives everybody’s way', async () => {
    const stand = new Stand(willing);
    const follower = useFollowFilm(() => stand);
    const asked: number[] = [];
    const tracks = await follower.follow(JOB, 4, async (f) => (asked.push(f), [picture]));
    expect(tracks).toEqual({ kind: 'tracks', tracks: [], carried: [] });
    expect(stand.heard).toEqual(['begin', 'frame', 'frame', 'frame', 'end']);
    expect(asked).toEqual([0, 1, 2, 3]);
    expect([follower.progress.value, follower.running.value, stand.ended]).toEqual([1, false, true]);
  });
  it('sends one frame and takes another while one is looked at, and no more', async () => {
    const stand = new Stand((m, n) => (n >= 2 ? 'silence' : willing(m, n)));
    const follower = useFollowFilm(() => stand);
    const asked: number[] = [];
    const result = follower.follow(JOB, 60, async (f) => (asked.push(f), [picture]));
    await expect.poll(() => asked.length).toBe(4);
    await new Promise((done) => setTimeout(done, 5));
    expect([asked, stand.heard]).toEqual([
      [0, 1, 2, 3],
      ['begin', 'frame', 'frame'],
    ]);
    follower.stop();
    await result;
  });
  it('says so when a frame fails that was taken ahead, not before the one that is looked at is done', async () => {
    const follower = useFollowFilm(() => new Stand(willing));
    const progress: number[] = [];
    const result = await follower.follow(JOB, 3, async (f) => {
      progress.push(follower.progress.value);
      if (f === 2) throw new Error('The film is gone.');
      return [picture];
    });
    expect([result, follower.problem.value, follower.progress.value]).toEqual([
      null,
      'Following stopped: The film is gone.',
      0.5,
    ]);
  });
  it('lets nobody hear of a frame that fails after it was stopped', async () => {
    const stand = new Stand((m, n) => (n === 2 ? 'silence' : willing(m, n)));
    const follower = useFollowFilm(() => stand);
    const missed: unknown[] = [];
    const hear = (reason: unknown): void => void missed.push(reason);
    process.on('unhandledRejection', hear);
    let fail: (reason: Error) => void = () => {};
    const result = follower.follow(JOB, 60, (f) => (f < 2 ? pictures() : new Promise((_, failed) => (fail = failed))));
    await expect.poll(() => stand.heard.length).toBe(2);
    follower.stop();
    expect(await result).toBeNull();
    fail(new Error('too late'));
    await new Promise((done) => setTimeout(done, 0));
    process.off('unhandledRejection', hear);
    expect([missed, follower.problem.value]).toEqual([[], '']);
  });
  it('stops between frames when told, without a word of trouble', async () => {
    const stand = new Stand((m, n) => (n > 2 ? 'silence' : willing(m, n)));
    const follower = useFollowFilm(() => stand);
    const result = follower.follow(JOB, 60, pictures);
    await expect.poll(() => stand.heard.length).toBe(4);
    follower.stop();
    expect(await result).toBeNull();
    expect([follower.problem.value, follower.running.value, stand.ended]).toEqual(['', false, true]);
  });
  it.each([
    [
      'says what went wrong',
      () => ({ kind: 'wrong', message: 'bad picture' }) as const,
      'Following stopped: bad picture',
    ],
    ['breaks', () => 'breaks' as const, 'Following stopped: no memory'],
  ])('says why when the follower %s', async (_, answer, says) => {
    const follower = useFollowFilm(() => new Stand(answer));
    expect(await follower.follow(JOB, 3, pictures)).toBeNull();
    expect(follower.problem.value).toBe(says);
  });
  it('has a follower ready who then follows, and only one', async () => {
    const stand = new Stand((m, n) => (m.kind === 'prepare' ? { kind: 'ready' } : willing(m, n)));
    let made = 0;
    const follower = useFollowFilm(() => (made++, stand));
    follower.prepare(2);
    follower.prepare(2);
    expect(await follower.follow(JOB, 2, pictures)).not.toBeNull();
    expect([made, stand.heard]).toEqual([1, ['prepare', 'begin', 'frame', 'end']]);
  });
  it('says why when the follower who should be ready could not start', async () => {
    const follower = useFollowFilm(() => new Stand(() => 'breaks'));
    follower.prepare(2);
    await new Promise((done) => setTimeout(done, 0));
    expect(await follower.follow(JOB, 3, pictures)).toBeNull();
    expect(follower.problem.value).toBe('Following stopped: no memory');
  });
  it('keeps nobody when the page goes, neither who is ready nor who follows', async () => {
    const [idle, busy] = [new Stand(() => ({ kind: 'ready' })), new Stand(() => 'silence')];
    for (const stand of [idle, busy]) {
      const page = effectScope();
      const follower = page.run(() => useFollowFilm(() => stand))!;
      const following = stand === busy ? follower.follow(JOB, 3, pictures) : follower.prepare(1);
      page.stop();
      expect(await following).toBeFalsy();
    }
    expect([idle.ended, busy.ended]).toEqual([true, true]);
  });
  it('says so when the film gives no picture', async () => {
    const follower = useFollowFilm(() => new Stand(willing));
    await follower.follow(JOB, 3, async () => Promise.reject(new Error('The film is gone.')));
    expect(follower.problem.value).toBe('Following stopped: The film is gone.');
  });
  it('ends what was being followed when something else is', async () => {
    const first = new Stand(() => 'silence');
    const second = new Stand((m, n) => (n > 1 ? 'silence' : willing(m, n)));
    const stands = [first, second];
    const follower = useFollowFilm(() => stands.shift()!);
    const one = follower.follow(JOB, 3, pictures);
    const two = follower.follow(JOB, 3, pictures);
    expect(await one).toBeNull();
    expect([first.ended, second.ended, follower.running.value]).toEqual([true, false, true]);
    follower.stop();
    expect(await two).toBeNull();
    expect([second.ended, follower.running.value]).toEqual([true, false]);
  });
});
