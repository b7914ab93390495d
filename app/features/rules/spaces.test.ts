import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { libraryText } from '#core/library/library';
import { aMember } from '~/testing/a-member';
import { serve, type FakeServer } from '~/testing/fake-server';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import { useSpaces } from './spaces';

let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  server = serve();
  useSession().member = aMember();
});
const SPACE = JSON.stringify({ ...JSON.parse(libraryText('spaces', 'bear')!), id: 'two-looks', name: 'Two looks' });
const file = (text: string, name = 'space.json'): File => new File([text], name);
const spaces = (formation = 'five-man') => useSpaces(() => formation);

describe('spaces to prove over', () => {
  it('are the shipped ones and those around every front of the book, each with a text that is a space', () => {
    const { groups, textOf, problem } = spaces();
    expect(groups.value.map((g) => g.name)).toEqual([
      'Families of fronts',
      'Around one front, half a foot off',
      'Around one front, with all it can do after the snap',
    ]);
    for (const { choices } of groups.value)
      for (const { key } of choices.slice(0, 4)) expect(JSON.parse(textOf(key)), key).toHaveProperty('men');
    expect(problem.value).toBe('');
    const moving = textOf('moving over');
    expect(moving.length).toBeGreaterThan(textOf('around over').length);
  });

  it('take a coach’s own file into the program, over the one of that name, and let it go again', async () => {
    const { groups, take, textOf, ownOf, retire } = spaces();
    expect(await take(file(SPACE))).toBe('book two-looks');
    expect(server.kept('spaces', 'two-looks')).toBe(SPACE);
    expect(groups.value.find((g) => g.name === 'Our own')!.choices).toEqual([
      { key: 'book two-looks', name: 'Two looks' },
    ]);
    expect(textOf('book two-looks')).toBe(SPACE);
    expect(ownOf('book bear')).toBeNull();
    expect(await retire('book bear')).toBe(false);
    expect(await retire('book two-looks')).toBe(true);
    await usePlaybook().load();
    expect(groups.value.some((g) => g.name === 'Our own')).toBe(false);
  });

  it('keep an assistant’s file for this sitting alone', async () => {
    useSession().member = aMember({ role: 'assistant' });
    const { groups, take, textOf, ownOf } = spaces();
    expect(await take(file(SPACE))).toBe('sitting two-looks');
    expect(await take(file(SPACE))).toBe('sitting two-looks');
    expect(groups.value.find((g) => g.name === 'Taken for this sitting')!.choices).toHaveLength(1);
    expect([textOf('sitting two-looks'), ownOf('sitting two-looks'), server.count('spaces')]).toEqual([SPACE, null, 0]);
  });

  it.each([
    ['no JSON', 'men: all', 'space.json'],
    ['another shape', '{"id": "x", "name": "X", "men": "all"}', 'space.json'],
    ['more than any space', `"${'x'.repeat(200_001)}"`, 'larger than 200 kB'],
  ])('refuse a file that is none: %s', async (_what, text, says) => {
    const { take, problem } = spaces();
    expect(await take(file(text))).toBeNull();
    expect(problem.value).toContain(says);
    expect(problem.value).toContain('Nothing was taken.');
    expect(server.count('spaces')).toBe(0);
  });

  it('say so when one is gone, a front cannot stand there, or the server cannot be reached', async () => {
    const { textOf, take, problem } = spaces();
    expect(textOf('sitting gone')).toBe('');
    expect(problem.value).toContain('“gone” is no longer there');
    const broken = useSpaces(() => 'LT LG RG RT');
    expect(broken.textOf('around over')).toBe('');
    expect(broken.problem.value).toContain('cannot be read against LT LG RG RT');
    server.down();
    expect(await take(file(SPACE))).toBeNull();
    expect(problem.value).toBe('The server cannot be reached.');
  });
});
