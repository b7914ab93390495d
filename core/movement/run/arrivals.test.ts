import { describe, expect, it } from 'vitest';
import { workCall } from '../../calls/resolve-call';
import { arrivalsOf } from './arrivals';
import { runPlay, type RunEvent, type RunOptions } from './run';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
function arrivals(front: string, options: RunOptions = {}) {
  const worked = workCall({
    scheme: 'inside-zone-z1',
    side: 'right',
    tags: [],
    formation: 'LT LG C RG RT; B left',
    formationName: '',
    front,
    frontName: '',
    overrides: {},
  });
  if (!worked.ok) throw new Error(JSON.stringify(worked.diagnostics));
  const { formation, front: theirs, resolution } = worked.value;
  return arrivalsOf(runPlay(formation, theirs, resolution, options), resolution.assignments);
}

describe('who arrives when', () => {
  it('the men of a pair meet one man, and one of them the next', () => {
    const c = arrivals(OVER).find((a) => a.man === 'C')!;
    expect(c.meets.map((m) => m.on)).toEqual(['N', 'M']);
    expect(c.meets[0]!.at).toBeLessThan(c.meets[1]!.at);
  });

  it('nobody who meets his man before the ball does is late', () => {
    for (const a of arrivals(OVER))
      if (a.man === 'RG' || a.man === 'RT') expect(a).toMatchObject({ late: 0, never: null });
  });

  it('says by how much, and whom he never met', () => {
    const event = (kind: 'contact' | 'meets the ball', time: number): RunEvent =>
      kind === 'contact' ? { kind, time, man: 'C', on: 'M' } : { kind, time, who: 'M', depth: 1 };
    const run = {
      step: 1 / 60,
      men: [],
      frames: [],
      engaged: [],
      events: [event('meets the ball', 1.7), event('contact', 2)],
    };
    const [late] = arrivalsOf(run, [{ blocker: 'C', target: 'M', next: null }]);
    expect(late!.late).toBeCloseTo(0.3, 6);
    expect(
      arrivalsOf({ ...run, events: [event('meets the ball', 1.7)] }, [{ blocker: 'C', target: 'M', next: null }])[0],
    ).toMatchObject({ late: 0, never: 'M' });
  });

  it('a man who misses never meets his', () => {
    expect(arrivals(OVER, { quirks: { LT: 'misses' } }).find((a) => a.man === 'LT')!.meets).toEqual([]);
  });
});
