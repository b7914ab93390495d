// Bundles every bench/*.bench.ts and runs them one after the other in this process; rates are compared within this one run.
import { build } from 'esbuild';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = new URL('..', import.meta.url).pathname;
const wanted = process.argv.slice(2);
const out = mkdtempSync(join(tmpdir(), 'chalk-bench-'));
try {
  for (const file of readdirSync(join(root, 'bench')).filter((f) => f.endsWith('.bench.ts') && (wanted.length === 0 || wanted.some((w) => f.startsWith(w))))) {
    const outfile = join(out, file.replace('.ts', '.mjs'));
    await build({ entryPoints: [join(root, 'bench', file)], bundle: true, platform: 'node', format: 'esm', target: 'node20', outfile, alias: { '#core': join(root, 'core') }, logLevel: 'error',
      banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" } });
    console.log(`\n== ${file.replace('.bench.ts', '')}`);
    await import(pathToFileURL(outfile).href);
  }
} finally {
  rmSync(out, { recursive: true, force: true });
}
