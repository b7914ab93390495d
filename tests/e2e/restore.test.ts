import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { stumbles } from './stumbles';
import { FIRST_CODE, Installation } from '../trust/own-installation';

const ACCOUNT = { name: 'Wren Ostler', email: 'wren@lanterns.example', password: 'a password of her own' };
let home: Installation;
test.beforeAll(async () => {
  home = await Installation.make('restore-cluster');
});
test.afterAll(() => home.stop());

test('who keeps the installation puts a backup back while it runs, and what was there before as well', async ({
  page,
}) => {
  const begun = await page.request.post(`${home.at}/api/begin`, {
    data: { code: FIRST_CODE, program: 'Larkhollow Juniors', ...ACCOUNT },
  });
  expect(begun.status()).toBe(200);
  await page.goto(`${home.at}/team/record`);
  const backups = page.getByRole('region', { name: 'Backups' });
  await backups.getByRole('button', { name: 'Make one' }).click();
  await expect(backups.getByRole('listitem')).toHaveCount(1);
  await page.request.put(`${home.at}/api/account/name`, { data: { name: 'Changed Since' } });

  const put = backups.getByRole('button', { name: /^Put back the one of/ }).last();
  await put.focus();
  await page.keyboard.press('Enter');
  await expect(backups).toContainText('What is here now is kept as a backup first');
  expect(await stumbles(page)).toEqual([]);
  await backups.getByLabel('Your password').fill('guessed');
  await backups.getByRole('button', { name: 'Put it back' }).click();
  await expect(backups.getByRole('alert')).toHaveText('That is not your password. Nothing was changed.');
  await backups.getByLabel('Your password').fill(ACCOUNT.password);
  await page.keyboard.press('Enter');
  await expect(backups.getByRole('status')).toContainText(
    /Restored as of 20[\s\S]*What was here before is the backup /,
  );
  await page.getByRole('link', { name: 'Go on' }).click();
  await expect(page.getByRole('link', { name: ACCOUNT.name })).toBeVisible();

  // What was there before lies beside it, and may come from a file as well.
  await page.goto(`${home.at}/team/record`);
  await expect(backups.getByRole('listitem')).toHaveCount(2);
  const waiting = page.waitForEvent('download');
  await backups.getByRole('listitem').first().getByRole('link').click();
  const file = await (await waiting).path();
  await backups.getByLabel('Bring one from a file').setInputFiles({
    name: 'away.tar',
    mimeType: 'application/x-tar',
    buffer: await readFile(file),
  });
  await expect(backups.getByRole('listitem')).toHaveCount(3);
  await backups
    .getByLabel('Bring one from a file')
    .setInputFiles({ name: 'letter.tar', mimeType: 'application/x-tar', buffer: Buffer.from('a letter') });
  await expect(backups.getByRole('alert')).toHaveText('This file is no backup of Violet Chalk. Nothing was changed.');
});
