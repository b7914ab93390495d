import { existsSync, readFileSync, statSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_SNAPS, demoClip, demoClipFile } from '#demo/scenario';
import { ANGLES } from '#core/model/snap';
import { ClipRow, GradeRow, ProgramRow, SnapRow } from '../../server/db/models';
import { loadDemo } from '../../server/usecases/load-demo';
import { freshDatabase } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

describe('the demo program', () => {
  it('loads once, whole, into an empty database only', async () => {
    await loadDemo();
    await loadDemo();
    expect(await ProgramRow.count()).toBe(1);
    expect(await SnapRow.count()).toBe(DEMO_SNAPS.length);
    expect(await ClipRow.count()).toBe(DEMO_SNAPS.length * 2);
    expect(await GradeRow.count()).toBeGreaterThan(30);
  });

  it('has film and truth of every snap, from both angles, that agree with the clips’ frames', () => {
    expect(DEMO_SNAPS.length).toBeGreaterThanOrEqual(12);
    DEMO_SNAPS.forEach((snap, i) => {
      const clip = demoClip(i + 1);
      for (const angle of ANGLES) {
        const file = `demo/film/${demoClipFile(i + 1, angle)}`;
        expect(existsSync(file)).toBe(true);
        expect(statSync(file).size).toBeLessThan(400_000);
      }
      const truth = JSON.parse(readFileSync(`demo/film/snap-${String(i + 1).padStart(2, '0')}.truth.json`, 'utf8')) as {
        inches: number[][];
        men: { id: string }[];
        faults: unknown;
        snapFrame: number;
      };
      expect(truth.inches).toHaveLength(clip.frames);
      expect(truth.inches.every((row) => row.length === truth.men.length * 2)).toBe(true);
      expect(truth.faults).toEqual(snap.faults);
    });
  });
});
