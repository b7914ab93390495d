import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from 'vitest';
import { OpenCvEyes, type Cv, type Frame } from './opencv-eyes';

let cv: Cv;
beforeAll(async () => {
  const loaded = createRequire(import.meta.url)('@techstark/opencv-js') as Cv & { onRuntimeInitialized: () => void };
  if (!loaded.Mat) await new Promise<void>((done) => (loaded.onRuntimeInitialized = done));
  cv = loaded;
}, 60_000);

const SIZE = { width: 160, height: 120 };
const WHOLE = { left: -1, top: -1, right: 1, bottom: 1 };

/** Grass with a man of many colours at a place: every pixel is a wave of where it is on him, so that shifts between pixels show. */
function scene(men: readonly { x: number; y: number; hue: number }[], size = SIZE): Frame {
  const data = new Uint8ClampedArray(size.width * size.height * 4);
  for (let y = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++) {
      const i = (y * size.width + x) * 4;
      data.set([50, 100 + 4 * Math.sin(x / 3), 60, 255], i);
      for (const m of men) {
        const [dx, dy] = [x - m.x, y - m.y];
        if (Math.abs(dx) > 12 || Math.abs(dy) > 15) continue;
        const wave = (a: number, b: number): number => 120 + 90 * Math.sin(dx * a + dy * b + m.hue);
        data.set([wave(0.5, 0.1), wave(0.1, 0.6), wave(0.4, -0.4), 255], i);
      }
    }
  return { ...size, data };
}
const box = (x: number, y: number) => ({ x, y, halfWidth: 10, halfHeight: 12 });
function eyesOver(...frames: Frame[]): OpenCvEyes {
  const eyes = new OpenCvEyes(cv, (f) => frames[f]!);
  eyes.look(0);
  return eyes;
}

describe('eyes by OpenCV', () => {
  it('find what they learnt where it has gone, between pixels too', () => {
    const eyes = eyesOver(scene([{ x: 60, y: 60, hue: 0 }]), scene([{ x: 65.4, y: 57.3, hue: 0 }]));
    eyes.learn('man', box(60, 60), WHOLE);
    eyes.look(1);
    const found = eyes.find('man', { x: 60, y: 60 }, 10, WHOLE)!;
    expect(found.score).toBeGreaterThan(0.9);
    expect(Math.hypot(found.at.x - 65.4, found.at.y - 57.3)).toBeLessThan(0.4);
    eyes.close();
  });
  it('keep what they learnt when the picture has changed', () => {
    const eyes = eyesOver(scene([{ x: 60, y: 60, hue: 0 }]), scene([{ x: 60, y: 60, hue: 2 }]));
    eyes.learn('man', box(60, 60), WHOLE);
    expect(eyes.find('man', { x: 60, y: 60 }, 4, WHOLE)!.score).toBeGreaterThan(0.99);
    eyes.look(1);
    expect(eyes.find('man', { x: 60, y: 60 }, 4, WHOLE)!.score).toBeLessThan(0.7);
    eyes.close();
  });
  it('find the middle of a man of whom only a part is free', () => {
    const eyes = eyesOver(
      scene([{ x: 60, y: 60, hue: 0 }]),
      scene([
        { x: 66, y: 60, hue: 0 },
        { x: 84, y: 60, hue: 3 },
      ]),
    );
    eyes.learn('man', box(60, 60), WHOLE);
    eyes.look(1);
    const left = { left: -1, top: -1, right: 0, bottom: 1 };
    const found = eyes.find('man', { x: 62, y: 60 }, 8, left)!;
    expect(Math.hypot(found.at.x - 66, found.at.y - 60)).toBeLessThan(0.5);
    eyes.close();
  });
  it('tell the same of a point wherever the others lie, at the edge of the picture and outside it', () => {
    const wide = { width: 640, height: 360 };
    const at = { x: 501, y: 243 };
    const eyes = eyesOver(scene([{ ...at, hue: 0 }], wide), scene([{ x: at.x + 3, y: at.y - 2, hue: 0 }], wide));
    eyes.look(1);
    const [alone] = eyes.flow([at]);
    expect(Math.hypot(alone!.x - at.x - 3, alone!.y - at.y + 2)).toBeLessThan(0.3);
    for (const other of [
      { x: 3, y: 2 },
      { x: 639, y: 359 },
      { x: 460, y: 220 },
    ]) {
      const [, beside] = eyes.flow([other, at]);
      expect(Math.hypot(beside!.x - alone!.x, beside!.y - alone!.y)).toBeLessThan(0.001);
    }
    expect(eyes.flow([{ x: -90, y: 500 }])).toEqual([null]);
    eyes.close();
  });
  it('follow points with the picture, and none that are gone', () => {
    const eyes = eyesOver(scene([{ x: 60, y: 60, hue: 0 }]), scene([{ x: 63, y: 62, hue: 0 }]));
    expect(eyes.flow([{ x: 60, y: 60 }])).toEqual([null]);
    eyes.look(1);
    const [went] = eyes.flow([{ x: 58, y: 61 }]);
    expect(Math.hypot(went!.x - 61, went!.y - 63)).toBeLessThan(0.3);
    expect(eyes.flow([])).toEqual([]);
    eyes.close();
  });
  it('say nothing of what they do not know, or of places outside the picture', () => {
    const eyes = eyesOver(scene([{ x: 60, y: 60, hue: 0 }]));
    expect(eyes.find('nobody', { x: 60, y: 60 }, 5, WHOLE)).toBeNull();
    eyes.learn('outside', box(-30, 60), WHOLE);
    expect(eyes.find('outside', { x: 5, y: 60 }, 5, WHOLE)).toBeNull();
    eyes.learn('man', box(60, 60), WHOLE);
    expect(eyes.find('man', { x: 400, y: 60 }, 5, WHOLE)).toBeNull();
    const sliver = { left: -1, top: -1, right: -0.9, bottom: 1 };
    expect(eyes.find('man', { x: 60, y: 60 }, 5, sliver)).toBeNull();
    eyes.close();
  });
});
