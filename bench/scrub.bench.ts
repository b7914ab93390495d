import { asCoach, DEMO } from './in-browser';

/* Frames a second while the play runs on the board, in a real browser against a running demo (./start). */

const SECONDS = 2;

await asCoach(async (page) => {
  for (const path of [
    '/walkthrough?play=power&formation=h-back&front=over-two-high',
    '/walkthrough?play=pro-five-back&formation=pistol&front=over-two-high',
  ]) {
    await page.goto(DEMO + path);
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
});
