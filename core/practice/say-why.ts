import { DAILY, type Daily, type Drill, type TheirWay } from '../model/drill';
import { blockWord, sayRecord } from '../plan/say-number';
import type { Standing } from '../plan/standing';

/** Why a drill is in the plan. */
export type Reason =
  | { readonly kind: 'daily'; readonly daily: Daily }
  | { readonly kind: 'floor'; readonly done: number; readonly of: number }
  | { readonly kind: 'theirs'; readonly ways: readonly TheirWay[] }
  | { readonly kind: 'need' }
  | { readonly kind: 'beside' }
  | { readonly kind: 'exchange' };

const THEIRS: Record<TheirWay, string> = {
  slant: 'they slant',
  twist: 'they twist',
  blitz: 'they send linebackers',
  edge: 'their edge comes',
};

/** "RG down: asked 14 times, 8 of 13 good, 6 reps". */
export const sayNeed = ({ seat, block, times, record }: Standing, reps: number): string =>
  `${seat} ${blockWord(block)}: asked ${Math.max(1, Math.round(times))} times, ${sayRecord(record)}, ${Math.max(1, Math.round(reps))} more reps`;

/** A line's reason in a sentence; `top` is the man it is worth most to. */
export function sayWhy(reason: Reason, drill: Pick<Drill, 'name'>, top: Standing | null, reps: number): string {
  const need = top ? sayNeed(top, reps) : '';
  switch (reason.kind) {
    case 'daily':
      return need && reason.daily !== 'opening'
        ? `${capital(DAILY[reason.daily])}. ${need}.`
        : `${capital(DAILY[reason.daily])}.`;
    case 'floor':
      return `So that it is not dropped: until here the week has ${reason.done} of ${reason.of} everyday drills.`;
    case 'theirs':
      return `${capital(reason.ways.map((w) => THEIRS[w]).join(', '))}. ${need}.`.replace('. .', '.');
    case 'exchange':
      return 'Snaps in every minute the centre has nothing else to do.';
    case 'beside':
      return need ? `Beside the others. ${need}.` : 'For whom the other group has no work.';
    case 'need':
      return need ? `${need}.` : `${drill.name} for everybody.`;
  }
}

const capital = (text: string): string => (text ? text[0]!.toUpperCase() + text.slice(1) : text);
