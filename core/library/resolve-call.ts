import { error, type Result } from '../diagnostics/diagnostic';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { Call } from '../model/snap';
import type { CompiledScheme } from '../resolve/compile';
import { resolve } from '../resolve/resolve';
import { libraryIds, libraryText, schemeFrom } from './library';

const TOP = { line: 1, column: 1, endColumn: 1 };
const compiled = new Map<string, CompiledScheme>();

/** A shipped scheme, compiled once: compiled schemes hold no state. */
export function shippedScheme(id: string): Result<CompiledScheme> {
  const known = compiled.get(id);
  if (known) return { ok: true, value: known, diagnostics: [] };
  const text = libraryText('schemes', id);
  if (text === null) {
    return { ok: false, diagnostics: [error('text.expected', TOP, { expected: `a scheme (${libraryIds('schemes').join(', ')})`, found: `"${id}"` })] };
  }
  const read = schemeFrom(text);
  if (read.ok) compiled.set(id, read.value);
  return read;
}

export interface WorkedCall {
  readonly scheme: CompiledScheme;
  readonly formation: Formation;
  readonly front: Front;
  readonly resolution: Resolution;
}

/** Works out a call whose formation and front are inline texts. */
export function workCall(call: Call, settings?: Settings): Result<WorkedCall> {
  const scheme = shippedScheme(call.scheme);
  if (!scheme.ok) return scheme;
  const unknown = call.tags.find((t) => !scheme.value.tags.some((known) => known.name === t));
  if (unknown !== undefined) {
    const known = scheme.value.tags.map((t) => t.name).join(', ') || 'none';
    return { ok: false, diagnostics: [error('resolve.tag-unknown', TOP, { scheme: call.scheme, tag: unknown, known })] };
  }
  const formation = readFormation(call.formation, 'called', call.formationName);
  if (!formation.ok) return formation;
  const front = readFront(call.front, formation.value, 'called', call.frontName, settings);
  if (!front.ok) return front;
  const { value } = formation;
  const resolution = resolve(scheme.value, value, front.value, { side: call.side, tags: call.tags, settings, overrides: call.overrides });
  return { ok: true, value: { scheme: scheme.value, formation: value, front: front.value, resolution }, diagnostics: [] };
}

/** As `workCall`, the resolution alone. */
export function resolveCall(call: Call, settings?: Settings): Result<Resolution> {
  const worked = workCall(call, settings);
  return worked.ok ? { ...worked, value: worked.value.resolution } : worked;
}
