import { expect, test } from '@playwright/test';
import { enter } from './people';

test('styles and scripts that somebody put into the page do nothing; our own components and charts look as they should', async ({
  page,
}) => {
  await enter(page, 'coach', '/book');
  await expect(page.getByRole('table', { name: 'By man' })).toBeVisible();
  const done = await page.evaluate(async () => {
    const refused: string[] = [];
    const isAllRefused = new Promise<void>((done) =>
      document.addEventListener('securitypolicyviolation', (e) => {
        if (refused.push(e.effectiveDirective) === 3) done();
      }),
    );
    const place = document.body.appendChild(document.createElement('div'));
    place.innerHTML = '<style>#place { display: none }</style><p style="color: rgb(1, 2, 3)">here</p>';
    const script = document.createElement('script');
    script.textContent = 'window.wasHere = true';
    place.append(script);
    const guessed = document.createElement('style');
    guessed.nonce = 'guessed';
    guessed.textContent = '#place { visibility: hidden }';
    place.append(guessed);
    await isAllRefused;
    const shown = getComputedStyle(document.querySelector('#place')!);
    return {
      refused: refused.sort(),
      shown: [shown.display === 'none', shown.visibility],
      colour: getComputedStyle(place.querySelector('p')!).color,
      ran: 'wasHere' in window,
    };
  });
  expect(done).toEqual({
    refused: ['script-src-elem', 'style-src-elem', 'style-src-elem'],
    shown: [false, 'visible'],
    colour: 'rgb(1, 2, 3)',
    ran: false,
  });
});

test('every answer has a number of its own, and who has the page keeps it with the one it came with', async ({
  request,
}) => {
  const [one, two] = [await request.get('/login'), await request.get('/login')];
  const number = (policy: string): string => /style-src-elem[^;]*'nonce-([^']+)'/.exec(policy)![1]!;
  const [first, second] = [one, two].map((a) => number(a.headers()['content-security-policy']!));
  expect(first).not.toBe(second);
  expect(await one.text()).toContain(`nonce="${first}"`);
  expect(one.headers()['content-security-policy']).not.toMatch(/(script|style)-src(-elem)? [^;]*unsafe-inline/);
  const again = await request.get('/login', { headers: { 'if-none-match': one.headers().etag! } });
  expect(again.status()).toBe(304);
  expect(again.headers()['content-security-policy']).toBeUndefined();
});
