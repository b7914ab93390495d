import { describe, expect, it } from 'vitest';
import { SettingsSchema, SHIPPED_SETTINGS, type Settings } from '#core/model/settings';
import { sayValue, WAYS } from './ways';

const ways = WAYS.flatMap((g) => g.ways);
/** Settings that have a table of their own. */
const ELSEWHERE: (keyof Settings)[] = ['aliases', 'movers', 'strengthSide'];

describe('the ways of a team', () => {
  it('are all there, each once, with what it changes', () => {
    const keys = ways.map((w) => w.key as string);
    expect(new Set(keys).size).toBe(keys.length);
    expect([...keys, ...ELSEWHERE].sort()).toEqual(Object.keys(SHIPPED_SETTINGS).sort());
    for (const { changes, says } of ways) expect([changes.endsWith('.'), says.length > 4]).toEqual([true, true]);
  });

  it('offer what can be kept and nothing else', () => {
    for (const way of ways)
      for (const { value } of way.options ?? []) {
        const parsed = SettingsSchema.safeParse({ ...SHIPPED_SETTINGS, [way.key]: value });
        expect([way.key, value, parsed.success]).toEqual([way.key, value, true]);
      }
    for (const way of ways.filter((w) => w.options))
      expect(way.options!.map((o) => o.value)).toContain(String(SHIPPED_SETTINGS[way.key]));
  });

  it('say every value by its name', () => {
    const strength = ways.find((w) => w.key === 'strength')!;
    expect([
      sayValue(strength, 'field'),
      sayValue(
        ways.find((w) => w.key === 'splitInches')!,
        30,
      ),
    ]).toEqual(['the wide side of the field', '30']);
  });
});
