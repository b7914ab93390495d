/** A worked-out item whose sentence is said only when somebody asks for it. */
export type Found<T extends { because: string }> = Omit<T, 'because'> & { readonly why: () => string };

/** The item with its sentence. */
export function saidOf<T extends { because: string }>({ why, ...item }: Found<T>): T {
  return { ...item, because: why() } as unknown as T;
}
