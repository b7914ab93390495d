import type { Run } from './run';

/** When a blocker meets his men, and by how much a man of his meets the ball before him. Seconds from the snap. */
export interface Arrival {
  readonly man: string;
  readonly meets: readonly { readonly on: string; readonly at: number }[];
  /** Seconds by which he is late to the last man he is sent to: that man met the ball first. 0 when he is not. */
  readonly late: number;
  /** Whom he never meets, although that man meets the ball. */
  readonly never: string | null;
}

/** Who arrives when, read off a run: for every blocker with a man. */
export function arrivalsOf(
  run: Run,
  assignments: readonly { readonly blocker: string; readonly target: string | null; readonly next: string | null }[],
): Arrival[] {
  const met = new Map(
    run.events.flatMap((e) =>
      e.kind === 'meets the ball' || e.kind === 'at the quarterback' ? [[e.who, e.time] as const] : [],
    ),
  );
  return assignments.map(({ blocker, target, next }) => {
    const meets = run.events.flatMap((e) =>
      e.kind === 'contact' && e.man === blocker ? [{ on: e.on, at: e.time }] : [],
    );
    const goesOn = run.events.some((e) => e.kind === 'goes on' && e.man === blocker);
    const last = next !== null && goesOn ? next : target;
    const ball = last === null ? undefined : met.get(last);
    const at = meets.find((m) => m.on === last)?.at;
    return {
      man: blocker,
      meets,
      late: ball !== undefined && at !== undefined && at > ball ? at - ball : 0,
      never: last !== null && ball !== undefined && at === undefined ? last : null,
    };
  });
}
