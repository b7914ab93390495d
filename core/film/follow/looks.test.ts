import { describe, expect, it } from 'vitest';
import type { Track } from './follow';
import { looksAt, placedAt } from './looks';

const PLAY = { framesPerSecond: 30, start: -1 / 30 };
const track = (id: string, speed: number, error: number, frames = 60): Track => ({
  id,
  team: 'defence',
  places: Array.from({ length: frames }, (_, f) => ({ x: speed * (f - 1), y: 1, z: 3, error, seen: 1 })),
});

describe('men who were followed', () => {
  it('are where their tracks have them at a moment, as well known as they were followed and no better', () => {
    const [place, sure] = placedAt([track('N', 0.2, 0.6), track('T', 0, 0)], PLAY, 0.5);
    expect(place).toMatchObject({ id: 'N', team: 'defence', y: 1 });
    expect(place!.x).toBeCloseTo(3, 9);
    expect(place!.spread.xx + place!.spread.yy).toBeCloseTo(0.36, 9);
    expect(sure!.spread.xx + sure!.spread.yy).toBeCloseTo(0.01, 9);
  });

  it('are nowhere after they were followed', () => {
    expect(placedAt([track('N', 0.2, 0.1), track('T', 0, 0.1, 10)], PLAY, 0.5).map((m) => m.id)).toEqual(['N']);
    expect(placedAt([track('N', 0.2, 0.1)], PLAY, 9)).toEqual([]);
  });

  it('are looked at at the snap and in the first second after it', () => {
    const { atSnap, looks } = looksAt([track('N', 0.2, 0.1)], PLAY);
    expect(atSnap[0]!.x).toBeCloseTo(0, 9);
    expect(looks.map((l) => l.seconds).every((s) => s > 0 && s < 1)).toBe(true);
    for (const { seconds, men } of looks) expect(men[0]!.x).toBeCloseTo(0.2 * 30 * seconds, 9);
  });
});
