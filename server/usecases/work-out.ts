import { createError } from 'h3';
import type { Member } from '../session/member';
import { playbookOf } from './playbook';
import { readProgram } from './program';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { resolveCall, type Ways } from '#core/calls/resolve-call';
import type { Resolution } from '#core/model/resolution';
import type { Call } from '#core/model/snap';

/** Works a call out the way given, or 400 with what is wrong with it. */
export function workOut(call: Call, ways?: Ways): Resolution {
  const result = resolveCall(call, ways);
  if (result.ok) return result.value;
  throw createError({
    statusCode: 400,
    message: `${result.diagnostics.map(wordDiagnostic).join('; ')}. Nothing was changed.`,
  });
}

/** The program's own texts, limits and words of the week. */
export async function waysOf(member: Member): Promise<Ways> {
  const [playbook, body] = await Promise.all([playbookOf(member), readProgram(member)]);
  return { playbook, settings: body.settings, words: body.callWords?.sets[body.callWords.active] };
}
