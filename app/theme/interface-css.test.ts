import { describe, expect, it } from 'vitest';
import { interfaceCss } from './interface-css';

const sheet = interfaceCss();
const set = (text: string): Set<string> => new Set([...text.matchAll(/(--p-[\w-]+):/g)].map(([, name]) => name!));
const asked = (text: string): Set<string> => new Set([...text.matchAll(/var\((--p-[\w-]+)/g)].map(([, name]) => name!));

describe('the look of the interface library', () => {
  it('asks for no variable that it does not set, and sets none that nobody asks for', () => {
    expect([...asked(sheet)].filter((name) => !set(sheet).has(name))).toEqual([]);
    expect([...set(sheet)].filter((name) => !asked(sheet).has(name))).toEqual([]);
  });

  it('has rules for every part that is shown, in our colours, in both themes', () => {
    for (const part of ['.p-button', '.p-inputtext', '.p-select', '.p-select-option', '.p-iconfield'])
      expect(sheet).toContain(part);
    expect(sheet).toMatch(/--p-primary-color:\s*var\(--violet\)/);
    expect(sheet).toContain('[data-theme="board"]');
  });

  it('says the same every time it is made', () => {
    expect(interfaceCss()).toBe(sheet);
  });
});
