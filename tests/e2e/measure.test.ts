import { expect, test, type Page } from '@playwright/test';
import type { Pixel } from '#core/model/calibration';
import { ANGLES, type Angle } from '#core/model/angle';
import { calibrationClicked, feetClicked, handOf, readTruth, SIZE } from '../../scripts/measure/truth';
import { enter, snapsOf } from './people';
import { stumbles } from './stumbles';

const NUMBER = 17;
const truth = readTruth('demo/film', NUMBER);
/** The frame before the ball moves. */
const AT = truth.snapFrame - 1;
/** Somebody who clicks about half a pixel off. */
const hand = handOf(3, 0.5);

/** Where a pixel of the film that leads is on the screen. */
async function onScreen(page: Page, pixel: Pixel): Promise<Pixel> {
  const box = (await page.locator('figure:not(.follows) svg.over').boundingBox())!;
  const scale = Math.min(box.width / SIZE.width, box.height / SIZE.height);
  return {
    x: box.x + (box.width - SIZE.width * scale) / 2 + pixel.x * scale,
    y: box.y + (box.height - SIZE.height * scale) / 2 + pixel.y * scale,
  };
}
async function click(page: Page, pixel: Pixel): Promise<void> {
  const { x, y } = await onScreen(page, pixel);
  await page.mouse.click(x, y);
}
async function lead(page: Page, angle: Angle): Promise<void> {
  const leads = page.locator('figure:not(.follows) figcaption');
  if ((await leads.textContent()) !== angle) await page.keyboard.press('t');
  await expect(leads).toHaveText(angle);
}

async function nameMarks(page: Page, angle: Angle): Promise<void> {
  // The other angle leads by itself once a camera is kept.
  await expect(page.locator('figure:not(.follows) figcaption')).toHaveText(angle);
  const { marks, ball } = calibrationClicked(truth, angle, AT, hand);
  for (const { yard, across, pixel } of marks) {
    await page.getByLabel('Yard line of the next mark').selectOption(String(yard));
    await page.getByLabel('Where on the line').selectOption(across);
    await click(page, pixel);
  }
  await page.keyboard.press('x');
  await expect(page.getByRole('status')).toHaveText(/Click the ball/);
  await click(page, ball);
  await expect(page.getByRole('status')).toHaveText(/marks fit to \d\.\d pixels/);
  await page.getByRole('button', { name: `Keep the ${angle} camera` }).click();
}

/** Both feet of the left tackle, from the end zone; then the clicks are places again. */
async function clickStance(page: Page): Promise<void> {
  await lead(page, 'end zone');
  const { pixel } = feetClicked(truth, AT, hand, ['end zone']).feet.find((f) => f.id === 'LT')!;
  await page.keyboard.press('f');
  await expect(page.getByRole('status')).toHaveText('Click a foot of LT.');
  await click(page, { ...pixel, x: pixel.x - 12 });
  await expect(page.getByRole('status')).toHaveText('Click the other foot of LT.');
  await click(page, { ...pixel, x: pixel.x + 12 });
  await expect(page.getByRole('status')).toHaveText('Click a foot of LG.');
  await page.keyboard.press('f');
}

async function clickFeet(page: Page, angle: Angle): Promise<void> {
  await lead(page, angle);
  for (const { id, pixel } of feetClicked(truth, AT, hand, [angle]).feet) {
    await page.getByRole('table').getByRole('button', { name: id, exact: true }).click();
    await click(page, pixel);
  }
}

test('a snap is measured: cameras from field marks, the front from feet, everybody followed, and all of it stays', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[NUMBER - 1]!;
  await page.goto(`/film/${snap.id}`);
  await expect(page.getByText('Snap 17:')).toBeVisible();
  await page.keyboard.press('m');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Measure snap 17/);
  await page.keyboard.press('1');
  await expect(page.getByText(`frame ${AT},`, { exact: false })).toBeVisible();
  for (const angle of ANGLES) await nameMarks(page, angle);
  await expect(page.getByRole('button', { name: /Feet at the snap/ })).toHaveAttribute('aria-current', 'step');

  for (const angle of ANGLES) await clickFeet(page, angle);
  await expect(page.getByRole('status')).toHaveText(/Everybody is clicked in this angle. 14 of 14 placed./);
  const row = (id: string) =>
    page.getByRole('row').filter({ has: page.getByRole('button', { name: id, exact: true }) });
  await expect(row('N')).toContainText('1 left');
  await expect(row('T')).toContainText('3 right');
  await clickStance(page);
  await expect(row('LT')).toContainText(/feet \d\d ± \d in apart/);
  await expect(page.getByText('The front is even, over.')).toBeVisible();
  await expect(page.getByText('It is the front that was logged.')).toBeVisible();

  // The film has been looked at beside the page: what is seen later at the same places tells feet from ground.
  await expect(page.getByText(/by colour and by what is there later/)).toBeVisible();

  await page.keyboard.press('3');
  // Following stops a film that plays, and nothing is drawn where it is not that frame's.
  await page.getByRole('button', { name: 'space play' }).click();
  await expect(page.getByRole('button', { name: 'space stop' })).toBeVisible();
  await page.getByRole('button', { name: 'Follow everybody' }).click();
  await expect(page.getByRole('progressbar', { name: 'Following' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'space play' })).toHaveAttribute('aria-pressed', 'false');
  await expect(page.locator('.drawn .man')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Asked and done' })).toBeVisible({ timeout: 120_000 });
  await expect(row('C')).toContainText(/N.*N 0\.\d s/);
  await expect(page.getByRole('region', { name: 'Ways through the play' }).getByRole('listitem').first()).toHaveText(
    /came straight \d+ %/,
  );

  await page.reload();
  await expect(page.getByRole('heading', { name: 'Asked and done' })).toBeVisible();
  await expect(row('C')).toContainText(/N.*N 0\.\d s/);
  await page.getByRole('row').getByRole('button', { name: 'RG', exact: true }).click();
  await page.keyboard.press('l');
  await click(page, { x: 300, y: 300 });
  await expect(page.locator('path.done.hand')).toHaveCount(2);
  const { measuring } = await page.evaluate(async (id) => {
    const answer = await fetch(`/api/snaps/${id}/measuring`);
    return (await answer.json()) as { measuring: Record<'bends' | 'stances', { id: string }[]> };
  }, snap.id);
  expect([measuring.bends, measuring.stances].map((all) => all.map((m) => m.id))).toEqual([['RG'], ['LT']]);
  expect(await stumbles(page)).toEqual([]);
});

test('what is clicked without a connection stays, and goes by itself when there is one again', async ({
  page,
  context,
}) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[2]!;
  interface Clicked {
    revision: number;
    measuring: { atSnap: { id: string; team: string; angle: string; pixel: Pixel }[] };
  }
  const read = (): Promise<Clicked> =>
    page.evaluate(async (id) => (await fetch(`/api/snaps/${id}/measuring`)).json() as Promise<Clicked>, snap.id);
  const pixelOf = async (seat: string): Promise<Pixel> => {
    const { atSnap } = (await read()).measuring;
    return atSnap.find((f) => f.id === seat && f.team === 'offence' && f.angle === 'end zone')!.pixel;
  };
  const before = await read();
  await page.goto(`/film/measure/${snap.id}`);
  await expect(page.getByRole('heading', { name: 'Asked and done' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: /Feet at the snap/ })).toHaveAttribute('aria-current', 'step');
  await lead(page, 'end zone');
  const moved: [string, Pixel][] = [];
  await context.setOffline(true);
  for (const seat of ['LT', 'LG']) {
    const { x, y } = before.measuring.atSnap.find((f) => f.id === seat && f.angle === 'end zone')!.pixel;
    await page.getByRole('table').getByRole('button', { name: seat, exact: true }).click();
    await click(page, { x: x + 20, y: y + 10 });
    moved.push([seat, { x: x + 20, y: y + 10 }]);
    await expect(page.getByRole('alert')).toHaveText(/cannot be reached.*is kept on this device/);
  }
  await context.setOffline(false);
  await expect(page.getByRole('alert')).toHaveCount(0);
  for (const [seat, { x, y }] of moved) {
    const there = await pixelOf(seat);
    expect(Math.hypot(there.x - x, there.y - y)).toBeLessThan(3);
  }
  const { revision } = await read();
  const put = await page.request.put(`/api/snaps/${snap.id}/measuring`, {
    data: { revision, measuring: before.measuring },
  });
  expect(put.status()).toBe(200);
});

test('a picture taken while the film runs is of the frame it says it is of', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[9]!;
  await page.goto(`/film/measure/${snap.id}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Measure snap 10/);
  // The page goes to the frame before the snap by itself, which has to be over.
  const film = page.locator('figure:not(.follows) video');
  const stands = (element: Element): [number, boolean] => {
    const { currentTime, seeking } = element as HTMLVideoElement;
    return [Math.floor(currentTime * 30), seeking];
  };
  await expect.poll(() => film.evaluate(stands)).toEqual([AT, false]);
  const told = await film.evaluate(async (element) => {
    const video = element as HTMLVideoElement;
    const [rate, first, many] = [30, 40, 12];
    const context = new OffscreenCanvas(192, 108).getContext('2d', { willReadFrequently: true })!;
    const small = (from: HTMLVideoElement | VideoFrame): Uint8ClampedArray => {
      context.drawImage(from, 0, 0, 192, 108);
      return context.getImageData(0, 0, 192, 108).data;
    };
    const goTo = async (frame: number): Promise<void> => {
      const there = new Promise((done) => video.addEventListener('seeked', done, { once: true }));
      video.currentTime = (frame + 0.5) / rate;
      await there;
    };
    await goTo(first);
    const taken: { says: number; data: Uint8ClampedArray }[] = [];
    video.playbackRate = 0.5;
    await video.play();
    await new Promise<void>((done) => {
      const take = (): void => {
        const shown = new VideoFrame(video);
        taken.push({ says: Math.round((shown.timestamp / 1e6) * rate), data: small(shown) });
        shown.close();
        if (taken.length < many) video.requestVideoFrameCallback(take);
        else done();
      };
      video.requestVideoFrameCallback(take);
    });
    video.pause();
    const stills = new Map<number, Uint8ClampedArray>();
    for (let f = taken[0]!.says - 1; f <= taken.at(-1)!.says + 1; f++) {
      await goTo(f);
      stills.set(f, small(video));
    }
    const apart = (a: Uint8ClampedArray, b: Uint8ClampedArray): number =>
      a.reduce((sum, v, i) => sum + Math.abs(v - b[i]!), 0);
    return taken.map(({ says, data }) => {
      const [[is]] = [...stills].sort((p, q) => apart(data, p[1]) - apart(data, q[1])) as [[number, unknown]];
      return { says, is };
    });
  });
  expect(told).toHaveLength(12);
  for (const { says, is } of told) expect(is).toBe(says);
});

test('the film stays near on a man who was followed, and says so where nobody was', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snaps = await snapsOf(page);
  await page.goto(`/film/${snaps[2]!.id}`);
  await expect(page.getByText('Snap 3:')).toBeVisible();
  await page.keyboard.press('4');
  await page.keyboard.press('c');
  await expect(page.getByRole('button', { name: /four times as near/ })).toBeVisible();
  const turned = () => page.locator('figure:not(.follows) video').evaluate((v) => (v as HTMLElement).style.transform);
  await page.keyboard.press('j');
  const before = await turned();
  await page.keyboard.press('l');
  await expect.poll(turned).not.toBe(before);
  await page.keyboard.press('c');
  await expect(page.getByRole('button', { name: /^z nearer/ })).toBeVisible();
  await page.goto(`/film/${snaps[19]!.id}`);
  await expect(page.getByText('Snap 20:')).toBeVisible();
  await page.keyboard.press('4');
  await page.keyboard.press('c');
  await expect(page.getByRole('status').filter({ hasText: 'was not followed on this film' })).toBeVisible();
});

test('a followed snap is run again with one block mended, told in a sentence and drawn on the film', async ({
  page,
}) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[2]!;
  await page.goto(`/film/measure/${snap.id}`);
  const again = page.getByRole('region', { name: 'Run again' });
  await expect(again.getByRole('radio', { name: 'As filmed' })).toBeChecked();
  await expect(
    again.getByText(/^The hole is \d\.\d ft wide, give or take \d\.\d, between .* M meets the ball/),
  ).toBeVisible();
  await expect(page.locator('path.apart')).toHaveCount(0);
  // By keyboard: the man first, then his block among the ways it could have gone.
  await page.getByRole('table').getByRole('button', { name: 'LG', exact: true }).press('Enter');
  await again.getByRole('radio', { name: 'As filmed' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(again.getByRole('radio', { name: /as asked$/ }).first()).toBeChecked();
  await expect.poll(() => page.locator('path.apart').count()).toBeGreaterThan(0);
  await expect(again).toContainText('nobody knows');
});

test('a mark is named without a mouse', async ({ page }) => {
  await enter(page, 'assistant', '/film');
  const snap = (await snapsOf(page))[17]!;
  await page.goto(`/film/measure/${snap.id}`);
  await expect(page.getByRole('status')).toHaveText(/Click 4 more/);
  await expect(page.getByText(`frame ${AT},`, { exact: false })).toBeVisible();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByText('the 30 at the left hash')).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByText('the 30 at the left hash')).toHaveCount(0);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('here, as a click');
});

test('marks that contradict each other say which to look at, and nothing is kept', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const snap = (await snapsOf(page))[17]!;
  const answer = await page.evaluate(
    async (clip) => {
      const marks = [30, 35, 40].flatMap((yard, i) => [
        { yard, across: 'left hash', pixel: { x: 100 + 40 * i, y: 400 - 60 * i } },
        { yard, across: 'right hash', pixel: { x: 860 - (i === 1 ? 400 : 40 * i), y: 400 - 60 * i } },
      ]);
      const body = { field: 'high school', frame: 0, width: 960, height: 540, marks, ball: { x: 480, y: 300 } };
      const sent = await fetch(`/api/clips/${clip}/calibration`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      return { status: sent.status, ...((await sent.json()) as { message: string }) };
    },
    await clipOf(page, snap.id),
  );
  expect(answer).toMatchObject({
    status: 400,
    message: expect.stringMatching(/do not fit together.*Nothing was changed/),
  });
});

const clipOf = (page: Page, snap: number): Promise<number> =>
  page.evaluate(async (id) => {
    const answer = await fetch(`/api/snaps/${id}`);
    return ((await answer.json()) as { clips: { id: number }[] }).clips[0]!.id;
  }, snap);
