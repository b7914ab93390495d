import { chromium } from '@playwright/test';

/** Frames a second while the play runs on the board, in a real browser against a running demo (./start). */
const url = process.env.CHALK_URL ?? 'http://localhost:4170';
const SECONDS = 2;

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
  for (const path of [
    '/walkthrough?play=power&formation=h-back&front=over-two-high',
    '/walkthrough?play=pro-five-back&formation=pistol&front=over-two-high',
  ]) {
    await page.goto(url + path);
    await page.getByRole('group', { name: 'The play in time' }).getByRole('button', { name: 'Run it' }).click();
    const found = await page.evaluate(
      (ms) =>
        new Promise<number[]>((done) => {
          const times: number[] = [];
          const start = performance.now();
          const tick = (now: number): void => {
            times.push(now);
            if (now - start < ms) requestAnimationFrame(tick);
            else done(times);
          };
          requestAnimationFrame(tick);
        }),
      SECONDS * 1000,
    );
    const gaps = found
      .slice(1)
      .map((t, i) => t - found[i]!)
      .sort((a, b) => a - b);
    console.log(
      `${path.split('&')[0]!.padEnd(36)}${(1000 / (gaps.reduce((a, b) => a + b, 0) / gaps.length)).toFixed(0)} frames a second; slowest tenth ${gaps[Math.floor(gaps.length * 0.9)]!.toFixed(0)} ms a frame`,
    );
  }
  await browser.close();
}
