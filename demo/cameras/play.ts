import type { Assignment } from '#core/model/resolution';
import type { WorkedCall } from '#core/library/resolve-call';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { MOVERS, type Mover } from '#core/kinematics/speeds';
import type { DemoSnap } from '../scenario';
import { chance } from './random';

export const FRAMES_PER_SECOND = 30;
export const SNAP_FRAME = 24;
const TAIL_FRAMES = 12;
const MAX_SECONDS = 4.2;
const EARLIEST_WHISTLE = 1.5;
/** Noses this near are in contact, feet. */
const CONTACT = 1.7;
/** Noses never come nearer than this, feet. */
const BODY = 1.35;

export interface Figure { id: string; team: 'offence' | 'defence'; number: number; x: number; y: number; /** Height of the shoulders, feet. */ pads: number; stride: number; down: boolean }
export interface Frame { men: Figure[]; ball: { x: number; y: number } }
export interface Take { frames: Frame[]; contactFrame: number; whistleFrame: number; gain: number }

interface Body extends Figure { vx: number; vy: number; mover: Mover }
interface Blocker extends Body { plan: Assignment; leg: number; engaged: number; /** Corners of the path still ahead of the first contact. */ corners: { x: number; y: number }[]; fault: DemoSnap['faults'][number]['fault'] | null }

const OFFENCE_NUMBERS: Record<string, number> = { LT: 72, LG: 64, C: 55, RG: 61, RT: 77, Y: 84, H: 40, B: 28, F: 36, QB: 9 };
const DEFENCE_NUMBERS: Record<string, number> = { LE: 91, N: 98, T: 94, RE: 95, W: 44, M: 51, S: 23, L: 93, R: 96 };

/** Runs a snap by simple kinematics: men follow their assignments' paths, push whom they meet, and do their faults on the way. */
export function runPlay({ formation, front, resolution }: WorkedCall, snap: DemoSnap, seed: number): Take {
  const random = chance(seed);
  const down = (y: number): number => (y > -5 ? 2.6 : 4.6);
  const body = (id: string, team: Figure['team'], x: number, y: number, mover: Mover, upright: boolean): Body => ({
    id, team, x, y, vx: 0, vy: 0, mover, stride: random() * 6, down: false, pads: upright ? 4.6 : 2.6,
    number: (team === 'offence' ? OFFENCE_NUMBERS : DEFENCE_NUMBERS)[id] ?? 50,
  });
  const blockers: Blocker[] = resolution.assignments.map((plan) => {
    const man = formation.men.find((m) => m.id === plan.blocker)!;
    const fault = snap.faults.find((f) => f.man === plan.blocker)?.fault ?? null;
    return { ...body(man.id, 'offence', man.x, man.y, plan.pull ? MOVERS.puller : MOVERS.lineman, down(man.y) > 4), plan, leg: 1, engaged: 0, corners: cornersOf(plan, fault), fault };
  });
  const others = formation.men.filter((m) => !blockers.some((b) => b.id === m.id)).map((m) => body(m.id, 'offence', m.x, m.y, MOVERS.back, down(m.y) > 4));
  const quarterback = body('QB', 'offence', 0.2, -15, MOVERS.back, true);
  const carrier = others.find((m) => m.id === 'B') ?? quarterback;
  const defenders = front.defenders.map((d) => body(d.id, 'defence', d.x, d.y, d.y > 4.5 ? MOVERS.linebacker : MOVERS.rusher, d.stance === 'up'));
  const everyone = [...blockers, ...others, quarterback, ...defenders];
  const frames: Frame[] = [];
  let contactFrame = -1;
  let whistle = -1;
  const steps = SNAP_FRAME + Math.round(MAX_SECONDS * FRAMES_PER_SECOND);
  for (let f = 0; f <= steps; f++) {
    const time = (f - SNAP_FRAME) / FRAMES_PER_SECOND;
    if (time >= 0 && whistle < 0) {
      for (const b of blockers) moveBlocker(b, defenders, time);
      for (const d of defenders) moveDefender(d, blockers, resolution, carrier, time);
      runBall(carrier, resolution.attack, time);
      keepApart(everyone.filter((m) => m !== carrier));
      if (contactFrame < 0 && blockers.some((b) => b.engaged > 0)) contactFrame = f;
      if ((time > EARLIEST_WHISTLE && carrier.y >= snap.situation.gain * 3) || f === steps) whistle = f;
    }
    frames.push({
      men: everyone.map(({ id, team, number, x, y, pads, stride, down: fallen }) => ({ id, team, number, x, y, pads, stride, down: fallen })),
      ball: f < SNAP_FRAME ? { x: 0, y: 0.4 } : time < 0.35 ? { x: 0.2, y: -15 * Math.min(1, time / 0.3) } : { x: carrier.x, y: carrier.y },
    });
    if (whistle >= 0 && f >= whistle + TAIL_FRAMES) break;
  }
  return { frames, contactFrame: Math.max(contactFrame, SNAP_FRAME), whistleFrame: whistle, gain: Math.round(carrier.y / 3) };
}

/** Bodies do not pass through each other: whoever stands too near is moved off, half each. */
function keepApart(everyone: readonly Body[]): void {
  for (const [i, a] of everyone.entries()) {
    for (const b of everyone.slice(i + 1)) {
      const away = Math.hypot(a.x - b.x, a.y - b.y);
      if (away >= BODY || away === 0) continue;
      const push = (BODY - away) / 2 / away;
      const [dx, dy] = [(a.x - b.x) * push, (a.y - b.y) * push];
      a.x += dx;
      a.y += dy;
      b.x -= dx;
      b.y -= dy;
    }
  }
}

/** Gathers speed toward a place by the mover's limits. */
function steer(b: Body, x: number, y: number, time: number, share = 1): void {
  if (time < b.mover.delay) return;
  const dt = 1 / FRAMES_PER_SECOND;
  const away = Math.hypot(x - b.x, y - b.y) || 1;
  const top = Math.min(b.mover.topSpeed * share, away / dt);
  const gain = b.mover.acceleration * dt;
  b.vx += Math.max(-gain, Math.min(gain, ((x - b.x) / away) * top - b.vx));
  b.vy += Math.max(-gain, Math.min(gain, ((y - b.y) / away) * top - b.vy));
  b.x += b.vx * dt;
  b.y += b.vy * dt;
  b.stride += Math.hypot(b.vx, b.vy) * dt * 1.6;
}

function moveBlocker(b: Blocker, defenders: readonly Body[], time: number): void {
  b.pads += ((b.fault === 'high-pads' ? 5.2 : b.engaged ? 3.7 : 4) - b.pads) * 0.15;
  if (b.fault === 'falls' && time > 0.7) {
    b.down = true;
    b.pads = 1;
    return;
  }
  if (b.fault === 'false-step' && time < 0.42) return steer(b, b.x, b.y - 2, time, 0.16);
  const { plan } = b;
  const target = defenders.find((d) => d.id === (b.leg === 1 || !plan.next ? plan.target : plan.next));
  const corner = b.corners[0];
  if (corner && !b.engaged) {
    if (Math.hypot(corner.x - b.x, corner.y - b.y) > 1) return steer(b, corner.x, corner.y, time, 0.9);
    b.corners.shift();
  }
  if (!target) return steer(b, b.x + 0.5, 14, time, 0.5);
  const miss = b.fault === 'missed' || b.fault === 'wrong-track' ? 3 : 0;
  if (!b.engaged && Math.hypot(target.x - b.x, target.y - b.y) > CONTACT + miss * 0.4) return steer(b, target.x + miss, target.y + miss, time);
  if (miss) return steer(b, b.x + 1, b.y + 4, time, 0.5);
  b.engaged += 1 / FRAMES_PER_SECOND;
  const stay = b.fault === 'left-late' ? 1.9 : b.fault === 'left-early' ? 0.1 : 0.75;
  if (plan.next && b.leg === 1 && comesOff(b) && b.engaged > stay) {
    b.leg = 2;
    b.engaged = 0;
  }
}

/** Of two who may go on, the one whose path reaches the linebacker: the helper, or the man inside. */
const comesOff = (b: Blocker): boolean => b.plan.next !== null && (b.plan.block === 'help' || Math.abs(b.plan.path[0]!.x) < 8);

/** Where a man turns before his first contact; a puller who is too deep turns four feet deeper. */
function cornersOf(plan: Assignment, fault: Blocker['fault']): { x: number; y: number }[] {
  if (BLOCKS[plan.block as BlockId].course !== 'behind-the-line') return [];
  const corners = plan.path.slice(1, Math.max(1, plan.path.length - (plan.next ? 2 : 1)));
  return corners.map((c) => ({ x: c.x, y: fault === 'too-deep' && c.y < -2 ? c.y - 4 : c.y }));
}

function moveDefender(d: Body, blockers: readonly Blocker[], resolution: WorkedCall['resolution'], carrier: Body, time: number): void {
  const on = blockers.filter((b) => b.engaged > 0 && Math.hypot(b.x - d.x, b.y - d.y) < CONTACT + 1);
  d.pads += ((on.length ? 3.8 : 4.3) - d.pads) * 0.12;
  if (on.length) {
    const push = 1.1 * on.length * (on.some((b) => b.fault === 'high-pads') ? -0.4 : 1);
    const along = Math.sign(resolution.attack.x - d.x) * -0.35;
    d.x += (along * on.length) / FRAMES_PER_SECOND;
    d.y += push / FRAMES_PER_SECOND;
    d.stride += 0.06;
    on.forEach((b, i) => {
      const side = on.length === 1 ? 0 : i === 0 ? -0.8 : 0.8;
      b.x += (d.x + side - b.x) * 0.25;
      b.y += (d.y - 1.4 - b.y) * 0.25;
      b.stride += 0.07;
      b.vx = 0;
      b.vy = 0;
    });
    return;
  }
  const status = resolution.defenders.find((x) => x.id === d.id)!.status;
  const hole = { x: resolution.attack.x, y: 0 };
  if (d.y > 5 || time > 1.5) steer(d, carrier.y > -6 ? carrier.x : hole.x + (d.x - hole.x) * 0.5, Math.max(carrier.y, time > resolution.attack.time ? 3 : 7), time - 0.15, time < 1 ? 0.3 : 0.72);
  else if (status === 'read') steer(d, d.x * 0.93, -2, time, 0.28);
  else steer(d, d.x + (hole.x - d.x) * 0.2, -1.5, time, status === 'free' ? 0.7 : 0.32);
}

/** The back meets the ball, presses the point of attack and runs upfield. */
function runBall(carrier: Body, attack: { x: number; time: number }, time: number): void {
  carrier.pads += (4.2 - carrier.pads) * 0.1;
  if (time < attack.time) {
    const t = Math.max(0, (time - 0.3) / (attack.time - 0.3));
    const from = { x: carrier.id === 'B' ? Math.sign(carrier.x || 1) * 4 : 0.2, y: -15 };
    carrier.x += (from.x + (attack.x - from.x) * t - carrier.x) * 0.5;
    carrier.y += (from.y + (0 - from.y) * t ** 1.4 - carrier.y) * 0.5;
    carrier.stride += 0.3;
  } else steer(carrier, attack.x + (attack.x > 0 ? 1 : -1), carrier.y + 20, time, 0.62);
}
