// Writes core/library/embedded.ts from the .chalk and .json files, so that browser, server and command line see the same texts.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../core/library/', import.meta.url));
const shelves = { schemes: '.chalk', fronts: '.chalk', formations: '.chalk', spaces: '.json', drills: '.json' };

export function embeddedLibrary() {
  const parts = Object.entries(shelves).map(([shelf, ending]) => {
    const files = readdirSync(root + shelf)
      .filter((f) => f.endsWith(ending))
      .sort();
    const rows = files.map(
      (f) =>
        `    ${JSON.stringify(f.replace(ending, ''))}: ${JSON.stringify(readFileSync(`${root}${shelf}/${f}`, 'utf8'))},`,
    );
    return `  ${shelf}: {\n${rows.join('\n')}\n  },`;
  });
  return `// Made by scripts/embed-library.mjs from the files beside it; do not edit.\nexport const LIBRARY = {\n${parts.join('\n')}\n} as const;\n`;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(`${root}embedded.ts`, embeddedLibrary());
