// Bundles every bench/*.bench.ts and runs them one after the other in this process; rates are compared within this one run.
import { build } from 'esbuild';
import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = new URL('..', import.meta.url).pathname;
// One of them runs the command line, which has to be this code's.
await import('./build-cli.mjs');
const wanted = process.argv.slice(2);
// Below the project, so that packages left out of the bundle are found.
mkdirSync(join(root, 'node_modules/.cache'), { recursive: true });
const out = mkdtempSync(join(root, 'node_modules/.cache/bench-'));
try {
  for (const file of readdirSync(join(root, 'bench')).filter(
    (f) => f.endsWith('.bench.ts') && (wanted.length === 0 || wanted.some((w) => f.startsWith(w))),
  )) {
    const outfile = join(out, file.replace('.ts', '.mjs'));
    await build({
      entryPoints: [join(root, 'bench', file)],
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      outfile,
      external: ['@playwright/test', 'sequelize', 'pg', 'umzug', '@adonisjs/hash', 'pdfmake'],
      alias: { '#core': join(root, 'core'), '#demo': join(root, 'demo') },
      logLevel: 'error',
      banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    });
    console.log(`\n== ${file.replace('.bench.ts', '')}`);
    await import(pathToFileURL(outfile).href);
  }
} finally {
  rmSync(out, { recursive: true, force: true });
}
