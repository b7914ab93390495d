import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { advisoriesIn, isPermissive, objectionable } from '../../scripts/audit-rules.mjs';

describe('licences of what the application runs with', () => {
  it.each([
    ['MIT', true],
    ['(BSD-3-Clause OR GPL-2.0)', true],
    ['(MIT AND Zlib)', true],
    ['GPL-3.0', false],
    ['(MIT AND GPL-3.0)', false],
    ['MPL-2.0', false],
    ['SEE LICENSE IN x', false],
  ])('%s leaves a permissive way: %s', (expression, permissive) => expect(isPermissive(expression)).toBe(permissive));

  it('are asked of every package; one that says none is refused, one that was looked at is let through', () => {
    const packages = [
      { name: 'good', license: 'ISC' },
      { name: 'silent', license: undefined },
      { name: 'copyleft', license: 'AGPL-3.0' },
      { name: 'lightningcss-linux-x64-gnu', license: 'MPL-2.0' },
      { name: 'lightningcssish', license: 'MPL-2.0' },
    ];
    expect(objectionable(packages).map((p: { name: string }) => p.name)).toEqual([
      'silent',
      'copyleft',
      'lightningcssish',
    ]);
  });

  it('are all agreed to in what is installed here', () => {
    const said = execFileSync('node', ['scripts/audit.mjs', '--no-advisories'], { encoding: 'utf8' });
    expect(said).toMatch(/^\d+ packages, 0 with a licence that was not agreed to$/m);
  });
});

describe('known faults', () => {
  const fault = (name: string, severity: string) => ({ name, severity, range: '<2.0.0' });

  it('are told from high up, in order', () => {
    const vulnerabilities = { b: fault('b', 'critical'), c: fault('c', 'low'), a: fault('a', 'high') };
    expect(advisoriesIn({ vulnerabilities })).toEqual(['a <2.0.0: high', 'b <2.0.0: critical']);
    expect(advisoriesIn({ vulnerabilities: {} })).toEqual([]);
  });

  it('are unknown, which is not none, when nobody answers', () => {
    for (const answer of [null, '', { message: '405', error: {} }]) expect(advisoriesIn(answer)).toBeNull();
  });
});
