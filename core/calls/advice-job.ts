import { whatMends, type Mending } from '../compare/mend';
import { pocketCard, type PocketCard } from '../compare/pocket-card';
import { tooFew, type TooFew } from '../compare/too-few';
import { readMoves } from '../language/lineups/read-moves';
import type { Front } from '../model/front';
import type { PressureProof } from '../model/pressure';
import type { Settings } from '../model/settings';
import type { Overrides } from '../model/overrides';
import type { Side } from '../model/side';
import { underMovement, type UnderMovement } from '../movement/under-movement';
import { mendProtection, type ProtectionMend } from '../protect/mend-protection';
import { provePressures } from '../protect/prove';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { Playbook, type OwnText } from './playbook';

/** One call on the board, as plain data, so that it can cross to a worker. */
export interface AdviceJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly scheme: string;
  readonly side: Side;
  readonly tags: readonly string[];
  readonly without: readonly string[];
  readonly overrides: Overrides;
  /** Id or notation. */
  readonly formation: string;
  readonly front: Front;
  /** Movements chosen on the board, as they are written. */
  readonly moves: readonly string[];
  /** What is asked about the call, in the order in which it is worked out. */
  readonly about: readonly AdviceKind[];
  /** Whose pocket card is asked for. */
  readonly man?: string;
}

/** What can be asked about a call. */
export interface AdviceValues {
  readonly movements: UnderMovement;
  readonly pressures: PressureProof['ways'];
  readonly 'too few': TooFew | null;
  readonly mendings: readonly Mending[];
  readonly card: PocketCard | null;
  readonly 'protection mends': readonly ProtectionMend[];
}
export type AdviceKind = keyof AdviceValues;
/** One piece of advice. */
export type Advice = { readonly [K in AdviceKind]: { readonly kind: K; readonly value: AdviceValues[K] } }[AdviceKind];

/** The piece of one kind among those found; `null` while it has not come. */
export function adviceOf<K extends AdviceKind>(found: readonly Advice[], kind: K): AdviceValues[K] | null {
  for (const advice of found) if (advice.kind === kind) return advice.value as AdviceValues[K];
  return null;
}

/** Works out what else there is to say about a call, a piece at a time; nothing about one that cannot be read. */
export function* adviseOn(job: AdviceJob): Generator<Advice> {
  const book = new Playbook(job.own, job.settings);
  const [scheme, formation, moves] = [
    book.scheme(job.scheme),
    book.formation(job.formation),
    readMoves(job.moves, job.front),
  ];
  if (!scheme.ok || !formation.ok || !moves.ok) return;
  const { side, tags, without, settings, overrides } = job;
  const call = { side, tags, without, settings, overrides };
  const prepared = prepareCall(scheme.value, formation.value, call);
  const occasion = {
    scheme: scheme.value,
    formationText: book.clauses('formations', job.formation),
    front: { ...job.front, movements: [...job.front.movements, ...moves.value] },
    call,
  };
  const passes = scheme.value.head.throw !== null;
  const work: { readonly [K in AdviceKind]: () => Extract<Advice, { kind: K }> } = {
    movements: () => ({ kind: 'movements', value: underMovement(prepared, formation.value, job.front) }),
    pressures: () => ({ kind: 'pressures', value: passes ? provePressures(prepared, job.front).ways : [] }),
    'too few': () => ({ kind: 'too few', value: tooFew(occasion) }),
    mendings: () => ({ kind: 'mendings', value: whatMends({ ...occasion, schools: book.schools(job.scheme) }) }),
    card: () => ({
      kind: 'card',
      value: job.man === undefined ? null : pocketCard({ ...occasion, formation: formation.value }, job.man),
    }),
    'protection mends': () => ({
      kind: 'protection mends',
      value: mendProtection(prepared, job.front, provePressures(prepared, job.front)),
    }),
  };
  for (const kind of job.about) yield work[kind]();
}
