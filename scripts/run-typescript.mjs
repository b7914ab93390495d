// Bundles a TypeScript file of this project and runs it: `node scripts/run-typescript.mjs FILE [ARGUMENTS]`.
import { build } from 'esbuild';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = new URL('..', import.meta.url).pathname;
const [file] = process.argv.splice(2, 1);
mkdirSync(join(root, 'node_modules/.cache'), { recursive: true });
const out = mkdtempSync(join(root, 'node_modules/.cache/run-'));
try {
  const outfile = join(out, 'bundle.mjs');
  await build({
    entryPoints: [join(root, file)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    outfile,
    alias: { '#core': join(root, 'core'), '#demo': join(root, 'demo'), '#eyes': join(root, 'eyes') },
    // Not ours to bundle: machine code, and a library that wants its own file.
    external: ['@napi-rs/canvas', '@techstark/opencv-js'],
    logLevel: 'error',
  });
  await import(pathToFileURL(outfile).href);
} catch (error) {
  // By itself: some libraries print their whole source around what went wrong.
  console.error(error instanceof Error ? error.stack : error);
  process.exitCode = 1;
} finally {
  rmSync(out, { recursive: true, force: true });
}
