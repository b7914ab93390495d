import { chromium } from '@playwright/test';

/**
 * From a keystroke in the rule editor to fresh verdicts on screen, in a real browser against a running demo (./start). Measured from the
 * key event to the second animation frame after it, when the new verdicts have been painted.
 */
const url = process.env.CHALK_URL ?? 'http://localhost:4170';
const KEYS = 40;

const reachable = await fetch(`${url}/api/health`).then(
  (r) => r.ok,
  () => false,
);
if (!reachable) console.log(`nothing answers at ${url}: start the demo with ./start, or set CHALK_URL`);
else {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${url}/api/session`, {
    data: { email: 'coach@lanterns.example', password: 'lantern-coach' },
  });
  for (const scheme of ['inside-zone-z1', 'power']) {
    await page.goto(`${url}/rules/${scheme}`);
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
  await browser.close();
}
