import { BODY } from '../../geometry/tolerances';
import { errorOf, withError, type Measure } from './measure';

/** Two blockers whose noses are a shoulder width apart stand hip to hip, feet. */
const HIP_TO_HIP = 2 * BODY;

/** The room between the hips of two who double a man, while both have him. */
export const hipGapMeasure: Measure = {
  name: 'Between the hips of the double',
  trust: 'the end zone',
  of: ({ assignments, meetings, tracks }, man) => {
    const target = man.team === 'offence' ? assignments.find((a) => a.blocker === man.id)?.target : null;
    const partner = target && assignments.find((a) => a.target === target && a.blocker !== man.id)?.blocker;
    const other = partner && tracks.find((t) => t.team === 'offence' && t.id === partner);
    if (!target || !other) return null;
    const spans = [man.id, partner].map((id) => meetings.find((m) => m.blocker === id && m.defender === target));
    const [a, b] = spans;
    if (!a || !b) return null;
    const from = Math.max(a.from, b.from);
    const to = Math.min(a.to ?? man.places.length - 1, b.to ?? man.places.length - 1);
    if (to < from) return null;
    const gaps = Array.from({ length: to - from + 1 }, (_, i) => {
      const [p, q] = [man.places[from + i]!, other.places[from + i]!];
      return Math.max(0, Math.hypot(p.x - q.x, p.y - q.y) - HIP_TO_HIP);
    }).sort((p, q) => p - q);
    const value = gaps[Math.floor(gaps.length / 2)]!;
    const error = Math.hypot(errorOf(man.places[from]!), errorOf(other.places[from]!));
    return { says: `${withError(value, error, 'ft')}, with ${partner}`, value, error };
  },
};
