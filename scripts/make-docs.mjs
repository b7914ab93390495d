// Writes docs/rule-language.md and docs/schemas/ from the core.
import { build } from 'esbuild';
import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const out = mkdtempSync(join(tmpdir(), 'chalk-docs-'));
try {
  const entry = "export * from './core/reports/language-reference'; export * from './core/formats/schemas';";
  await build({
    stdin: { contents: entry, resolveDir: root, loader: 'ts' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: join(out, 'docs.mjs'),
    logLevel: 'error',
  });
  const { languageReference, PUBLISHED, schemaText } = await import(pathToFileURL(join(out, 'docs.mjs')).href);
  writeFileSync(join(root, 'docs/rule-language.md'), languageReference());
  mkdirSync(join(root, 'docs/schemas'), { recursive: true });
  for (const name of Object.keys(PUBLISHED))
    writeFileSync(join(root, `docs/schemas/${name}.schema.json`), schemaText(name));
} finally {
  rmSync(out, { recursive: true, force: true });
}
