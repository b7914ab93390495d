import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ANGLES } from '../../model/angle';
import { readClipName } from './name';
import { planFilm } from './plan';
import { readProbe } from './probe';

/** The answer of the probing program for a film of so many even frames. */
function probed(change: { codec?: string; format?: string; times?: readonly number[]; keys?: (i: number) => boolean }) {
  const { codec = 'h264', format = 'mov,mp4,m4a', keys = (i: number) => i % 15 === 0 } = change;
  const times = change.times ?? Array.from({ length: 90 }, (_, i) => i / 30);
  return {
    streams: [{ codec_type: 'video', codec_name: codec, width: 1280, height: 720, pix_fmt: 'yuv420p' }],
    format: { format_name: format },
    packets: times.map((t, i) => ({ pts_time: t.toFixed(6), flags: keys(i) ? 'K__' : '___' })),
  };
}
const factsOf = (answer: unknown) => {
  const read = readProbe(answer);
  if (!read.ok) throw new Error(read.problem);
  return read.facts;
};

describe('what the probing program says', () => {
  it('is a rate, a count and a length', () => {
    expect(factsOf(probed({}))).toMatchObject({
      rate: 30,
      frames: 90,
      duration: 3,
      even: true,
      keyEvery: 15,
      sound: false,
    });
    const drop = Array.from({ length: 300 }, (_, i) => (i * 1001) / 30_000);
    expect(factsOf(probed({ times: drop })).rate).toBeCloseTo(29.97, 2);
  });

  it('is also when it was shot, where the file says that', () => {
    expect(factsOf(probed({}))).not.toHaveProperty('shot');
    const { format, ...rest } = probed({});
    const tagged = (creation_time: unknown) => factsOf({ ...rest, format: { ...format, tags: { creation_time } } });
    expect(tagged('2026-10-03T14:30:12.000000Z').shot).toBe('2026-10-03T14:30:12.000000Z');
    expect(tagged(7)).not.toHaveProperty('shot');
    expect(tagged('x'.repeat(5000))).not.toHaveProperty('shot');
  });

  it('does not hang on the order in which pictures are stored', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...Array(40).keys()], { minLength: 40 }), (order) => {
        const { packets, ...rest } = probed({ times: [...Array(40).keys()].map((i) => i / 50) });
        expect(factsOf({ ...rest, packets: order.map((i) => packets[i]) })).toEqual(factsOf({ ...rest, packets }));
      }),
    );
  });

  it('knows frames that do not last alike, and forgives a rounded clock', () => {
    const phone = Array.from({ length: 90 }, (_, i) => i / 30 + (i % 10 > 5 ? 0.012 : 0));
    expect(factsOf(probed({ times: phone })).even).toBe(false);
    const rounded = Array.from({ length: 90 }, (_, i) => Math.round((i / 30) * 1000) / 1000);
    expect(factsOf(probed({ times: rounded }))).toMatchObject({ even: true, rate: 30 });
  });

  it('turns a film that was filmed upright', () => {
    const answer = probed({});
    const upright = { ...answer.streams[0]!, side_data_list: [{ rotation: -90 }] };
    expect(factsOf({ ...answer, streams: [upright] })).toMatchObject({ width: 720, height: 1280 });
  });

  it.each([
    ['no film', {}, 'no film'],
    ['sound only', { ...probed({}), streams: [{ codec_type: 'audio', codec_name: 'aac' }] }, 'no moving pictures'],
    ['one picture', probed({ times: [0] }), 'single picture'],
    [
      'half a film',
      { ...probed({}), format: { format_name: 'mov,mp4', duration: '6.000' } },
      'Only the first 3.0 s of 6.0 s',
    ],
    ['pictures without times', probed({ times: [1, 1, 1] }), 'same time'],
    [
      'a cover picture',
      { ...probed({}), streams: [{ ...probed({}).streams[0], disposition: { attached_pic: 1 } }] },
      'no moving',
    ],
  ])('refuses %s in words', (_name, answer, says) => {
    expect(readProbe(answer)).toMatchObject({ ok: false, problem: expect.stringContaining(says) });
  });
});

describe('whether a film plays as it is', () => {
  const why = (change: Parameters<typeof probed>[0], more: object = {}) =>
    planFilm({ ...factsOf(probed(change)), ...more }).why.join('; ');

  it('it does when a browser shows every frame of it', () => {
    expect(why({})).toBe('');
    expect(why({ codec: 'vp9', format: 'matroska,webm' })).toBe('');
  });

  it.each([
    [{ codec: 'hevc' }, {}, 'play hevc'],
    [{ codec: 'h264', format: 'mpegts' }, {}, 'opens mpegts'],
    [{ codec: 'toString' }, {}, 'play toString'],
    [{ format: 'constructor' }, {}, 'opens constructor'],
    [{ keys: (i: number) => i === 0 }, {}, 'work through 90 frames'],
    [{}, { pixels: 'yuv422p10le' }, 'yuv422p10le'],
    [{}, { even: false }, 'last alike'],
    [{}, { rate: 240 }, '240 frames a second'],
    [{}, { width: 3840, height: 2160 }, '3840 by 2160'],
  ])('%o %o is written anew', (change, more, says) => {
    expect(why(change, more)).toContain(says);
  });

  it('keeps the shape of the picture and never enlarges it', () => {
    const size = fc.integer({ min: 16, max: 8000 });
    fc.assert(
      fc.property(size, size, (width, height) => {
        const plan = planFilm({ ...factsOf(probed({})), width, height });
        expect([plan.width % 2, plan.height % 2]).toEqual([0, 0]);
        expect(Math.max(plan.width, plan.height)).toBeLessThanOrEqual(1920);
        expect(plan.width).toBeLessThanOrEqual(width + 1);
        // Rounding to two pixels may bend a narrow strip, nothing else.
        expect(Math.abs(plan.width * height - plan.height * width)).toBeLessThanOrEqual(
          1.01 * (width + height) + 2 * Math.max(width, height),
        );
      }),
    );
  });
});

describe('what a file is called', () => {
  it.each([
    ['snap-03-end-zone.webm', 3, 'end zone'],
    ['Q2 play 12 sideline.mp4', 12, 'sideline'],
    ['07 EZ.mov', 7, 'end zone'],
    ['2026-10-11_Terns_014_SL.MP4', 14, 'sideline'],
    ['clip #9 press box.mkv', 9, 'sideline'],
    ['2026-10-03 14.30.12.mp4', null, null],
    ['20261003_143012 snap 7 EZ.mp4', 7, 'end zone'],
    ['warm up.mp4', null, null],
    ['DSC_045.MP4', null, null],
    ['IMG-0451 12 sideline.mov', 12, 'sideline'],
    ['GX010027 snap 8 end.mp4', 8, 'end zone'],
    ['mov 3 to 5, EZ, 21.mp4', 21, 'end zone'],
  ])('%s', (name, snap, angle) => {
    expect(readClipName(name)).toMatchObject({ snap, angle });
  });

  it('pairs the two angles of one snap, whatever stands around', () => {
    const word = fc.constantFrom('terns', 'week 4', 'q3', 'friday');
    fc.assert(
      fc.property(word, fc.integer({ min: 1, max: 199 }), fc.constantFrom(' ', '_', '-'), (before, snap, between) => {
        const [one, other] = ANGLES.map((a) =>
          readClipName(`${before} snap ${snap} ${a}.mp4`.replaceAll(' ', between)),
        );
        expect(one).toMatchObject({ snap, angle: ANGLES[0] });
        expect(other).toMatchObject({ snap, angle: ANGLES[1], stem: one!.stem });
      }),
    );
  });
});
