import { mkdirSync, writeFileSync } from 'node:fs';
import { workCall } from '#core/calls/resolve-call';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { ANGLES, type ClipBody } from '#core/model/snap';
import { DEMO_SNAPS, demoClipFile } from '../scenario';
import { film } from './film';
import { FRAMES_PER_SECOND, runPlay, SNAP_FRAME } from './play';

const HASH_X = { left: -26.67, middle: 0, right: 26.67 } as const;

/** Films the whole demo game into a folder: both angles and a truth file for every snap. */
async function remake(folder: string, only: number | null): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const clips: ClipBody[] = [];
  for (const [i, snap] of DEMO_SNAPS.entries()) {
    const number = i + 1;
    const worked = workCall(snap.call);
    if (!worked.ok) throw new Error(`snap ${number}: ${worked.diagnostics.map(wordDiagnostic).join('; ')}`);
    const seed = 4000 + number * 17;
    const take = runPlay(worked.value, snap, seed);
    const clip: ClipBody = {
      framesPerSecond: FRAMES_PER_SECOND,
      frames: take.frames.length,
      snapFrame: SNAP_FRAME,
      contactFrame: take.contactFrame,
      whistleFrame: take.whistleFrame,
    };
    clips.push(clip);
    if (only !== null && only !== number) continue;
    const field = { yardLine: 24 + number * 3, ballX: HASH_X[snap.situation.hash] };
    for (const angle of ANGLES) await film(take, angle, field, seed, `${folder}/${demoClipFile(number, angle)}`);
    const inches = (feet: number): number => Math.round(feet * 12);
    const truth = {
      ...clip,
      faults: snap.faults,
      gainYards: take.gain,
      men: take.frames[0]!.men.map((m) => ({ id: m.id, team: m.team, number: m.number })),
      // Feet times twelve: x, y of every man, frame by frame, in the order of `men`.
      inches: take.frames.map((f) => f.men.flatMap((m) => [inches(m.x), inches(m.y)])),
    };
    writeFileSync(`${folder}/snap-${String(number).padStart(2, '0')}.truth.json`, `${JSON.stringify(truth)}\n`);
    console.log(`snap ${number}: ${take.frames.length} frames, ${take.gain} yards`);
  }
  if (only === null)
    writeFileSync(`${folder}/film.json`, `[\n${clips.map((c) => `  ${JSON.stringify(c)}`).join(',\n')}\n]\n`);
}

await remake(process.argv[2] ?? 'demo/film', process.argv[3] ? Number(process.argv[3]) : null);
