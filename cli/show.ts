import { BLOCKS } from '../core/vocabulary/index';
import type { Identification } from '../core/model/identification';
import type { Resolution } from '../core/model/resolution';

const row = (label: string, text: string): string => `${label.padEnd(12)}${text}`;

/** The identification as lines of text, each with its sentence. */
export function showIdentification(i: Identification): string {
  const mark = (overruled: boolean): string => (overruled ? ' (overruled)' : '');
  return [
    row('Techniques', i.techniques.map((t) => `${t.id} ${t.label}`).join(', ')),
    row('Strength', `${i.strength.side}${mark(i.strength.overruled)}: ${i.strength.because}`),
    row('Family', `${[i.family.name, ...i.family.subNames].join(', ')}${mark(i.family.overruled)}: ${i.family.because}`),
    row('Left', `${i.sideCall.left.call}: ${i.sideCall.left.because}`),
    row('Right', `${i.sideCall.right.call}: ${i.sideCall.right.because}`),
    row('Box', `${i.box.size}, "${i.box.spoken}": ${i.box.because}`),
    row('Count', `${i.linebackers.ids.join(', ') || 'nobody'}: ${i.linebackers.because}`),
    row('Mike', `${i.mike.id ?? 'nobody'}: ${i.mike.because}`),
    row('Bubbles', `${i.bubbles.gaps.map((g) => `${g.gap} ${g.side}`).join(', ') || 'none'}: ${i.bubbles.because}`),
    row('Edge', i.edge.left.because),
    row('', i.edge.right.because),
    row('Numbers', i.numbers.because),
    row('Walked up', i.walkedUp.because),
  ].join('\n');
}

/** A resolution as a sheet: a line a man, then calls, defenders and problems. */
export function showResolution(r: Resolution): string {
  const men = r.assignments.map((a) => {
    const on = a.target ? `${a.target}${a.next ? `, then ${a.next}` : ''}` : 'nobody: next level';
    const mates = a.partners.length ? ` with ${a.partners.join(', ')}` : '';
    return `${a.blocker.padEnd(4)}${BLOCKS[a.block as keyof typeof BLOCKS].name.padEnd(16)}${(on + mates).padEnd(26)}${a.because.line ? `line ${a.because.line}: ` : ''}${a.because.sentence}`;
  });
  return [
    `${r.scheme} ${r.side}: ${r.verdict}`, '', ...men, '',
    `Defenders   ${r.defenders.map((d) => `${d.id} ${d.status}`).join(', ')}`,
    `Said        ${r.calls.map((c) => `${c.from} to ${c.to}: "${c.word}"`).join('; ')}`,
    ...r.problems.map((p) => `${p.severity === 'broken' ? 'Broken' : 'At risk'}      ${p.message}`),
    ...r.notes,
  ].join('\n');
}
