import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { enter } from './people';

/** Places nobody is logged in at. */
const DOORS = ['/login', '/begin', '/join'];

for (const theme of ['paper', 'board'] as const) {
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
    test(`${path} on ${theme} has nothing a screen reader or a keyboard stumbles over`, async ({ page }) => {
      const complaints: string[] = [];
      page.on('console', (m) => {
        if (m.type() === 'error') complaints.push(m.text());
      });
      page.on('pageerror', (e) => complaints.push(e.message));
      await page.addInitScript((t) => localStorage.setItem('violet-chalk-theme', t), theme);
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
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([]);
      expect(complaints).toEqual([]);
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    });
  }
}
