import { expect, test } from '@playwright/test';
import { answerQuiz } from './answer-quiz';
import { enter } from './people';
import { stumbles } from './stumbles';
import { next } from './weeks';

test('a player sees his own snap on film, marks his block before he sees his coach’s mark, and it is kept', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
  const page = await context.newPage();
  await enter(page, 'player', '/quiz');
  await page.getByRole('button', { name: 'on film' }).click();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  const film = page.getByLabel('Film from the end zone');
  const stands = (): Promise<number> => film.evaluate((v: HTMLVideoElement) => (v.paused ? v.currentTime : -1));
  await expect.poll(stands).toBeGreaterThan(0);
  const frozen = await stands();
  expect(await stumbles(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await expect(page.getByText('Your coach:')).toHaveCount(0);
  await page.locator('.men').getByRole('button').first().click();
  await expect.poll(() => film.evaluate((v: HTMLVideoElement) => v.currentTime)).toBeGreaterThan(frozen);
  await page.getByRole('button', { name: 'right man' }).click();
  await expect(page.getByText('Your coach:')).toHaveCount(0);
  await page.getByRole('button', { name: 'done well', exact: true }).click();
  await expect(page.getByText('Your coach: assignment')).toBeVisible();
  const last = async () => {
    const { answers } = (await (await page.request.get('/api/quiz')).json()) as { answers: { film: unknown }[] };
    return answers.at(-1)?.film ?? null;
  };
  await expect.poll(last).toMatchObject({ assignment: expect.any(Boolean), technique: expect.any(Boolean) });
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('Whom do you block?')).toBeVisible();
  await context.close();
});

test('a player answers on his phone, goes on without a connection, and the coach sees what is not known', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
  const page = await context.newPage();
  const answered = async (): Promise<number> => {
    const { answers } = (await (await page.request.get('/api/quiz')).json()) as { answers: unknown[] };
    return answers.length;
  };
  const coach = await (await browser.newContext()).newPage();
  await enter(coach, 'coach', '/week/quiz');
  const everybodys = async (): Promise<number> => {
    const results = await (await coach.request.get(`/api/weeks/${await next(coach)}/quiz`)).json();
    return (results as { of: number }[]).reduce((sum, r) => sum + r.of, 0);
  };
  const counted = await everybodys();
  await enter(page, 'player', '/quiz');
  const before = await answered();
  await answerQuiz(page);
  expect(await stumbles(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Next' }).click();
  await answerQuiz(page);
  await expect(page.getByText('1 answer waits here to be sent.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText(/answers? waits? here/)).toHaveCount(0);
  expect(await answered()).toBe(before + 2);
  await context.close();
  await coach.reload();
  await expect(coach.getByText(/^\d+ answers, \d+ right in everything/)).toBeVisible();
  expect(await everybodys()).toBe(counted + 2);
  await coach.context().close();
});
