import type { Result } from '../diagnostics/diagnostic';
import { readFormation } from '../language/lineups/read-formation';
import type { Formation } from '../model/formation';
import type { Settings } from '../model/settings';
import type { Side } from '../model/side';
import { prepareCall, type Prepared } from '../resolve/prepare/prepare-call';
import { openSpace, type OpenSpace } from '../stress/space';
import { formationFrom, schemeFrom, spaceFrom } from '../library/library';

/** A proof as texts and plain data, so that it can cross to a worker. */
export interface StressJob {
  readonly scheme: string;
  readonly formation: { readonly text: string; readonly inline: boolean };
  readonly space: string;
  readonly side: Side;
  readonly tags: readonly string[];
  readonly without: readonly string[];
  readonly settings: Settings;
}

/** Fronts a worker does before it says how far it is. */
export const STRESS_CHUNK = 4_000;

/** Reads a job's texts. */
export function openJob(job: StressJob): Result<{ space: OpenSpace; prepared: Prepared; formation: Formation }> {
  const formation = job.formation.inline
    ? readFormation(job.formation.text)
    : formationFrom(job.formation.text, { splitInches: job.settings.splitInches });
  if (!formation.ok) return formation;
  const scheme = schemeFrom(job.scheme);
  if (!scheme.ok) return scheme;
  const data = spaceFrom(job.space);
  if (!data.ok) return data;
  const space = openSpace(data.value, formation.value, job.settings);
  if (!space.ok) return space;
  const prepared = prepareCall(scheme.value, formation.value, {
    side: job.side,
    tags: job.tags,
    without: job.without,
    settings: job.settings,
  });
  return { ok: true, value: { space: space.value, prepared, formation: formation.value }, diagnostics: [] };
}
