import type { Resolution } from '../model/resolution';

/** The verdict in one sentence: the first thing wrong and how many more; of a sound play who of the box is blocked, read or left, and who is free without hurting. */
export function verdictSentence({
  problems,
  defenders,
  identification,
  expected,
}: Pick<Resolution, 'problems' | 'defenders' | 'identification'> & Partial<Pick<Resolution, 'expected'>>): string {
  const [first, ...others] = problems;
  const saidAlready = first?.code === 'free-linebacker' && first.who[0] === expected?.metBy;
  const gain = expected && expected.metBy !== null && !saidAlready ? ` ${expectedSentence(expected)}` : '';
  if (first) return first.message + (others.length ? ` And ${others.length} more.` : '') + gain;
  const box = defenders.filter((d) => identification.box.ids.includes(d.id));
  const those = (...statuses: string[]): string[] => box.filter((d) => statuses.includes(d.status)).map((d) => d.id);
  const [free, left] = [those('free'), those('read', 'left')];
  return (
    [
      `${those('single', 'double', 'triple').length} blocked`,
      ...(left.length ? [`${left.length} ${box.some((d) => d.status === 'read') ? 'read' : 'left'}`] : []),
      free.length ? `${free.join(', ')} free and too late to hurt` : 'nobody free in the box',
    ].join(', ') +
    '.' +
    gain
  );
}

/** What a run gains before somebody free meets the ball, against what the coach calls a good one. */
export function expectedSentence({ yards, metBy, standard }: NonNullable<Resolution['expected']>): string {
  if (metBy === null) return `Of those drawn nobody free meets the ball within ${yards} yards.`;
  const gain = yards < 0.25 ? `${metBy} meets it at the line` : `Expect ${yards} yards, then ${metBy}`;
  return yards < standard ? `${gain}; ${standard} is the standard.` : `${gain}.`;
}
