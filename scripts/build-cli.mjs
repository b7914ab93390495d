// Bundles the command line into one file, so that an answer takes a fraction of a second.
import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
await build({
  entryPoints: [`${root}cli/main.ts`],
  outfile: `${root}bin/chalk.cjs`,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  target: 'node20',
  minify: true,
  logLevel: 'warning',
});
