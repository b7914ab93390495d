// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import { h, nextTick, ref, withDirectives } from 'vue';
import { parse } from 'vue/compiler-sfc';
import { typed } from './typed';

/** A field beside something that is drawn anew whenever an answer comes. */
function aField(tag: 'input' | 'textarea' = 'input') {
  const [value, answers] = [ref('Ferry'), ref(0)];
  const said = vi.fn();
  const change = (event: Event): void => void said((event.target as HTMLInputElement).value);
  const page = mount(() =>
    h('p', [String(answers.value), withDirectives(h(tag, { value: value.value, onChange: change }), [[typed]])]),
  );
  const field = page.get<HTMLInputElement>(tag).element;
  const type = (text: string): void => {
    field.value = text;
    field.dispatchEvent(new Event('input'));
  };
  return { value, answers, said, field, type };
}

describe('a field that is sent when it is left', () => {
  it.each(['input', 'textarea'] as const)('keeps what is typed in it while answers come in: %s', async (tag) => {
    const { field, type, answers, value, said } = aField(tag);
    type('Light');
    answers.value++;
    await nextTick();
    expect(field.value).toBe('Light');
    // Also where somebody else has changed that very field.
    value.value = 'Kite';
    await nextTick();
    type('Lighthouse');
    field.dispatchEvent(new Event('change'));
    expect(said).toHaveBeenCalledExactlyOnceWith('Lighthouse');
  });

  it('shows what is there once it is left, also what was refused or changed meanwhile', async () => {
    const { field, type, answers, value } = aField();
    type('Lighthouse');
    field.dispatchEvent(new Event('change'));
    answers.value++;
    await nextTick();
    expect(field.value).toBe('Ferry');
    type('Lamp');
    field.dispatchEvent(new Event('blur'));
    value.value = 'Kite';
    await nextTick();
    expect(field.value).toBe('Kite');
  });

  it('is left alone where nobody types', async () => {
    const { field, value } = aField();
    value.value = 'Kite';
    await nextTick();
    expect(field.value).toBe('Kite');
  });
});

interface Node {
  readonly tag?: string;
  readonly props?: readonly { type: number; name: string; arg?: { content: string }; value?: { content: string } }[];
  readonly children?: readonly Node[];
  readonly loc?: { readonly start: { readonly line: number } };
}
const [ATTRIBUTE, DIRECTIVE] = [6, 7];
/** Fields in which nothing is typed. */
const CLICKED = ['checkbox', 'radio', 'range', 'file', 'color'];

/** Fields of a template that are sent when they are left and do not keep what is typed in them. */
function forgetful(node: Node): number[] {
  const { props = [], tag = '' } = node;
  const has = (name: string, arg?: string): boolean =>
    props.some((p) => p.type === DIRECTIVE && p.name === name && (arg === undefined || p.arg?.content === arg));
  const type = props.find((p) => p.type === ATTRIBUTE && p.name === 'type')?.value?.content ?? 'text';
  const isSentWhenLeft =
    ['input', 'textarea'].includes(tag) && !CLICKED.includes(type) && has('bind', 'value') && has('on', 'change');
  const own = isSentWhenLeft && !has('on', 'input') && !has('typed') ? [node.loc!.start.line] : [];
  return [...own, ...(node.children ?? []).flatMap(forgetful)];
}
const fieldsIn = (source: string): number[] =>
  forgetful((parse(source).descriptor.template?.ast ?? {}) as unknown as Node);

describe('every field of every place', () => {
  it('keeps what is typed in it', () => {
    const files = readdirSync('app', { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.vue'));
    expect(files.length).toBeGreaterThan(100);
    expect(files.flatMap((f) => fieldsIn(readFileSync(`app/${f}`, 'utf8')).map((line) => `${f}:${line}`))).toEqual([]);
  });

  it('would be found if it did not', () => {
    const template = (inside: string): string => `<template><p>\n${inside}</p></template>`;
    expect(fieldsIn(template('<input :value="a" @change="b" />'))).toEqual([2]);
    expect(fieldsIn(template('<textarea :value="a" @change="b" />'))).toEqual([2]);
    expect(fieldsIn(template('<input v-typed :value="a" @change="b" />'))).toEqual([]);
    expect(fieldsIn(template('<input type="radio" :value="a" @change="b" />'))).toEqual([]);
  });
});
