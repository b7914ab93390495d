/** One key of a place; `H` is what the keys of that place reach. */
export interface Hand<H> {
  /** As the event names it; capitals with shift. */
  readonly key: string;
  /** As it is printed. */
  readonly cap: string;
  readonly says: string;
  /** Under which it is told with `?`. */
  readonly group: string;
  /** `far`: with shift. `false` when it has nothing to do now. */
  readonly does: (hands: H, far: boolean) => unknown;
}

/** One whose button on the screen does the same. */
export interface NamedHand<H> extends Hand<H> {
  readonly hand: keyof H;
}
