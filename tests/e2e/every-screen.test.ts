import { expect, test, type Page } from '@playwright/test';
import { enter } from './people';
import { stumbles } from './stumbles';

/** Places nobody is logged in at. */
const DOORS = ['/login', '/begin', '/join'];

/** The other theme, as it comes when it is chosen in another tab. */
async function inTheOtherTheme(page: Page): Promise<void> {
  await page.evaluate((key) => {
    localStorage.setItem(key, 'board');
    dispatchEvent(new StorageEvent('storage', { key, newValue: 'board', storageArea: localStorage }));
  }, 'violet-chalk-theme');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'board');
  // A colour on its way from one theme to the other is neither.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().map((a) => a.finished)));
}

for (const path of [
  '/login',
  '/walkthrough',
  '/film',
  '/film/in',
  '/film/log',
  '/book',
  '/rules',
  '/rules/power',
  '/fronts',
  '/formations',
  '/matrix',
  '/protection',
  '/team',
  '/team/roster',
  '/team/people',
  '/team/attendance',
  '/team/season',
  '/team/words',
  '/team/record',
  '/week',
  '/week/plan',
  '/week/practice',
  '/week/scripts',
  '/week/quiz',
  '/week/huddle',
  '/week/paper',
  '/week/drills',
  '/week/game',
  '/week/close',
  '/quiz',
  '/huddle',
  '/account',
  '/glossary',
  '/first',
  '/begin',
  '/join',
]) {
  test(`${path} has nothing a screen reader or a keyboard stumbles over, in both themes`, async ({ page }) => {
    const complaints: string[] = [];
    page.on('console', (m) => {
      if (m.type() === 'error') complaints.push(m.text());
    });
    page.on('pageerror', (e) => complaints.push(e.message));
    if (DOORS.includes(path)) await page.goto(path);
    else await enter(page, 'coach', path);
    await expect(page.locator('main').first()).toContainText(/\w{4}/);
    if (path === '/film') await expect(page.getByRole('table', { name: 'Grades' })).toBeVisible();
    if (path === '/protection')
      await expect(
        page
          .getByRole('region', { name: 'Compared' })
          .getByRole('row', { name: /^Everybody stays/ })
          .first(),
      ).toBeVisible();
    if (path === '/book') await expect(page.getByRole('table', { name: 'By man' })).toBeVisible();
    expect(await stumbles(page)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await inTheOtherTheme(page);
    expect(await stumbles(page, 'colours')).toEqual([]);
    expect(complaints).toEqual([]);
  });
}
