import { error, type Result } from '../diagnostics/diagnostic';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Resolution } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { Call } from '../model/snap';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { resolve } from '../movement/play';
import type { CallWords } from '../model/call-words';
import { SHIPPED_PLAYBOOK, type Playbook } from './playbook';

const TOP = { line: 1, column: 1, endColumn: 1 };

/** A shipped scheme, compiled once: compiled schemes hold no state. */
export const shippedScheme = (id: string): Result<CompiledScheme> => SHIPPED_PLAYBOOK.scheme(id);

export interface WorkedCall {
  readonly scheme: CompiledScheme;
  readonly formation: Formation;
  readonly front: Front;
  readonly resolution: Resolution;
}

/** How a program works calls out: its own texts, its limits and its words. */
export interface Ways {
  readonly playbook: Playbook;
  readonly settings?: Settings;
  readonly words?: CallWords;
}

/** Works out a call whose formation and front are inline texts. */
export function workCall(
  call: Call,
  { playbook, settings, words }: Ways = { playbook: SHIPPED_PLAYBOOK },
): Result<WorkedCall> {
  const scheme = playbook.scheme(call.scheme);
  if (!scheme.ok) return scheme;
  const unknown = call.tags.find((t) => !scheme.value.tags.some((known) => known.name === t));
  if (unknown !== undefined) {
    const known = scheme.value.tags.map((t) => t.name).join(', ') || 'none';
    return {
      ok: false,
      diagnostics: [error('resolve.tag-unknown', TOP, { scheme: call.scheme, tag: unknown, known })],
    };
  }
  const formation = readFormation(call.formation, 'called', call.formationName);
  if (!formation.ok) return formation;
  const front = readFront(call.front, formation.value, 'called', call.frontName, settings);
  if (!front.ok) return front;
  const { value } = formation;
  const resolution = resolve(scheme.value, value, front.value, {
    side: call.side,
    tags: call.tags,
    settings,
    words,
    overrides: call.overrides,
  });
  return {
    ok: true,
    value: { scheme: scheme.value, formation: value, front: front.value, resolution },
    diagnostics: [],
  };
}

/** As `workCall`, the resolution alone. */
export function resolveCall(call: Call, ways?: Ways): Result<Resolution> {
  const worked = workCall(call, ways);
  return worked.ok ? { ...worked, value: worked.value.resolution } : worked;
}
