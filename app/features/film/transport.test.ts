import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nextTick, ref, shallowRef } from 'vue';
import type { FixedMoment } from '#core/film/frames';
import { seekTime } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import { useTransport, type Shown } from './transport';

/** A player without pictures: `shows` says which frame has come up, as a browser would. */
class FakeVideo {
  currentTime = 0;
  playbackRate = 1;
  ended = false;
  readyState = 4;
  playing = false;
  private waiting: ((now: number, picture: { mediaTime: number }) => void)[] = [];
  play = async (): Promise<void> => void (this.playing = true);
  pause = (): void => void (this.playing = false);
  requestVideoFrameCallback = (told: FakeVideo['waiting'][number]): void => void this.waiting.push(told);
  private onSeeked = new Set<() => void>();
  addEventListener = (_what: 'seeked', told: () => void): void => void this.onSeeked.add(told);
  /** The picture that was sought is there. */
  seeked(): void {
    const told = [...this.onSeeked];
    this.onSeeked.clear();
    for (const one of told) one();
  }
  shows(frame: number, rate: number): void {
    const told = this.waiting;
    this.waiting = [];
    for (const one of told) one(0, { mediaTime: frame / rate });
  }
}
const clip = (change: Partial<ClipBody> = {}): ClipBody => ({
  framesPerSecond: 30,
  frames: 120,
  snapFrame: 30,
  contactFrame: 40,
  whistleFrame: 100,
  ...change,
});
function pair(one = clip(), other = clip({ snapFrame: 45 }), lockedAt: FixedMoment = 'snap') {
  const [lead, second] = [new FakeVideo(), new FakeVideo()];
  const as = (c: ClipBody, video: FakeVideo): Shown => ({ clip: c, video: video as unknown as HTMLVideoElement });
  const shown = shallowRef<readonly Shown[]>([as(one, lead), as(other, second)]);
  return { shown, lead, second, transport: useTransport(shown, ref(lockedAt)) };
}

/** Until both players have answered. */
const begun = (): Promise<void> => new Promise((done) => setTimeout(done));

describe('two pictures of one snap', () => {
  it('show the same moment, counted from the snap of each', () => {
    const frame = fc.integer({ min: -20, max: 200 });
    fc.assert(
      fc.property(frame, (to) => {
        const { transport, lead, second } = pair();
        transport.seek(to);
        const here = Math.max(0, Math.min(119, to));
        expect(transport.frame.value).toBe(here);
        expect(lead.currentTime).toBeCloseTo(seekTime(here, 30));
        expect(second.currentTime).toBeCloseTo(seekTime(Math.min(119, here + 15), 30));
      }),
    );
  });

  it('say which frame is to be seen once its picture is there, however many were sought meanwhile', async () => {
    const { transport, lead, second } = pair();
    transport.seek(50);
    transport.seek(51);
    second.seeked();
    expect([transport.frame.value, transport.seen.value]).toEqual([51, 0]);
    lead.seeked();
    expect(transport.seen.value).toBe(51);
    transport.toggle();
    await begun();
    lead.shows(60, 30);
    expect(transport.seen.value).toBe(60);
  });

  it('say the frame at once where there is no picture to wait for', () => {
    const { transport, lead, shown } = pair();
    lead.readyState = 0;
    transport.seek(50);
    expect(transport.seen.value).toBe(50);
    transport.change(shown.value[0]!.clip, shown.value[1]!.clip);
    expect(transport.seen.value).toBe(65);
    shown.value = [];
    transport.seek(3);
    expect(transport.seen.value).toBe(transport.frame.value);
  });

  it('jump to what is marked on the one that leads', () => {
    const { transport, shown } = pair();
    transport.jump('contact');
    expect(transport.frame.value).toBe(40);
    transport.change(shown.value[0]!.clip, shown.value[1]!.clip);
    expect(transport.frame.value).toBe(55);
  });

  it('jump to the throw where it is marked, and stay where it is not', () => {
    const { transport } = pair(clip({ throwFrame: 77 }));
    transport.jump('throw');
    expect(transport.frame.value).toBe(77);
    const unmarked = pair().transport;
    unmarked.seek(31);
    unmarked.jump('throw');
    expect(unmarked.frame.value).toBe(31);
  });

  it('run from end to end once', async () => {
    const { transport, lead, second } = pair();
    transport.toggle();
    await begun();
    expect([lead.playing, second.playing]).toEqual([true, true]);
    lead.shows(60, 30);
    expect(transport.frame.value).toBe(60);
    expect(second.currentTime).toBeCloseTo(seekTime(75, 30));
    lead.shows(119, 30);
    expect([transport.playing.value, lead.playing]).toEqual([false, false]);
  });

  it('run over and over from a moment before the snap to the whistle', async () => {
    const { transport, lead } = pair();
    transport.looping.value = true;
    transport.jump('snap');
    transport.toggle();
    await begun();
    lead.shows(99, 30);
    expect(transport.frame.value).toBe(99);
    lead.shows(100, 30);
    expect(transport.frame.value).toBe(12);
    expect(transport.playing.value).toBe(true);
  });

  it('show the same moment from the contact of each, when they are locked there', () => {
    const { transport, second } = pair(clip(), clip({ contactFrame: 62, framesPerSecond: 60 }), 'contact');
    transport.jump('contact');
    expect(second.currentTime).toBeCloseTo(seekTime(62, 60));
    transport.seek(45);
    expect(second.currentTime).toBeCloseTo(seekTime(72, 60));
  });

  it('show nothing but the play when that is asked for, and say when it is over', async () => {
    const { transport, lead } = pair();
    transport.playOnly.value = true;
    transport.playAnew();
    await begun();
    expect([transport.frame.value, transport.playing.value]).toEqual([12, true]);
    lead.shows(99, 30);
    expect([transport.playing.value, transport.ends.value]).toEqual([true, 0]);
    lead.shows(100, 30);
    expect([transport.playing.value, transport.ends.value]).toEqual([false, 1]);
  });

  it('a follower that drifts is pulled back, one that is with it is left alone', async () => {
    const { transport, lead, second } = pair();
    transport.toggle();
    await begun();
    second.currentTime = seekTime(76, 30);
    lead.shows(60, 30);
    expect(second.currentTime).toBeCloseTo(seekTime(76, 30));
    second.currentTime = seekTime(90, 30);
    lead.shows(61, 30);
    expect(second.currentTime).toBeCloseTo(seekTime(76, 30));
  });

  it('of another snap begin at its first frame; another one leading keeps the moment', async () => {
    const { transport, shown } = pair();
    transport.seek(50);
    shown.value = [...shown.value].reverse();
    await nextTick();
    expect(transport.frame.value).toBe(50);
    shown.value = pair().shown.value;
    await nextTick();
    expect(transport.frame.value).toBe(0);
  });

  it('play at full, half and quarter speed, and full again', () => {
    const { transport, lead, second } = pair();
    const speeds = [1, 2, 3].map(() => {
      transport.slower();
      return [lead.playbackRate, second.playbackRate];
    });
    expect(speeds).toEqual([
      [0.5, 0.5],
      [0.25, 0.25],
      [1, 1],
    ]);
  });
});
