import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** The demo's next game. */
export const next = async (page: Page): Promise<number> =>
  ((await (await page.request.get('/api/weeks')).json()) as { next: { gameId: number } }).next.gameId;
/** What its week keeps. */
export const weekOf = async (page: Page) =>
  (await (await page.request.get(`/api/weeks/${await next(page)}`)).json()) as {
    plan: {
      body: {
        plays: { scheme: string; times: number }[];
        looks: { frontName: string }[];
        theirs?: { id: string; number: number | null }[];
      };
    };
    practice: {
      body: { days: { day: string; lines: { id: string; held: boolean; stations: { men: number[] }[] }[] }[] };
    };
    marks: { script: string; rep: number; good: boolean; missed: string[] }[];
  };
/** What a click hands over as a file. */
export const fileFrom = async (page: Page, click: () => Promise<void>): Promise<Buffer> => {
  const [download] = await Promise.all([page.waitForEvent('download'), click()]);
  return readFileSync(await download.path());
};
