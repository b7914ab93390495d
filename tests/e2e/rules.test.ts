import { expect, test } from '@playwright/test';
import { enter } from './people';

test('a sentence changed in the text shows at once which fronts it mends or breaks, is saved as a version and can be restored', async ({
  page,
}) => {
  await enter(page, 'coach', '/rules');
  await page.getByRole('searchbox', { name: 'Find a play' }).fill('lantern');
  await page.getByRole('link', { name: /Power, Lantern way/ }).click();
  const editor = page.getByRole('textbox', { name: 'Rules as text' });
  await expect(editor).toContainText('Lantern way');
  // The editor draws only the lines in sight.
  await editor.hover();
  await page.mouse.wheel(0, 500);
  await editor.getByText('when there is a nose: base him').first().click();
  await page.keyboard.press('End');
  for (let i = 0; i < 'base him'.length; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('clmb');
  await page.keyboard.press('Escape');
  await expect(page.getByText('1 to put right')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What was found' })).toContainText('did you mean "climb"');
  await expect(page.getByRole('button', { name: 'Save', exact: false }).first()).toBeDisabled();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('climb to L2');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+Home');
  await editor.getByText('over to a free man').click();
  await page.keyboard.press('End');
  for (let i = 0; i < 'over to a free man'.length; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('nobody');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: /changed by this edit/ })).toBeVisible();
  await page.keyboard.press('Control+s');
  await expect(page.getByRole('status').filter({ hasText: 'Saved as version' })).toBeVisible();
  await page.getByRole('button', { name: 'Show every version' }).click();
  await page.getByRole('button', { name: 'restore' }).first().click();
  await editor.focus();
  await page.keyboard.press('Control+Home');
  await expect(editor).toContainText('over to a free man');
  await page.getByRole('button', { name: /Save/ }).first().click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved as version' })).toBeVisible();
});

test('sentences are built without typing, and the text follows', async ({ page }) => {
  await enter(page, 'coach', '/rules/duo');
  await page.getByRole('tab', { name: 'Sentences' }).click();
  const builder = page.getByRole('group', { name: 'Rules as sentences' });
  await builder.getByRole('button', { name: 'Add a sentence' }).first().click();
  await builder.locator('section').first().getByRole('button', { name: 'covered', exact: true }).click();
  await builder.getByRole('searchbox', { name: 'Other ways to say it' }).fill('gap is filled');
  await builder.getByRole('button', { name: 'my inside gap is filled' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: 'Rules as text' })).toContainText(
    'when my inside gap is filled: base the man on me',
  );
  await expect(page.getByText('reads well')).toBeVisible();
});

test('a tag changes what a play does to every front, its proof, and the board behind a front', async ({ page }) => {
  await enter(page, 'coach', '/rules/inside-zone-z4');
  const strip = page.getByRole('region', { name: 'What it does to every front' });
  const heading = strip.getByRole('heading');
  const usual = await heading.textContent();
  const prove = async (): Promise<string> => {
    await page.getByRole('button', { name: 'Prove it' }).click();
    await expect(page.getByText(/^([\d,]+) of \1 fronts$/)).toBeVisible();
    return (await page.getByRole('region', { name: 'Proof over fronts' }).getByRole('listitem').first().textContent())!;
  };
  const proved = await prove();
  await page.getByRole('group', { name: 'Tags' }).getByRole('button', { name: 'read' }).focus();
  await page.keyboard.press('Enter');
  await expect(heading).not.toHaveText(usual!);
  await expect(page.getByText(/of [\d,]+ fronts$/)).toHaveCount(0);
  expect(await prove()).not.toBe(proved);
  await strip
    .getByRole('link', { name: /^Over(?!,)/ })
    .first()
    .click();
  await expect(page).toHaveURL(/without=read/);
  await expect(page.getByRole('group', { name: 'Tags' }).getByRole('button', { name: 'read' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await expect(page.getByRole('heading', { name: 'What is wrong' })).toBeVisible();
});

test('a play kept in place of a shipped one gives way to it again when it is retired, and can be brought back', async ({
  page,
}) => {
  await enter(page, 'coach', '/rules/iso');
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Iso, ours');
  await page.getByRole('button', { name: 'Call it that' }).click();
  await page.getByRole('button', { name: /Save/ }).first().click();
  await expect(page.getByRole('status').filter({ hasText: 'your own now' })).toBeVisible();
  await page.getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByRole('link', { name: /^Iso(?!, ours)/ })).toBeVisible();
  await page.getByRole('listitem').filter({ hasText: 'iso' }).getByRole('button', { name: 'bring it back' }).click();
  await expect(page.getByRole('link', { name: /^Iso, ours/ })).toBeVisible();
});

test('a proof runs in workers with its progress, and its plainest front opens on the board', async ({ page }) => {
  await enter(page, 'coach', '/rules/inside-zone-z1');
  await page.getByRole('combobox', { name: 'Space of fronts' }).selectOption({ label: 'Bear and heavy fronts' });
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(
    page
      .getByText(/% sound/)
      .or(page.getByText(/sound \d/))
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: 'Prove it' })).toBeVisible();
  await page.getByRole('link', { name: 'plainest front' }).first().click();
  await expect(page.getByRole('table', { name: 'Assignments' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What is wrong' })).toBeVisible();
});

test('a proof runs around one front with all it can do, and over a space of the coach’s own', async ({ page }) => {
  await enter(page, 'coach', '/rules/power');
  const spaces = page.getByRole('combobox', { name: 'Space of fronts' });
  await spaces.selectOption({ label: 'Over, moving' });
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText(/[\d,]+ of [\d,]+ fronts$/)).toBeVisible();
  const file = page.getByLabel('Space of fronts to take');
  await file.setInputFiles({
    name: 'wrong.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"id": "wrong", "name": "Wrong", "men": [["T 77 right"]]}'),
  });
  await expect(page.getByRole('alert')).toContainText('wrong.json');
  await expect(page.getByRole('alert')).toContainText('Nothing was taken');
  const own = {
    id: 'two-looks',
    name: 'Two looks on Friday',
    men: [['LE 5 left'], ['N 0', 'N 1 left'], ['RE 5 right'], ['W 20 left'], ['M 20 right']],
  };
  await file.setInputFiles({
    name: 'own.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(own)),
  });
  await expect(spaces).toHaveValue('book two-looks');
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('2 of 2 fronts')).toBeVisible();
  await page.reload();
  await spaces.selectOption({ label: 'Two looks on Friday' });
  await page.getByRole('button', { name: 'Retire it' }).click();
  await expect(page.getByRole('option', { name: 'Two looks on Friday' })).toHaveCount(0);
});

test('an assistant proves over a space he takes for the sitting; only the coach keeps one', async ({ page }) => {
  await enter(page, 'assistant', '/rules/power');
  const spaces = page.getByRole('combobox', { name: 'Space of fronts' });
  const own = { id: 'one-look', name: 'One look for now', men: [['LE 5 left'], ['N 0'], ['RE 5 right']] };
  await page
    .getByLabel('Space of fronts to take')
    .setInputFiles({ name: 'own.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(own)) });
  await expect(spaces).toHaveValue('sitting one-look');
  await expect(page.getByRole('button', { name: 'Retire it' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('1 of 1 fronts')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('option', { name: 'One look for now' })).toHaveCount(0);
});

test('a large proof can be stopped and keeps what it found', async ({ page }) => {
  await enter(page, 'coach', '/rules/power');
  await page
    .getByRole('combobox', { name: 'Space of fronts' })
    .selectOption({ label: 'Everything they can line up in' });
  await page.getByRole('combobox', { name: 'How many' }).selectOption({ label: 'up to 1,000,000' });
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText(/of 1,000,000 fronts …/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/of 1,000,000 fronts, stopped/)).toBeVisible();
});

test('a front is drawn, kept under an opponent and found in the Matrix', async ({ page }) => {
  await enter(page, 'coach', '/fronts');
  await page.getByRole('button', { name: 'Over', exact: true }).click();
  await page.getByRole('button', { name: /^RE, 5/ }).focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('u');
  await expect(page.getByRole('textbox', { name: 'Front in notation' })).toHaveValue(
    /RE ghost 9 right up|RE 9 right up|RE \(13, 2\) up/,
  );
  await page.getByLabel('Name').fill('Millers, wide end');
  await page.getByLabel('Opponent').fill('Graymoor Millers');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Saved as "Millers, wide end"');
  await page.getByRole('textbox', { name: 'Front in notation' }).fill('T 3 right\nN 3 right');
  await expect(page.getByRole('alert')).toContainText('stand on one spot');
  await page.goto('/matrix');
  await page.getByRole('combobox', { name: 'Fronts' }).click();
  await page.getByRole('option', { name: /Graymoor Millers/ }).click();
  await expect(page.getByRole('columnheader', { name: 'Millers, wide end' })).toBeVisible();
  await page.getByRole('link', { name: /^Power against Millers, wide end/ }).click();
  await expect(page).toHaveURL(/walkthrough.*front=millers-wide-end/);
});

test('what mends a call is offered and done, and two schools stand side by side', async ({ page }) => {
  await enter(
    page,
    'coach',
    '/walkthrough?play=inside-zone-z1&formation=h-back&front=LE%205%20left;%20N%201%20left;%20T%203%20right;%20RE%205%20right;%20W%2030%20left;%20M%2010%20right;%20S%20(9,%2012)',
  );
  await expect(page.getByRole('status').first()).toContainText('At risk');
  await expect(page.getByText(/^At risk as they stand; \d+ of \d+ movements add to it\./)).toBeVisible();
  await page.getByRole('button', { name: 'Call insert' }).click();
  await expect(page.getByRole('status').first()).toContainText('Sound');
  await expect(page.getByText(/ movements put it at risk or break it\.|^Sound under all/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Compare with' }).selectOption({ label: 'Inside zone, help play side' });
  await expect(page.getByRole('row', { name: /^Other school/ })).toContainText('Help, one hand T, then S');
});

test('a call is typed by its name, and one that cannot be read says which part', async ({ page }) => {
  await enter(page, 'coach', '/walkthrough');
  const field = page.getByRole('textbox', { name: 'Call it by its name' });
  await field.fill('Hazel Plough rigt');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toContainText('the side cannot be read: found "rigt"; did you mean "right"?');
  await field.fill('hazel plough left wrap');
  await field.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Play' })).toContainText('Power');
  await expect(page.getByRole('combobox', { name: 'Side' })).toContainText('left');
  await expect(page.getByRole('button', { name: 'wrap', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('the words of the week are heard on the board', async ({ page }) => {
  await enter(page, 'coach', '/team/words');
  await page.getByRole('textbox', { name: 'Name of another set' }).fill('Week 6');
  // The answer to the new set comes while its first word is being typed.
  let answer = (): void => {};
  const held = new Promise<void>((go) => (answer = go));
  await page.route('**/api/program', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('button', { name: 'Another set of words' }).click();
  const word = page.getByLabel('we double him, Week 6');
  await word.fill('Light');
  const kept = page.waitForResponse('**/api/program');
  answer();
  await kept;
  await word.pressSequentially('house');
  await expect(word).toHaveValue('Lighthouse');
  await word.blur();
  await page.getByRole('radio', { name: 'Week 6' }).check();
  await expect(page.getByRole('status')).toContainText('“Week 6” are in force');
  await page.goto('/walkthrough');
  await expect(page.getByText('“Lighthouse”').first()).toBeVisible();
  await page.goto('/team/words');
  await page.getByRole('radio', { name: 'Everyday' }).check();
  await expect(page.getByRole('status')).toContainText('“Everyday” are in force');
});

test('an assistant may only draft, and says so', async ({ page }) => {
  await enter(page, 'assistant', '/rules/power-lantern');
  await expect(page.getByRole('button', { name: 'Retire' })).toHaveCount(0);
  const answer = await page.request.post('/api/playbook', {
    data: { texts: [{ shelf: 'fronts', text: 'front x "X"\nN 0\n' }] },
  });
  expect(answer.status()).toBe(403);
});

test('a formation is drawn with the keyboard, kept and offered everywhere at once', async ({ page }) => {
  await enter(page, 'coach', '/formations');
  await page.getByRole('button', { name: 'Tight end and wing right' }).click();
  const notation = page.getByRole('textbox', { name: 'Formation in notation' });
  await page.getByRole('button', { name: /^Z\. Arrow keys/ }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect(notation).toHaveValue(/Z \(17, -3\)/);
  await page.keyboard.press('Control+z');
  await expect(notation).toHaveValue(/Z \(16\.5, -3\)/);
  await page.getByRole('textbox', { name: 'Name' }).fill('Wide wing');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('status')).toContainText('Saved as "Wide wing"');
  await notation.fill('LT LG C RG\nZ wing');
  await expect(page.getByRole('alert').first()).toContainText('line 2, column 1: say on which side Z stands');
  await page.goto('/walkthrough?formation=wide-wing');
  await expect(page.getByRole('combobox', { name: 'Formation' })).toContainText('Wide wing');
});

test('a new play begins in the list, blank or from a school', async ({ page }) => {
  await enter(page, 'coach', '/rules');
  await page.getByRole('button', { name: 'New play' }).click();
  const form = page.getByRole('form', { name: 'New play' });
  await form.getByLabel('Name').fill('Power');
  await expect(form).toContainText('called like that already');
  await form.getByLabel('Name').fill('Power, bridge way');
  await form.getByRole('combobox', { name: 'Begins as' }).selectOption({ label: 'Power' });
  await form.getByRole('button', { name: 'Write its rules' }).click();
  await expect(page).toHaveURL(/rules\/power-bridge-way/);
  await expect(page.getByRole('textbox', { name: 'Rules as text' })).toContainText('Power, bridge way');
  await expect(page.getByText('reads well')).toBeVisible();
});
