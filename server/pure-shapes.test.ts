import { build } from 'esbuild';
import { describe, expect, it } from 'vitest';
import { withPureShapes } from './pure-shapes';

const SHAPES = `
  import * as z from 'zod';
  export const SideSchema = z.enum(['left', 'right']);
  export const ManSchema = z.object({ id: z.string().min(1), side: SideSchema.nullable() }).strict();
  export const OtherSchema = ManSchema.extend({ at: z.tuple([z.number(), z.number()]) });
`;

/** What is left of the shapes where a page takes so much of them. */
async function leftOf(shapes: string, page: string): Promise<string> {
  const module = {
    name: 'shapes',
    setup(on: import('esbuild').PluginBuild): void {
      on.onResolve({ filter: /^shapes$/ }, () => ({ path: 'shapes', namespace: 'here' }));
      on.onLoad({ filter: /.*/, namespace: 'here' }, () => ({ contents: shapes }));
    },
  };
  const { outputFiles } = await build({
    stdin: { contents: page },
    plugins: [module],
    bundle: true,
    format: 'esm',
    external: ['zod'],
    write: false,
  });
  return outputFiles[0]!.text;
}

describe('shapes nothing is read with', () => {
  it('are left out of a page, and only because they are marked', async () => {
    const page = "import { SideSchema } from 'shapes'; console.log(SideSchema.options);";
    expect(await leftOf(SHAPES, page)).toContain('extend');
    const left = await leftOf(withPureShapes(SHAPES), page);
    expect(left).toContain('"left", "right"');
    expect(left).not.toMatch(/object|extend|nullable/);
  });

  it('stay where they are needed, with all they are made of', async () => {
    const left = await leftOf(withPureShapes(SHAPES), "import { OtherSchema } from 'shapes'; OtherSchema.parse(1);");
    expect(left).toMatch(/enum[\s\S]*object[\s\S]*extend/);
    expect(left).toContain('OtherSchema.parse(1)');
  });

  it('are read with as they stand: a reading may refuse', async () => {
    const reads = withPureShapes("import * as z from 'zod'; z.string().parse(1); SideSchema.safeParse(2);");
    expect(await leftOf('', reads)).toMatch(/safeParse\(2\)/);
    expect(withPureShapes('SideSchema.parse(given); GradeSchema.safeParse(given);')).not.toContain('PURE');
  });

  it.each(['buzz.string()', 'a.z.string()', '$z.string()', 'z.infer<typeof X>', 'xSchema.extend({})', 'z[name]()'])(
    'are not seen in %s',
    (code) => expect(withPureShapes(code)).toBe(code),
  );
});
