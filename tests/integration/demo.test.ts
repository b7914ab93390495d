import { readFileSync, statSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEMO_SNAPS, demoClip, demoClipFile } from '#demo/scenario';
import { SCOUTED_GAME, SCOUTED_SNAPS, scoutedClip, scoutedClipFile } from '#demo/scouted';
import { PLAYED_GAMES } from '#demo/season';
import { DEMO_PLAN } from '#demo/week';
import { shownFronts } from '#core/film/log/shown';
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
    expect(await SnapRow.count()).toBe(DEMO_SNAPS.length + SCOUTED_SNAPS.length + played);
    expect(await ClipRow.count()).toBe((DEMO_SNAPS.length + SCOUTED_SNAPS.length) * 2);
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

  it.each([
    { of: 'its own game', snaps: DEMO_SNAPS, prefix: 'snap', clip: demoClip, file: demoClipFile },
    { of: 'the scouted game', snaps: SCOUTED_SNAPS, prefix: 'scouted', clip: scoutedClip, file: scoutedClipFile },
  ])('has film and truth of every snap of $of, from both angles, that agree', ({ snaps, prefix, clip, file }) => {
    expect(snaps.length).toBeGreaterThanOrEqual(6);
    snaps.forEach((snap, i) => {
      for (const angle of ANGLES) {
        const { size } = statSync(`demo/film/${file(i + 1, angle)}`);
        expect(size).toBeGreaterThan(10_000);
        expect(size).toBeLessThan(400_000);
      }
      const number = String(i + 1).padStart(2, '0');
      const truth = JSON.parse(readFileSync(`demo/film/${prefix}-${number}.truth.json`, 'utf8')) as {
        inches: number[][];
        men: { id: string }[];
        faults: unknown;
        movement: unknown[];
      };
      expect(truth.inches).toHaveLength(clip(i + 1).frames);
      expect(truth.inches.every((row) => row.length === truth.men.length * 2)).toBe(true);
      expect(truth.faults).toEqual(snap.faults);
      expect(truth.movement.length > 0).toBe(/slants|loops|edge|gap/.test(snap.call.frontName));
    });
  });

  it('has a game of the next opponent’s to scout, whose fronts are in the plan of the week he comes', async () => {
    const program = (await ProgramRow.findOne())!;
    const coach = (await findMember(1, program.id))!;
    const games = await listGames(coach);
    const scouted = games.find((g) => g.theirs)!;
    expect(scouted).toMatchObject({ ...SCOUTED_GAME, snaps: SCOUTED_SNAPS.length, published: false });
    const snaps = await listSnaps(coach, scouted.id);
    expect(snaps.every((s) => s.angles.length === 2 && s.graded.length === 0)).toBe(true);
    const shown = shownFronts(snaps);
    for (const { frontName, snaps: numbers } of shown) {
      const look = DEMO_PLAN.looks.find((l) => l.frontName === frontName);
      if (look) expect(look.seen).toMatch(/week (2, )?5$/);
      expect(numbers.length).toBe(SCOUTED_SNAPS.filter((s) => s.call.frontName === frontName).length);
    }
    expect(shown[0]!.frontName).toBe('Over, tackle slants in');
  });
});
