import type { CompiledScheme } from './compile';

/** Which tags a call changes: those called, and those on by default that are taken off. */
export interface TagChoice {
  readonly tags?: readonly string[];
  readonly without?: readonly string[];
}

/** Tags in force: the scheme's defaults, then what was called. */
export function tagsInForce(scheme: CompiledScheme, call: TagChoice): ReadonlySet<string> {
  const on = scheme.tags
    .filter((t) => t.on)
    .map((t) => t.name)
    .concat(call.tags ?? []);
  return new Set(on.filter((t) => !(call.without ?? []).includes(t)));
}

/** The choice with one tag the other way; a tag the scheme does not have changes nothing. */
export function toggleTag(
  scheme: CompiledScheme,
  { tags = [], without = [] }: TagChoice,
  name: string,
): { tags: string[]; without: string[] } {
  const tag = scheme.tags.find((t) => t.name === name);
  if (!tag) return { tags: [...tags], without: [...without] };
  const active = tagsInForce(scheme, { tags, without }).has(name);
  const others = { tags: tags.filter((t) => t !== name), without: without.filter((t) => t !== name) };
  if (active) return tag.on ? { ...others, without: [...others.without, name] } : others;
  return tag.on ? others : { ...others, tags: [...others.tags, name] };
}
