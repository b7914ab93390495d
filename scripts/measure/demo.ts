// Measures the demo game as a coach would have by now, and keeps it beside the film: `npm run measure:demo`. Only when the film changes.
import { writeFileSync } from 'node:fs';
import { keepTracks } from '#core/film/follow/keep';
import { workCall } from '#core/calls/resolve-call';
import { ANGLES } from '#core/model/angle';
import type { DemoMeasured } from '#demo/measured';
import { DEMO_SNAPS } from '#demo/scenario';
import { openCv } from './film';
import { followFilmed } from './following';
import { calibrationClicked, feetClicked, handOf, readTruth } from './truth';

const FOLDER = 'demo/film';
/** Cameras and feet of so many snaps are there, and everybody followed on so many: the rest is left to do. */
const MEASURED = 16;
const FOLLOWED = 8;

const { cv } = await openCv();
const measured: DemoMeasured[] = [];
for (const [i, snap] of DEMO_SNAPS.slice(0, MEASURED).entries()) {
  const number = i + 1;
  const worked = workCall(snap.call);
  if (!worked.ok) throw new Error(`snap ${number} cannot be worked out`);
  const truth = readTruth(FOLDER, number);
  const at = truth.snapFrame - 1;
  const hand = handOf(700 + number);
  const [endZone, sideline] = ANGLES.map((angle) => calibrationClicked(truth, angle, at, hand));
  const atSnap = feetClicked(truth, at, hand).feet;
  const cameras = { 'end zone': endZone!, sideline: sideline! };
  if (number > FOLLOWED) {
    measured.push({ cameras, atSnap, followed: null });
    continue;
  }
  const filmed = { truth, folder: FOLDER, number, call: worked.value, moves: false };
  const { tracks, ball } = followFilmed(cv, filmed, cameras, atSnap, truth.whistleFrame - at + 1);
  const { framesPerSecond } = truth;
  measured.push({ cameras, atSnap, followed: keepTracks(tracks, ball, framesPerSecond, -1 / framesPerSecond) });
  console.log(`snap ${number} followed`);
}
const short = (_key: string, value: unknown): unknown =>
  typeof value === 'number' && !Number.isInteger(value) ? Math.round(value * 100) / 100 : value;
writeFileSync(`${FOLDER}/measured.json`, `[\n${measured.map((m) => JSON.stringify(m, short)).join(',\n')}\n]\n`);
