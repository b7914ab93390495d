import { describe, expect, it } from 'vitest';
import { nextTick, ref } from 'vue';
import type { Colours } from '#core/film/alignment/assist';
import { aCalibration } from '#core/testing/a-calibration';
import type { Calibration } from '#core/model/calibration';
import { useElsewhere } from './elsewhere';
import type { FilmClip } from './steps';

const clip = (id: number, frames = 140): FilmClip => ({
  ...{ id, angle: 'end zone', framesPerSecond: 30, frames },
  ...{ snapFrame: 24, contactFrame: 36, whistleFrame: frames - 1 },
});
const picture = (of: number): Colours => ({ width: 1, height: 1, data: [of, 0, 0, 255] });

/** A page with a film that gives its pictures when it is told to. */
function page(kept: Calibration | null = aCalibration()) {
  const [lead, camera, wanted] = [ref<FilmClip | null>(clip(5)), ref(kept), ref(false)];
  const asked: { id: number; frames: readonly number[]; give: (pictures: Colours[]) => void; fail: () => void }[] = [];
  const pictures = useElsewhere(
    lead,
    camera,
    wanted,
    ({ id }, frames) =>
      new Promise((give, fail) => asked.push({ id, frames, give, fail: () => fail(new Error('no film')) })),
  );
  const settled = async (): Promise<void> => {
    for (let i = 0; i < 6; i++) await nextTick();
  };
  return { lead, camera, wanted, asked, pictures, settled };
}

describe('pictures of the ground', () => {
  it('are taken when they are wanted, once a clip, of a camera that is known and stands still', async () => {
    const { camera, wanted, asked, pictures, settled } = page(null);
    wanted.value = true;
    await settled();
    camera.value = { ...aCalibration(), moves: true };
    await settled();
    expect(asked).toEqual([]);
    camera.value = aCalibration();
    await settled();
    asked[0]!.give([picture(1)]);
    await settled();
    expect([asked.length, asked[0]!.frames[0], pictures.value]).toEqual([1, 60, [picture(1)]]);
    wanted.value = false;
    await settled();
    expect(pictures.value).toEqual([]);
    wanted.value = true;
    await settled();
    expect([asked.length, pictures.value]).toEqual([1, [picture(1)]]);
  });

  it('are of the angle that leads, whichever comes first', async () => {
    const { lead, wanted, asked, pictures, settled } = page();
    wanted.value = true;
    await settled();
    lead.value = clip(6);
    await settled();
    asked[1]!.give([picture(6)]);
    await settled();
    asked[0]!.give([picture(5)]);
    await settled();
    expect([asked.map((a) => a.id), pictures.value]).toEqual([[5, 6], [picture(6)]]);
  });

  it('are none where the film gives none, or is too short to be asked', async () => {
    const { lead, wanted, asked, pictures, settled } = page();
    wanted.value = true;
    await settled();
    asked[0]!.fail();
    await settled();
    expect(pictures.value).toEqual([]);
    lead.value = clip(7, 70);
    await settled();
    expect([asked.length, pictures.value]).toEqual([1, []]);
  });
});
