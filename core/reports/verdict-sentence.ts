import type { Resolution } from '../model/resolution';

/** The verdict in one sentence: the first thing wrong and how many more; of a sound play who of the box is blocked, read or left, and who is free without hurting. */
export function verdictSentence({
  problems,
  defenders,
  identification,
}: Pick<Resolution, 'problems' | 'defenders' | 'identification'>): string {
  const [first, ...others] = problems;
  if (first) return first.message + (others.length ? ` And ${others.length} more.` : '');
  const box = defenders.filter((d) => identification.box.ids.includes(d.id));
  const those = (...statuses: string[]): string[] => box.filter((d) => statuses.includes(d.status)).map((d) => d.id);
  const [free, left] = [those('free'), those('read', 'left')];
  return (
    [
      `${those('single', 'double', 'triple').length} blocked`,
      ...(left.length ? [`${left.length} ${box.some((d) => d.status === 'read') ? 'read' : 'left'}`] : []),
      free.length ? `${free.join(', ')} free and too late to hurt` : 'nobody free in the box',
    ].join(', ') + '.'
  );
}
