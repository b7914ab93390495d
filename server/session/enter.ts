import type { H3Event } from 'h3';
import { machineOf } from './machine';
import { startSession } from './sessions';

/** Logs somebody in at this browser. */
export async function enter(event: H3Event, { id, programId }: { id: number; programId: number }): Promise<void> {
  const machine = machineOf(getRequestHeader(event, 'user-agent'));
  await replaceUserSession(event, { secure: { session: await startSession(id, programId, machine) } });
}
