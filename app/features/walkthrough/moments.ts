import type { Run, RunEvent } from '#core/movement/run/run';

/** A moment of a run that can be gone to. */
export interface Moment {
  readonly frame: number;
  /** How far along the run it is, percent. */
  readonly left: number;
  readonly says: string;
  /** Somebody nobody has got there. */
  readonly bad: boolean;
}

/** So many blocks begin and go on that marks of them would be a fence. */
const UNMARKED: readonly RunEvent['kind'][] = ['contact', 'goes on'];
const OF_THE_BALL: readonly RunEvent['kind'][] = ['ball at the line', 'ball out'];

function say(e: RunEvent): string {
  const at = `${e.time.toFixed(1)} s`;
  switch (e.kind) {
    case 'contact':
      return `${e.man} on ${e.on}, ${at}`;
    case 'goes on':
      return `${e.man} on to ${e.to}, ${at}`;
    case 'meets the ball':
      return `${e.who} meets the ball, ${at}`;
    case 'at the quarterback':
      return `${e.who} at the quarterback, ${at}`;
    default:
      return `${e.kind}, ${at}`;
  }
}

/** The last step of a run; 0 while it is still being worked out. */
export const lastFrame = (run: Run | null): number => (run ? run.frames.length - 1 : 0);

/** What of a run is marked along its time. */
export function momentsOf(run: Run | null): Moment[] {
  if (!run) return [];
  return run.events
    .filter((e) => !UNMARKED.includes(e.kind))
    .map((e) => ({
      frame: e.time / run.step,
      left: (100 * e.time) / (lastFrame(run) * run.step),
      says: say(e),
      bad: !OF_THE_BALL.includes(e.kind),
    }));
}

/** Where a run stands, in words: the moment, and what has happened last. */
export function sayFrame(run: Run | null, frame: number): { readonly time: string; readonly last: string } {
  const seconds = frame * (run?.step ?? 0);
  if (frame === 0) return { time: 'Snap', last: 'places and speeds only: nobody’s strength or skill' };
  const last = run?.events.filter((e) => e.time <= seconds).at(-1);
  return { time: `${seconds.toFixed(2)} s`, last: last ? say(last) : 'before anybody is met' };
}
