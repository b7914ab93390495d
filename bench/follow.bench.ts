import { asCoach, DEMO } from './in-browser';

/*
 * How long a snap takes to be followed, decoding and all, in a real browser against a running demo (./start): from the click to the ways that
 * are kept. What is followed here takes the place of what the demo had.
 */

/** Of those the demo has measured, this many. */
const SNAPS = 4;
/** Longest that is waited for one, milliseconds. */
const PATIENCE = 120_000;

interface Measured {
  readonly measuring: { readonly followed: object | null };
}
interface Numbered {
  readonly id: number;
  readonly number: number;
}

await asCoach(async (page) => {
  const games = (await (await page.request.get(`${DEMO}/api/games`)).json()) as { id: number; opponent: string }[];
  const filmed = games.find((g) => g.opponent === 'Fennick Otters')!;
  const snaps = (await (await page.request.get(`${DEMO}/api/games/${filmed.id}/snaps`)).json()) as Numbered[];
  const ways = page.getByRole('region', { name: 'Ways through the play' });
  let left = SNAPS;
  for (const { id, number } of snaps) {
    const { measuring } = (await (await page.request.get(`${DEMO}/api/snaps/${id}/measuring`)).json()) as Measured;
    if (!measuring.followed || left-- <= 0) continue;
    await page.goto(`${DEMO}/film/measure/${id}`);
    const kept = page.waitForResponse((r) => r.request().method() === 'PUT' && r.url().endsWith(`/${id}/measuring`), {
      timeout: PATIENCE,
    });
    const stopped = page.getByRole('alert').filter({ hasText: 'Following stopped' });
    const failed = stopped.waitFor({ timeout: PATIENCE }).then(async () => {
      throw new Error(`snap ${number}: ${await stopped.textContent()}`);
    });
    const begun = performance.now();
    await ways.getByRole('button', { name: /^Follow everybody/ }).click();
    await Promise.race([kept, failed]);
    failed.catch(() => undefined);
    console.log(`snap ${number}: ${((performance.now() - begun) / 1000).toFixed(1)} s (goal 10)`);
  }
});
