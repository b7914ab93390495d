import { expect, type Page } from '@playwright/test';

/** Logs a demo account in and goes to a place. */
export async function enter(
  page: Page,
  role: 'coach' | 'assistant' | 'reader' | 'player',
  path: string,
): Promise<void> {
  const answer = await page.request.post('/api/session', {
    data: { email: `${role}@lanterns.example`, password: `lantern-${role}` },
  });
  expect(answer.status()).toBe(200);
  await page.goto(path);
}

export interface SnapItem {
  id: number;
  number: number;
  asked: string[];
  graded: { blocker: string }[];
}

/** Snaps of the demo's game, whatever games other tests have added. */
export async function snapsOf(page: Page): Promise<SnapItem[]> {
  const games = (await (await page.request.get('/api/games')).json()) as { id: number; opponent: string }[];
  const demo = games.find((g) => g.opponent === 'Fennick Otters')!;
  return (await (await page.request.get(`/api/games/${demo.id}/snaps`)).json()) as SnapItem[];
}
