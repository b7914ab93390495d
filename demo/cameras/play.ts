import type { WorkedCall } from '#core/calls/resolve-call';
import type { Quirk } from '#core/movement/run/blockers';
import { STEP } from '#core/movement/run/bodies';
import { runPlay as runInTime } from '#core/movement/run/run';
import type { DemoSnap, FilmFault } from '../scenario';
import { chance } from './random';

export const FRAMES_PER_SECOND = 30;
export const SNAP_FRAME = 24;
const TAIL_FRAMES = 12;
const MAX_SECONDS = 4.2;
const EARLIEST_WHISTLE = 1.5;
/** How long a pass is filmed on after the ball is out, seconds. */
const AFTER_THROW = 0.5;

export interface Figure {
  id: string;
  team: 'offence' | 'defence';
  number: number;
  x: number;
  y: number;
  /** Height of the shoulders, feet. */ pads: number;
  stride: number;
  down: boolean;
}
export interface Frame {
  men: Figure[];
  ball: { x: number; y: number };
}
export interface Take {
  frames: Frame[];
  contactFrame: number;
  whistleFrame: number;
  gain: number;
}

const OFFENCE_NUMBERS: Record<string, number> = {
  LT: 72,
  LG: 64,
  C: 55,
  RG: 61,
  RT: 77,
  Y: 84,
  H: 40,
  B: 28,
  F: 36,
  QB: 9,
};
const DEFENCE_NUMBERS: Record<string, number> = { LE: 91, N: 98, T: 94, RE: 95, W: 44, M: 51, S: 23, L: 93, R: 96 };

/** What a fault looks like on film; faults without an entry are too small to be seen from the stands. */
const QUIRKS: Partial<Record<FilmFault['fault'], Quirk>> = {
  falls: 'falls',
  missed: 'misses',
  'wrong-track': 'misses',
  'false-step': 'false step',
  'too-deep': 'too deep',
  'left-late': 'leaves late',
  'left-early': 'leaves early',
  'high-pads': 'stands up',
};

/** Heights of shoulders in feet: a hand down, standing, running, engaged, too high, on the ground. */
const PADS = { down: 2.6, up: 4.6, run: 4.1, engaged: 3.7, high: 5.2, fallen: 1 };

/** Films the run of a play that the board shows too: the same places, with what men do wrong, as bodies that crouch, run and fall. */
export function runPlay({ formation, front, resolution }: WorkedCall, snap: DemoSnap, seed: number): Take {
  const quirks = Object.fromEntries(snap.faults.flatMap((f) => (QUIRKS[f.fault] ? [[f.man, QUIRKS[f.fault]!]] : [])));
  const run = runInTime(formation, front, resolution, { quirks, seconds: MAX_SECONDS });
  const carrier = run.men.findIndex(
    (m) => m.id === (!resolution.passing && formation.men.some((x) => x.id === 'B') ? 'B' : 'QB'),
  );
  const random = chance(seed);
  const figures = run.men.map(({ id, team }, i): Figure => ({
    id,
    team,
    number: (team === 'offence' ? OFFENCE_NUMBERS : DEFENCE_NUMBERS)[id] ?? 50,
    x: run.frames[0]![2 * i]!,
    y: run.frames[0]![2 * i + 1]!,
    pads: standsUp(id, team) ? PADS.up : PADS.down,
    stride: random() * 6,
    down: false,
  }));

  function standsUp(id: string, team: Figure['team']): boolean {
    if (team === 'defence') return front.defenders.find((d) => d.id === id)!.stance === 'up';
    const man = formation.men.find((m) => m.id === id);
    return !man || man.y < -5;
  }
  /** Moves every figure on to a step of the run. */
  function pose(step: number): void {
    const [places, engaged] = [run.frames[step]!, run.engaged[step]!];
    figures.forEach((f, i) => {
      const [x, y] = [places[2 * i]!, places[2 * i + 1]!];
      const moved = Math.hypot(x - f.x, y - f.y);
      f.down = engaged[i] === 2;
      const height = f.down
        ? PADS.fallen
        : quirks[f.id] === 'stands up'
          ? PADS.high
          : engaged[i]
            ? PADS.engaged
            : moved > 0.02
              ? PADS.run
              : f.pads;
      f.pads += (height - f.pads) * 0.15;
      f.stride += moved * 1.6 + (engaged[i] === 1 ? 0.06 : 0);
      Object.assign(f, { x, y });
    });
  }

  const frames: Frame[] = [];
  const perFrame = 1 / FRAMES_PER_SECOND / STEP;
  const steps = run.frames.length - 1;
  let whistle = -1;
  for (let f = 0; whistle < 0 || f <= whistle + TAIL_FRAMES; f++) {
    const step = Math.min(steps, Math.max(0, Math.round((f - SNAP_FRAME) * perFrame)));
    const time = step * STEP;
    if (f > SNAP_FRAME && whistle < 0) pose(step);
    const places = run.frames[whistle < 0 ? step : Math.round((whistle - SNAP_FRAME) * perFrame)]!;
    frames.push({
      men: figures.map((m) => ({ ...m })),
      ball: { x: places[2 * run.men.length]!, y: places[2 * run.men.length + 1]! },
    });
    const over = resolution.passing
      ? time >= resolution.attack.time + AFTER_THROW
      : time > EARLIEST_WHISTLE && figures[carrier]!.y >= snap.situation.gain * 3;
    if (whistle < 0 && f > SNAP_FRAME && (over || step === steps)) whistle = f;
  }
  const contact = run.events.find((e) => e.kind === 'contact')?.time ?? 0;
  return {
    frames,
    contactFrame: SNAP_FRAME + Math.round(contact * FRAMES_PER_SECOND),
    whistleFrame: whistle,
    gain: Math.round(figures[carrier]!.y / 3),
  };
}
