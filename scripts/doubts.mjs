// Bundles the survey of doubts and runs it: `npm run doubts [FRONTS [SCHEME]]`.
import { build } from 'esbuild';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = new URL('..', import.meta.url).pathname;
mkdirSync(join(root, 'node_modules/.cache'), { recursive: true });
const out = mkdtempSync(join(root, 'node_modules/.cache/doubts-'));
try {
  const outfile = join(out, 'doubts.mjs');
  await build({
    entryPoints: [join(root, 'scripts/doubts.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile,
    alias: { '#core': join(root, 'core') },
    logLevel: 'error',
  });
  await import(pathToFileURL(outfile).href);
} finally {
  rmSync(out, { recursive: true, force: true });
}
