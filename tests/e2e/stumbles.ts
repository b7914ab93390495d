import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What a second theme can change of what is looked at. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block'];

/**
 * What a screen reader or a keyboard stumbles over on the page as it stands: a line a rule broken, with the elements.
 * Only what is broken is carried out of the page, and it is put into words there: no frames of others are shown
 * anywhere here, and a blank page of its own for the words takes longer than the looking.
 */
export async function stumbles(page: Page, only: 'everything' | 'colours' = 'everything'): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ['violations'], ...(only === 'colours' ? { runOnly: OF_COLOUR } : {}) })
    .setLegacyMode(true)
    .analyze();
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`);
}
