import { BLOCKS } from '../core/vocabulary/index';
import type { Identification } from '../core/model/identification';
import type { PressureProof, PressureReport } from '../core/model/pressure';
import type { ProtectionMend } from '../core/protect/mend-protection';
import type { Resolution } from '../core/model/resolution';
import type { Arrival } from '../core/movement/run/arrivals';
import { expectedSentence } from '../core/reports/verdict-sentence';
import { sayShared } from '../core/reports/shared-sentence';
import { seconds } from '../core/geometry/units';

const row = (label: string, text: string): string => `${label.padEnd(12)}${text}`;

/** The identification as lines of text, each with its sentence. */
export function showIdentification(i: Identification): string {
  const mark = (overruled: boolean): string => (overruled ? ' (overruled)' : '');
  return [
    row('Techniques', i.techniques.map((t) => `${t.id} ${t.label}`).join(', ')),
    row('Strength', `${i.strength.side}${mark(i.strength.overruled)}: ${i.strength.because}`),
    row(
      'Family',
      `${[i.family.name, ...i.family.subNames].join(', ')}${mark(i.family.overruled)}: ${i.family.because}`,
    ),
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

const showPassing = ({ passing }: Resolution): string[] => [
  `Sets        ${passing!.men.map((m) => `${m.blocker} ${m.set}${m.help.map((h) => `, help ${h.side} from ${h.from}`).join('')}`).join('; ')}`,
  ...passing!.shared.map((s) => `Shared      ${sayShared(s)}`),
  ...passing!.scans.map((s) => `Scan        ${s.blocker}: ${s.order.join(', then ') || 'nobody'}`),
];

const showMovement = ({ movement }: Resolution): string[] => [
  `Movement    ${movement!.said.join('; ')}: ${movement!.before.verdict} before the snap`,
  ...movement!.before.assignments
    .filter((a) => movement!.changed.includes(a.blocker))
    .map(
      (a) =>
        `            ${a.blocker} was to ${BLOCKS[a.block as keyof typeof BLOCKS].name.toLowerCase()} ${a.target ?? 'nobody'}${a.next ? `, then ${a.next}` : ''}`,
    ),
];

const showArrival = ({ man, meets, late, never }: Arrival): string =>
  [
    `${man} ${meets.map((m) => `${m.on} at ${seconds(m.at)}`).join(', ') || 'nobody'}`,
    ...(late > 0 ? [`${seconds(late)} late`] : []),
    ...(never ? [`never ${never}`] : []),
  ].join(', ');

/** A resolution as a sheet: a line a man, then calls, defenders, problems, what it gains and who meets whom when. */
export function showResolution(r: Resolution, arrivals: readonly Arrival[]): string {
  const men = r.assignments.map((a) => {
    const on = a.target ? `${a.target}${a.next ? `, then ${a.next}` : ''}` : 'nobody: next level';
    const mates = a.partners.length ? ` with ${a.partners.join(', ')}` : '';
    return `${a.blocker.padEnd(4)}${BLOCKS[a.block as keyof typeof BLOCKS].name.padEnd(16)}${(on + mates).padEnd(26)}${a.because.line ? `line ${a.because.line}: ` : ''}${a.because.sentence}`;
  });
  return [
    `${r.scheme} ${r.side}: ${r.verdict}`,
    '',
    ...men,
    '',
    `Defenders   ${r.defenders.map((d) => `${d.id} ${d.status}`).join(', ')}`,
    `Said        ${r.calls.map((c) => `${c.from} to ${c.to}: "${c.word}"`).join('; ')}`,
    ...r.problems.map((p) => `${p.severity === 'broken' ? 'Broken' : 'At risk'}      ${p.message}`),
    ...r.notes,
    ...(r.expected ? [`Expected    ${expectedSentence(r.expected)}`] : []),
    `Arrives     ${arrivals.map(showArrival).join('; ')}`,
    ...(r.passing ? showPassing(r) : []),
    ...(r.movement ? showMovement(r) : []),
  ].join('\n');
}

const sayPressure = ({ rushers, twist }: PressureReport): string =>
  rushers.join(' ') + (twist ? `, ${twist[0]} first and ${twist[1]} behind him` : '');

/** A proof as lines of text: how often it holds, who comes free, and what mends it. */
export function showProof(proof: PressureProof, mends: readonly ProtectionMend[]): string {
  const { counts } = proof;
  return [
    `${proof.scheme} ${proof.side}: ${counts.all} pressures, held ${counts.held}, late ${counts.late}, short ${counts.short}; the ball is out after ${proof.time.toFixed(1)} s${proof.mike ? `, ${proof.mike} is declared` : ''}`,
    ...proof.byNumber.map(
      (n) =>
        `${String(n.rushers).padStart(3)} come   held ${n.counts.held}, late ${n.counts.late}, short ${n.counts.short}`,
    ),
    '',
    ...proof.ways.flatMap((w) => [
      `Short ${String(w.count).padStart(4)}  ${w.id} through the ${w.gap}, at the spot after ${w.soonest.toFixed(1)} s`,
      `${' '.repeat(12)}${sayPressure(w.smallest)}`,
    ]),
    `Alone       ${proof.alone.map((a) => `${a.blocker} on ${a.on}`).join(', ') || 'nobody'}`,
    `Two on one  ${proof.doubles.map((d) => `${d.by.join(' and ')} on ${d.on}`).join(', ') || 'nobody'}`,
    ...(mends.length
      ? mends.map((m) => `Mends       ${m.what}: short ${m.short}`)
      : ['Mends       nothing that was tried']),
  ].join('\n');
}
