import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { standardOf } from '#core/grade/standards';
import { FAULT_KEYS } from '../../app/features/pad/fault-keys';
import { enter, snapsOf } from './people';

/** So many snaps have been filmed by our cameras; other tests add more to the game. */
const FILMED = 24;

/** What the cameras wrote down that was done wrong on a snap. */
const plantedIn = (number: number): { man: string; fault: string }[] =>
  (
    JSON.parse(readFileSync(`demo/film/snap-${String(number).padStart(2, '0')}.truth.json`, 'utf8')) as {
      faults: { man: string; fault: string }[];
    }
  ).faults;

/** What is left of the demo's game is graded from what was planted in it; keys are counted, not timed. */
test('the rest of the game takes a key a snap, and about three more for each man who erred', async ({ page }) => {
  await enter(page, 'coach', '/film');
  const left = (await snapsOf(page)).filter((s) => s.graded.length === 0 && s.number <= FILMED);
  expect(left.length).toBeGreaterThan(2);
  let keys = 0;
  let erred = 0;
  const press = async (key: string): Promise<void> => {
    keys++;
    await page.keyboard.press(key);
  };
  for (const { id, number, asked } of left) {
    await page.goto(`/film/${id}`);
    await expect(page.getByText(`Snap ${number}:`)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Mark LT' })).toBeVisible();
    const columns = await page.getByRole('table', { name: 'Grades' }).getByRole('columnheader').allTextContents();
    const view = (await (await page.request.get(`/api/snaps/${id}`)).json()) as {
      resolution: { assignments: { blocker: string; block: string }[] };
    };
    for (const { man, fault } of plantedIn(number)) {
      const column = columns.findIndex((c) => c.trim().startsWith(`${man} `));
      const block = view.resolution.assignments.find((a) => a.blocker === man)!.block;
      const at = standardOf(block)!.faults.findIndex((f) => f === fault);
      erred++;
      await press(String(column + 1));
      if (fault === 'wrong-man') await press('w');
      else await press(FAULT_KEYS[at] ?? 'x');
    }
    await press('Enter');
    await expect(page.getByText('all marks saved')).toBeVisible();
    const graded = (await snapsOf(page)).find((s) => s.id === id)!.graded;
    expect(graded).toHaveLength(asked.length);
  }
  expect(keys).toBeLessThanOrEqual(left.length + 3 * erred);
  console.log(
    `${left.length} snaps with ${erred} men who erred: ${keys} keys, ${(keys / left.length).toFixed(2)} a snap`,
  );
});
