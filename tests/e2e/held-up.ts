import type { Page } from '@playwright/test';

/** How long a request is held up, milliseconds. */
const HELD = 600;

/**
 * From the next page on, requests for a path are held up and then go on, or fail as where no server can be reached. It is done in the page
 * itself: when the browser is told from outside, the first request is let through now and then.
 */
export async function holdUp(page: Page, path: string, then: 'goes on' | 'fails'): Promise<void> {
  await page.addInitScript(
    ({ path, fails, held }) => {
      const fetched = window.fetch.bind(window);
      window.fetch = async (input, init) => {
        const url = new URL(input instanceof Request ? input.url : String(input), location.href);
        if (url.pathname !== path) return fetched(input, init);
        await new Promise((go) => setTimeout(go, held));
        if (fails) throw new TypeError('Failed to fetch');
        return fetched(input, init);
      };
    },
    { path, fails: then === 'fails', held: HELD },
  );
}
