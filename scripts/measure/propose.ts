// Proposes marks from the followed demo film and compares them with what the cameras wrote down: `npm run propose [SNAP...]`.
import { workCall, type WorkedCall } from '#core/calls/resolve-call';
import { wouldHave } from '#core/film/follow/would-have';
import { meetingsOf } from '#core/film/follow/events';
import type { Track } from '#core/film/follow/follow';
import { askedOnFilm, type PlayOnFilm } from '#core/film/measures/measure';
import { propose } from '#core/grade/propose/propose';
import { ANGLES } from '#core/model/angle';
import { proposedFor } from '#demo/proposals';
import { DEMO_SNAPS, type DemoSnap } from '#demo/scenario';
import { compareProposals } from './compare';
import { openCv } from './film';
import { followFilmed } from './following';
import { Tally } from './tally';
import { calibrationClicked, feetClicked, handOf, readTruth, type Truth } from './truth';

const FOLDER = 'demo/film';
/** Of the errors with which men are followed where nothing is filmed: each wrong man is planted once for every one. */
const SEEDS = [5000, 7000, 9000, 11_000, 13_000];
const playOf = (
  tracks: readonly Track[],
  ball: { x: number; y: number },
  truth: Truth,
  call: WorkedCall,
): PlayOnFilm => ({
  tracks,
  framesPerSecond: truth.framesPerSecond,
  start: -1 / truth.framesPerSecond,
  meetings: meetingsOf(tracks, truth.framesPerSecond),
  ...askedOnFilm(call.formation, call.resolution),
  would: wouldHave(call, ball, tracks, { framesPerSecond: truth.framesPerSecond, start: -1 / truth.framesPerSecond }),
});

async function main(): Promise<void> {
  const only = process.argv.slice(2).map(Number);
  const tally = new Tally();
  const { cv } = await openCv();
  for (const [i, snap] of DEMO_SNAPS.entries()) {
    const number = i + 1;
    const worked = workCall(snap.call);
    if (!worked.ok || (only.length > 0 && !only.includes(number))) continue;
    const truth = readTruth(FOLDER, number);
    const at = truth.snapFrame - 1;
    const hand = handOf(1300 + number);
    const [endZone, sideline] = ANGLES.map((angle) => calibrationClicked(truth, angle, at, hand));
    const filmed = { truth, folder: FOLDER, number, call: worked.value, moves: false };
    const cameras = { 'end zone': endZone!, sideline: sideline! };
    const feet = feetClicked(truth, at, hand).feet;
    const { tracks, ball } = followFilmed(cv, filmed, cameras, feet, truth.whistleFrame - at + 1);
    console.log(`snap ${number}`);
    compareProposals(snap, propose(playOf(tracks, ball, truth, worked.value)), tally, (line) => console.log(line));
  }
  console.log('Simulated film, hands one pixel off, everybody followed from the snap to the whistle.');
  tally.print((line) => console.log(line));
  if (only.length > 0) return;
  console.log('The same snaps run without film, followed as well as film is, one man at a time taking a wrong man:');
  const planted = new Tally();
  for (const seed of SEEDS) DEMO_SNAPS.forEach((snap, i) => plantWrongMen(snap, seed + 17 * i, planted));
  planted.print((line) => console.log(line));
}

/** Runs a snap once for every man who has somebody, with him alone on another man than his. */
function plantWrongMen(snap: DemoSnap, seed: number, tally: Tally): void {
  const worked = workCall(snap.call);
  if (!worked.ok) return;
  for (const { blocker, target } of worked.value.resolution.assignments) {
    if (!target) continue;
    const proposals = proposedFor({ ...snap, faults: [{ man: blocker, fault: 'wrong-man' }] }, seed);
    const own = proposals.find((p) => p.blocker === blocker);
    const there = proposedFor({ ...snap, faults: [{ man: blocker, fault: 'wrong-man' }] }, seed, 0);
    const meant = there.find((p) => p.blocker === blocker)?.cost;
    if (meant)
      tally.count('what a wrong man meant, told as by the true places', own?.cost?.consequence === meant.consequence);
    tally.count('wrong men that are found', own?.assignment === 'wrong');
    if (own && !own.why.startsWith('He went where'))
      tally.count('the same, of those whose way was another', own.assignment === 'wrong');
    for (const p of proposals)
      if (p.blocker !== blocker && p.assignment) tally.count('others’ marks that are right', p.assignment === 'right');
  }
}

await main();
