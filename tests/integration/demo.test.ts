import { existsSync, readFileSync, statSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_SNAPS, demoClip, demoClipFile } from '#demo/scenario';
import { PLAYED_GAMES } from '#demo/season';
import { latestGame } from '#core/model/game';
import { ANGLES } from '#core/model/angle';
import { ClipRow, GradeRow, ProgramRow, SnapRow } from '../../server/db/models';
import { isInCut } from '#core/film/log/cut';
import { findMember } from '../../server/session/member';
import { listCuts } from '../../server/usecases/cuts';
import { listSnaps, readSnap } from '../../server/usecases/film';
import { listGames } from '../../server/usecases/schedule';
import { loadDemo } from '../../server/usecases/load-demo';
import { freshDatabase } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

describe('the demo program', () => {
  it('loads once, whole, into an empty database only', async () => {
    await loadDemo({ enterable: true });
    await loadDemo({ enterable: true });
    expect(await ProgramRow.count()).toBe(1);
    const played = PLAYED_GAMES.reduce((sum, game) => sum + game.snaps, 0);
    expect(await SnapRow.count()).toBe(DEMO_SNAPS.length + played);
    expect(await ClipRow.count()).toBe(DEMO_SNAPS.length * 2);
    expect(await GradeRow.count()).toBeGreaterThan(30);
  });

  it('has cuts that hold snaps, notes within their film, and a substitute who has his own place', async () => {
    const program = (await ProgramRow.findOne())!;
    const coach = (await findMember(1, program.id))!;
    const game = latestGame(await listGames(coach));
    const snaps = await listSnaps(coach, game!.id);
    for (const { cut, name } of await listCuts(coach))
      expect(snaps.filter((s) => isInCut(cut, s)).length, name).toBeGreaterThan(1);
    const noted = (await Promise.all(snaps.map((s) => readSnap(coach, s.id)))).flatMap(({ notes, clips }) =>
      notes.map((n) => n.until < clips.find((c) => c.id === n.clipId)!.frames),
    );
    expect([noted.length > 0, noted.every(Boolean)]).toEqual([true, true]);
    const guard = async (at: number) =>
      (await readSnap(coach, snaps[at - 1]!.id)).field.find((m) => m.seat === 'LG')?.number;
    expect([await guard(8), await guard(9), await guard(17)]).toEqual([64, 66, 64]);
    const places = snaps.map((s) => s.situation.toGoal);
    expect(places.every((p) => p !== null && p > 0 && p < 100)).toBe(true);
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
