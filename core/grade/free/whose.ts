import { BLOCKS, type BlockId } from '../../vocabulary/index';
import type { Whose } from '../../model/finding';
import type { Assignment, Resolution } from '../../model/resolution';

const name = ({ block }: Assignment): string => (BLOCKS[block as BlockId]?.name ?? block).toLowerCase();
const quoted = ({ because }: Assignment): string => `“${because.sentence}”`;
const isHis = (a: Assignment, defender: string): boolean => a.target === defender || a.next === defender;

/**
 * Whose a defender was on a snap: by the rules, the front and the movement it was worked out with. `said`: what was really said at the line.
 * It is a suggestion and never a mark.
 */
export function whoseWas(
  { assignments, defenders, calls, movement, passing }: Resolution,
  defender: string,
  said = '',
): Whose {
  const outcome = defenders.find((d) => d.id === defender);
  if (!outcome)
    return { kind: 'unknown', men: [], call: null, says: `${defender} was not in the front as it was logged.` };
  if (outcome.status === 'read' || outcome.status === 'left')
    return {
      kind: 'left',
      men: [],
      call: null,
      says: `${defender} was ${outcome.status === 'read' ? 'to be read' : 'left alone on purpose'}: nobody’s to block. ${outcome.because ?? ''}`.trim(),
    };
  const his = assignments.filter((a) => isHis(a, defender));
  const moved = sayMoved(movement, defender);
  if (his.length === 0)
    return {
      kind: 'nobody',
      men: [],
      call: null,
      says: `By the rules nobody has ${defender} against this front${moved ? ` once ${moved}` : ''}. ${sayHot(passing, defender)}`.trim(),
    };
  const shared = sharedBy(his, defender);
  const deciding = calls.find((c) => his.some((a) => a.call === c.word || a.blocker === c.from || a.blocker === c.to));
  const decides = deciding && his.some((a) => a.call === deciding.word) ? deciding : null;
  const heard = decides ? said.toLowerCase().includes(decides.word.toLowerCase()) : true;
  const callSays = decides ? sayCall(decides, his, heard, said) : '';
  const sentences = his.map((a) => `${a.blocker}, ${name(a)}: ${quoted(a)}`).join('; ');
  const says = [
    shared
      ? `${defender} belongs to ${his.map((a) => a.blocker).join(' and ')} together: whoever is free when he shows has him. ${sentences}.`
      : `${defender} was ${his[0]!.blocker}’s. ${sentences}.`,
    moved ? `That is so once ${moved}.` : '',
    callSays,
  ].filter(Boolean);
  return {
    kind: decides && !heard && said !== '' ? 'unknown' : shared ? 'shared' : 'one',
    men: his.map((a) => a.blocker),
    call: decides?.word ?? null,
    says: says.join(' '),
  };
}

/** Two who double a man share the linebacker they work to, and two who share rushers share them. */
function sharedBy(his: readonly Assignment[], defender: string): boolean {
  return (
    his.length > 1 ||
    his.some((a) => a.next === defender && a.partners.length > 0 && a.target !== defender && his.length > 1)
  );
}

function sayMoved(movement: Resolution['movement'], defender: string): string {
  return movement?.moved.some((m) => m.id === defender) ? movement.said.join(' and ') : '';
}

function sayHot(passing: Resolution['passing'], defender: string): string {
  const hot = passing?.hot.find((h) => h.id === defender);
  return hot ? `He is the quarterback’s: there after ${hot.arrives.toFixed(1)} s.` : '';
}

function sayCall(call: Resolution['calls'][number], his: readonly Assignment[], heard: boolean, said: string): string {
  if (said === '')
    return `It hangs on “${call.word}” (${call.from} to ${call.to}): what was said at the line is not logged.`;
  return heard
    ? `“${call.word}” was said.`
    : `It hangs on “${call.word}” (${call.from} to ${call.to}), which was not said: then it is not plain that ${his[0]!.blocker} could know.`;
}
