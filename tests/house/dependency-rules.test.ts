import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { cruise, type ICruiseOptions } from 'dependency-cruiser';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const rules = createRequire(import.meta.url)('../../.dependency-cruiser.cjs') as {
  forbidden: { name: string }[];
  options: ICruiseOptions;
};

/** One breach a rule: the files planted, and which rule has to speak up. */
const BREACHES: readonly { rule: string; files: Record<string, string> }[] = [
  {
    rule: 'no-cycles',
    files: {
      'core/model/one.ts': "import type { Two } from './two';\nexport interface One { two: Two }",
      'core/model/two.ts': "import type { One } from './one';\nexport interface Two { one: One }",
    },
  },
  {
    rule: 'core-stands-alone',
    files: {
      'core/model/upward.ts': "import { x } from '../../server/db/models';\nexport const y = x;",
      'server/db/models.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'core-knows-no-machine',
    files: { 'core/model/reads.ts': "import { readFileSync } from 'node:fs';\nexport const y = readFileSync;" },
  },
  {
    rule: 'core-knows-no-machine',
    files: { 'core/model/reads-too.ts': "import { readFileSync } from 'fs';\nexport const y = readFileSync;" },
  },
  {
    rule: 'core-knows-no-tests',
    files: {
      'core/model/leans.ts': "import { x } from '../testing/some';\nexport const y = x;",
      'core/testing/some.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'app-and-server-apart',
    files: {
      'app/one.ts': "import { x } from '../server/two';\nexport const y = x;",
      'server/two.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'server-knows-no-app',
    files: {
      'server/three.ts': "import { x } from '../app/four';\nexport const y = x;",
      'app/four.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'cli-knows-core-only',
    files: {
      'cli/one.ts': "import { x } from '../demo/two';\nexport const y = x;",
      'demo/two.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'routes-go-through-usecases',
    files: {
      'server/api/some.get.ts': "import { x } from '../db/mappers';\nexport const y = x;",
      'server/db/mappers.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'cameras-share-no-measuring',
    files: {
      'demo/cameras/see.ts': "import { x } from '../../core/identify/look';\nexport const y = x;",
      'core/identify/look.ts': 'export const x = 1;',
    },
  },
  {
    rule: 'core-geometry-knows-earlier-stages-only',
    files: {
      'core/geometry/ahead.ts': "import type { X } from '../model/some';\nexport type Y = X;",
      'core/model/some.ts': 'export type X = number;',
    },
  },
  {
    rule: 'core-resolve-settle-knows-earlier-stages-only',
    files: {
      'core/resolve/settle/ahead.ts': "import { x } from '../judge/some';\nexport const y = x;",
      'core/resolve/judge/some.ts': 'export const x = 1;',
    },
  },
];

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'planted-'));
  for (const { files } of BREACHES)
    for (const [path, text] of Object.entries(files)) {
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      writeFileSync(join(folder, path), text);
    }
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('the rules of who may know whom', () => {
  const found = async (): Promise<readonly { rule: string; from: string }[]> => {
    const { tsConfig: _ours, ...options } = rules.options;
    const { output } = await cruise(['core', 'server', 'app', 'cli', 'demo'], {
      ...options,
      baseDir: folder,
      ruleSet: { forbidden: rules.forbidden } as ICruiseOptions['ruleSet'],
      validate: true,
    });
    if (typeof output === 'string') throw new Error('no result');
    return output.summary.violations.map((v) => ({ rule: v.rule.name, from: v.from }));
  };

  it('speak up at every planted breach', async () => {
    const violations = await found();
    for (const { rule, files } of BREACHES)
      expect(violations).toContainEqual({ rule, from: expect.stringMatching(Object.keys(files)[0]!) });
  });
});
