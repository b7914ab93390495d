import type * as z from 'zod';
import { FeetSchema, keyOfClick, MeasuringSchema, StanceSchema, type Measuring } from '../../model/measured';

/** What two have measured of one snap, put together. */
export interface Together {
  readonly measuring: Measuring;
  /** What both have changed, each otherwise: the men clicked, and `ways` for what was followed. Mine stands. */
  readonly both: readonly string[];
  /** They have changed something at all. */
  readonly isOfBoth: boolean;
}

/** What was followed, and where it was bent by hand: they belong together. */
const WaysSchema = MeasuringSchema.pick({ followed: true, bends: true });
const waysOf = ({ followed, bends }: Measuring): z.infer<typeof WaysSchema> => ({ followed, bends });

/**
 * Puts together what I have measured and what somebody else has meanwhile, both from the same beginning: of every man's clicks, and of the
 * ways, what only one of us has changed is as he has it; what both have is as I have it.
 */
export function together(before: Measuring, mine: Measuring, theirs: Measuring): Together {
  const both: string[] = [];
  let isOfBoth = false;
  /** As I have it where I have changed it, else as they have it. */
  function either<T>(
    schema: z.ZodType<T, unknown>,
    name: string,
    [was, my, their]: readonly [T?, T?, T?],
  ): T | undefined {
    const spell = (one: T | undefined): string => (one === undefined ? '' : JSON.stringify(schema.parse(one)));
    isOfBoth ||= spell(their) !== spell(was);
    if (spell(my) === spell(was)) return their;
    if (spell(their) !== spell(was) && spell(their) !== spell(my)) both.push(name);
    return my;
  }
  function clicks<T extends Parameters<typeof keyOfClick>[0]>(
    schema: z.ZodType<T, unknown>,
    of: (all: Measuring) => readonly T[],
  ): T[] {
    const [was, my, their] = [before, mine, theirs].map((all) => new Map(of(all).map((c) => [keyOfClick(c), c])));
    const keys = new Set([...was!.keys(), ...their!.keys(), ...my!.keys()]);
    return [...keys].flatMap((key) => {
      const { id } = [my, their, was].map((all) => all!.get(key)).find((click) => click !== undefined)!;
      return either(schema, id, [was!.get(key), my!.get(key), their!.get(key)]) ?? [];
    });
  }
  const [atSnap, stances] = [clicks(FeetSchema, (all) => all.atSnap), clicks(StanceSchema, (all) => all.stances)];
  const ways = either(WaysSchema, 'ways', [waysOf(before), waysOf(mine), waysOf(theirs)])!;
  return { measuring: { atSnap, stances, ...ways }, both: [...new Set(both)], isOfBoth };
}
