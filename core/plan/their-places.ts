import type { Playbook } from '../calls/playbook';
import type { Settings } from '../model/settings';
import type { WeekPlan } from '../model/week-plan';

/**
 * Whoever stands on a look of the week, by the letters he has there, in the order in which they stand from left to right on the likeliest look
 * he is on. Looks that cannot be lined up against the plan's first formation are left out.
 */
export function theirPlaces(
  { plays, looks }: Pick<WeekPlan, 'plays' | 'looks'>,
  playbook: Pick<Playbook, 'formation' | 'front'>,
  settings?: Settings,
): string[] {
  const formation = playbook.formation(plays[0]?.formation ?? 'five-man');
  if (!formation.ok) return [];
  const found: string[] = [];
  for (const { front } of [...looks].sort((a, b) => b.weight - a.weight)) {
    const read = playbook.front(front, formation.value, settings);
    if (!read.ok) continue;
    const standing = [...read.value.defenders].sort((a, b) => a.x - b.x).map((d) => d.id);
    found.push(...standing.filter((id) => !found.includes(id)));
  }
  return found;
}
