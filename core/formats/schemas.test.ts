import { describe, expect, it } from 'vitest';
import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { languageReference } from '../reports/language-reference';
import { WORDS } from '../vocabulary/index';
import { PUBLISHED, schemaText } from './schemas';

const docs = (path: string): string => fileURLToPath(new URL(`../../docs/${path}`, import.meta.url));

describe('published documents', () => {
  it.each(Object.keys(PUBLISHED) as (keyof typeof PUBLISHED)[])('the schema of %s is what the model says', (name) => {
    expect(existsSync(docs(`schemas/${name}.schema.json`))).toBe(true);
    expect(readFileSync(docs(`schemas/${name}.schema.json`), 'utf8')).toBe(schemaText(name));
  });

  it('the reference of the rule language is what the vocabulary says, every word of it', () => {
    const text = languageReference();
    expect(readFileSync(docs('rule-language.md'), 'utf8')).toBe(text);
    for (const words of Object.values(WORDS))
      for (const word of Object.values<{ help: string }>(words)) expect(text).toContain(word.help);
  });
});
