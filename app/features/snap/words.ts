import type { Penalty, Situation } from '#core/model/snap';

export const DOWNS = ['1st', '2nd', '3rd', '4th'] as const;
export const HASHES = { left: 'left hash', middle: 'middle', right: 'right hash' } as const;
export const QUARTERS = ['1st quarter', '2nd quarter', '3rd quarter', '4th quarter', 'overtime'] as const;

export const signed = (n: number): string => (n > 0 ? `+${n}` : n < 0 ? `−${-n}` : '0');

const sayFlag = ({ what, on, yards, again }: Penalty): string =>
  `flag on ${on}${what ? ` for ${what}` : ''}, ${yards} yards${again ? ', down again' : ''}`;

/** What came of a snap: "+4", "0, incomplete", "−2, flag on us for holding, 10 yards, down again". */
export const sayOutcome = ({ gain, beforeContact, result, penalty }: Situation): string =>
  [
    signed(gain),
    ...(beforeContact === null ? [] : [`touched after ${signed(beforeContact)}`]),
    ...(result === 'went on' ? [] : [result]),
    ...(penalty ? [sayFlag(penalty)] : []),
  ].join(', ');
