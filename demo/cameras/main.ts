import { mkdirSync, writeFileSync } from 'node:fs';
import { workCall } from '#core/calls/resolve-call';
import { wordDiagnostic } from '#core/diagnostics/wording';
import type { ClipBody } from '#core/model/snap';
import { ANGLES, type Angle } from '#core/model/angle';
import { DEMO_SNAPS, demoClipFile, type DemoSnap } from '../scenario';
import { SCOUTED_SNAPS, scoutedClipFile } from '../scouted';
import { film } from './film';
import { MILLERS, TERNS } from './kits';
import type { Camera } from './lens';
import { asPhone } from './phone';
import { FRAMES_PER_SECOND, OWN_GAME, runPlay, SNAP_FRAME, type Teams } from './play';

const HASH_X = { left: -26.67, middle: 0, right: 26.67 } as const;

/** Every drive starts near our own 25 and goes three yards a snap: a dozen snaps stay well inside the field. */
const yardLineOf = (number: number): number => 27 + ((number - 1) % 12) * 3;

/** A game that is filmed. */
interface Game {
  readonly snaps: readonly DemoSnap[];
  readonly teams: Teams;
  /** The beginning of its files' names, and where its clips are written down. */
  readonly prefix: string;
  readonly list: string;
  readonly fileOf: (number: number, angle: Angle) => string;
  readonly seed: number;
}
const OWN: Game = {
  ...{ snaps: DEMO_SNAPS, teams: OWN_GAME },
  ...{ prefix: 'snap', list: 'film.json', fileOf: demoClipFile, seed: 4000 },
};
const SCOUTED: Game = {
  ...{ snaps: SCOUTED_SNAPS, teams: { offence: MILLERS, defence: TERNS } },
  ...{ prefix: 'scouted', list: 'scouted.json', fileOf: scoutedClipFile, seed: 6100 },
};

/** Films a game, or only some of its snaps, into a folder: both angles and a truth file for every snap. */
async function remake(game: Game, folder: string, only: readonly number[], from: 'stand' | 'hand'): Promise<void> {
  mkdirSync(folder, { recursive: true });
  const clips: ClipBody[] = [];
  for (const [i, snap] of game.snaps.entries()) {
    const number = i + 1;
    const worked = workCall(snap.call);
    if (!worked.ok) throw new Error(`snap ${number}: ${worked.diagnostics.map(wordDiagnostic).join('; ')}`);
    const seed = game.seed + number * 17;
    const take = runPlay(worked.value, snap, seed, game.teams);
    const number2 = String(number).padStart(2, '0');
    const clip: ClipBody = {
      framesPerSecond: FRAMES_PER_SECOND,
      frames: take.frames.length,
      snapFrame: SNAP_FRAME,
      contactFrame: take.contactFrame,
      ...(take.throwFrame !== undefined && { throwFrame: take.throwFrame }),
      whistleFrame: take.whistleFrame,
    };
    clips.push(clip);
    if (only.length > 0 && !only.includes(number)) continue;
    const field = { yardLine: yardLineOf(number), ballX: HASH_X[snap.situation.hash] };
    const cameras: Record<string, Camera[]> = {};
    for (const angle of ANGLES)
      cameras[angle] = await film(take, { angle, field, seed, from }, `${folder}/${game.fileOf(number, angle)}`);
    const inches = (feet: number): number => Math.round(feet * 12);
    const truth = {
      ...clip,
      field,
      cameras,
      movement: worked.value.front.movements,
      faults: snap.faults,
      happened: take.happened,
      gainYards: take.gain,
      men: take.frames[0]!.men.map(({ id, team, number: jersey }) => ({ id, team, number: jersey })),
      // Feet times twelve: x, y of every man, frame by frame, in the order of `men`.
      inches: take.frames.map((f) => f.men.flatMap((m) => [inches(m.x), inches(m.y)])),
    };
    writeFileSync(`${folder}/${game.prefix}-${number2}.truth.json`, `${JSON.stringify(truth)}\n`);
    console.log(`snap ${number}: ${take.frames.length} frames, ${take.gain} yards`);
  }
  if (only.length === 0)
    writeFileSync(`${folder}/${game.list}`, `[\n${clips.map((c) => `  ${JSON.stringify(c)}`).join(',\n')}\n]\n`);
}

/** The hand-held films of some snaps from the sideline, as a phone would have written them. */
function asPhones(folder: string, only: readonly number[]): void {
  mkdirSync(folder, { recursive: true });
  for (const number of only) {
    const held = demoClipFile(number, 'sideline');
    asPhone(`demo/film/hand-held/${held}`, `${folder}/${held.replace('.webm', '.mp4')}`);
  }
}

const [folder = 'demo/film', ...words] = process.argv.slice(2);
const only = words.map(Number).filter(Number.isFinite);
if (words.includes('phone')) asPhones(folder, only);
else await remake(words.includes('scouted') ? SCOUTED : OWN, folder, only, words.includes('hand') ? 'hand' : 'stand');
