import { asCoach, DEMO } from './in-browser';

/*
 * From a keystroke in the rule editor to fresh verdicts on screen, in a real browser against a running demo (./start). Measured from the
 * key event to the second animation frame after it, when the new verdicts have been painted.
 */

const KEYS = 40;

await asCoach(async (page) => {
  for (const scheme of ['inside-zone-z1', 'power']) {
    await page.goto(`${DEMO}/rules/${scheme}`);
    await page.getByRole('textbox', { name: 'Rules as text' }).getByText(/^# /).first().click();
    await page.keyboard.press('End');
    await page.evaluate(() => {
      const found: number[] = [];
      (window as unknown as { found: number[] }).found = found;
      addEventListener(
        'keydown',
        () => {
          const start = performance.now();
          requestAnimationFrame(() => requestAnimationFrame(() => found.push(performance.now() - start)));
        },
        { capture: true },
      );
    });
    for (let i = 0; i < KEYS; i++) await page.keyboard.type('a', { delay: 60 });
    const found = (await page.evaluate(() => (window as unknown as { found: number[] }).found)).sort((a, b) => a - b);
    const at = (share: number): string => (found[Math.floor(share * (found.length - 1))] ?? NaN).toFixed(0);
    const fronts = await page.getByRole('region', { name: 'What it does to every front' }).getByRole('link').count();
    console.log(
      `${scheme.padEnd(16)} ${fronts} fronts: median ${at(0.5)} ms, worst tenth ${at(0.9)} ms from key to paint (two frames are 33 ms)`,
    );
  }
});
