import { css, Theme } from '@primeuix/styled';
import { style as base } from '@primeuix/styles/base';
import { style as button } from '@primeuix/styles/button';
import { style as iconfield } from '@primeuix/styles/iconfield';
import { style as inputtext } from '@primeuix/styles/inputtext';
import { style as select } from '@primeuix/styles/select';
import { style as virtualscroller } from '@primeuix/styles/virtualscroller';
import { chalkPreset } from './preset';

/** The parts of the interface library that are shown anywhere, by their names there. */
const PARTS = { button, iconfield, inputtext, select, virtualscroller };

/** How far a list stands from what opened it; the library looks for it in the first rules of every sheet only, where ours is not. */
const GAP = '.p-select-overlay { margin-block-start: 2px; }';

/** Drops the variables that no rule and no other variable asks for: most of the shipped colours. */
function withoutUnused(sheet: string): string {
  const asked = new Set([...sheet.matchAll(/var\((--p-[\w-]+)/g)].map(([, name]) => name));
  const kept = sheet.replace(/(--p-[\w-]+):[^;{}]*;/g, (said, name: string) => (asked.has(name) ? said : ''));
  return kept === sheet ? sheet : withoutUnused(kept);
}

/**
 * The whole look of the interface library in the product's own tokens, as one style sheet.
 * Made when the application is built: in the browser it would be reckoned anew on every first load, before anything is shown.
 */
export function interfaceCss(): string {
  Theme.setTheme({
    preset: chalkPreset,
    options: { prefix: 'p', darkModeSelector: '[data-theme="board"]', cssLayer: false },
  });
  const written = (style: unknown): string =>
    css`
      ${style}
    ` ?? '';
  const { primitive, semantic, global, style: common } = Theme.getCommon('base', {});
  const parts = Object.entries(PARTS).flatMap(([name, style]) => {
    const theme = Theme.getComponent(name, {});
    return [theme.css, written(style), theme.style];
  });
  const sheet = [primitive.css, semantic.css, global.css, written(base), common, ...parts, GAP]
    .filter(Boolean)
    .join('\n');
  return withoutUnused(sheet);
}
