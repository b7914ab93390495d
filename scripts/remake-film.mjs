// Films the demo game again: npm run film [-- FOLDER [SNAP]]. Needs ffmpeg. Only when cameras or scenario change.
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const outfile = `${root}node_modules/.cache/violet-chalk/cameras.mjs`;
await build({
  entryPoints: [`${root}demo/cameras/main.ts`],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  external: ['@napi-rs/canvas'],
  alias: { '#core': `${root}core`, '#demo': `${root}demo` },
});
process.exit(
  spawnSync(process.execPath, [outfile, ...process.argv.slice(2)], { cwd: root, stdio: 'inherit' }).status ?? 1,
);
