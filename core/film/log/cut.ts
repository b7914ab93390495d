import * as z from 'zod';
import type { AskedItem, SnapItem } from '../../model/game';
import { CUT_FIELDS, CUT_KEYS, type CutField } from './cut-fields';

/** Which snaps are looked at: for each field that is given, one of these values. Fields of a man hold for one and the same man. */
export const CutSchema = z.partialRecord(z.enum(CUT_KEYS), z.array(z.string().min(1).max(120)).min(1).max(20));
export type Cut = z.infer<typeof CutSchema>;

/** A cut kept under a name. */
export const KeptCutSchema = z.object({ id: z.int(), name: z.string().min(1).max(80), cut: CutSchema });
export type KeptCut = z.infer<typeof KeptCutSchema>;

const given = (cut: Cut): [CutField, readonly string[]][] =>
  CUT_KEYS.flatMap((key): [CutField, readonly string[]][] => (cut[key] ? [[key, cut[key]]] : []));

/** Values of a field on a snap, by man where the field is one of a man. */
function valuesFor(key: CutField, snap: SnapItem, man: AskedItem | null): readonly string[] {
  const field = CUT_FIELDS[key];
  if (field.of === 'snap') return field.values(snap);
  return man ? field.values(man, snap.graded.find((g) => g.blocker === man.blocker)?.grade ?? null) : [];
}
const holds = (snap: SnapItem, man: AskedItem | null, [key, wanted]: [CutField, readonly string[]]): boolean =>
  valuesFor(key, snap, man).some((v) => wanted.includes(v));

/** Of whom a snap is in a cut: the men for whom all fields of a man hold; everybody when none is given. `null` when it is not in it. */
export function menInCut(cut: Cut, snap: SnapItem): readonly AskedItem[] | null {
  const all = given(cut);
  if (!all.filter(([key]) => CUT_FIELDS[key].of === 'snap').every((f) => holds(snap, null, f))) return null;
  const ofMan = all.filter(([key]) => CUT_FIELDS[key].of === 'man');
  const men = snap.asked.filter((man) => ofMan.every((f) => holds(snap, man, f)));
  return ofMan.length > 0 && men.length === 0 ? null : men;
}

export const isInCut = (cut: Cut, snap: SnapItem): boolean => menInCut(cut, snap) !== null;

export interface CutOption {
  readonly value: string;
  /** How many snaps there would be with this value beside everything else that is given. */
  readonly snaps: number;
}

/** What a field can be set to on these snaps, in the order in which it first comes. */
export function optionsOf(key: CutField, cut: Cut, snaps: readonly SnapItem[]): CutOption[] {
  const rest = without(key, cut);
  const counts = new Map<string, number>();
  for (const snap of snaps) {
    const men = menInCut(rest, snap);
    for (const value of new Set(offeredBy(snap, men ?? snap.asked, key)))
      counts.set(value, (counts.get(value) ?? 0) + (men ? 1 : 0));
  }
  return [...counts].map(([value, count]) => ({ value, snaps: count }));
}

/** Whether a field can be set to anything on these snaps: as `optionsOf`, without counting. */
export function hasOptions(key: CutField, cut: Cut, snaps: readonly SnapItem[]): boolean {
  const rest = without(key, cut);
  return snaps.some((snap) => offeredBy(snap, menInCut(rest, snap) ?? snap.asked, key).length > 0);
}

function without(key: CutField, cut: Cut): Cut {
  const rest: Cut = { ...cut };
  delete rest[key];
  return rest;
}

/** What a snap offers for a field, of these men where the field is one of a man. */
function offeredBy(snap: SnapItem, men: readonly AskedItem[], key: CutField): readonly string[] {
  const field = CUT_FIELDS[key];
  return field.of === 'snap' ? field.values(snap) : men.flatMap((man) => valuesFor(key, snap, man));
}

/** Reads a cut from the words of an address; what is none of its fields is left out. */
export function cutOfQuery(query: Readonly<Record<string, unknown>>): Cut {
  const cut: Cut = {};
  for (const key of CUT_KEYS) {
    const said = [query[key]].flat().filter((v): v is string => typeof v === 'string' && v !== '');
    if (said.length) cut[key] = said.slice(0, 20).map((v) => v.slice(0, 120));
  }
  return cut;
}

export const isEmptyCut = (cut: Cut): boolean => given(cut).length === 0;
