import { Playbook, type OwnText } from '../../calls/playbook';
import type { CallWords } from '../../model/call-words';
import type { Script } from '../../model/script';
import type { Settings } from '../../model/settings';
import { makeScript, type ScriptJob } from './make-script';

/** A script to be made, as plain data, so that it can cross to a worker. */
export interface ScriptAsked extends Omit<ScriptJob, 'ways' | 'sayPlay'> {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly words: CallWords;
}
/** `null` when nothing of the plan belongs in such a script. */
export interface ScriptMade {
  readonly script: Script | null;
}

export function* writeScript({ own, settings, words, ...job }: ScriptAsked): Generator<ScriptMade> {
  const playbook = new Playbook(own, settings);
  const sayPlay = (at: number): string => {
    const { scheme, side } = job.plan.plays[at]!;
    return `${playbook.name('schemes', scheme)} ${side}`;
  };
  yield { script: makeScript({ ...job, ways: { playbook, settings, words }, sayPlay }) };
}
