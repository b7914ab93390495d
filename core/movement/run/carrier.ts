/** Who has the ball once it is handed over: on a pass the quarterback; on a run the back who blocks nobody, and without one the quarterback. */
export function carrierOf(others: readonly { readonly id: string }[], pass: boolean): string {
  const back = ['B', 'F'].find((id) => others.some((m) => m.id === id));
  return pass || !back ? 'QB' : back;
}

/** Seconds from the snap until the quarterback hands the ball over. */
export const MESH = 0.45;
/** A man who reaches the carrier farther behind the line than this has passed him at the mesh, not met him, feet. */
export const MET_BEHIND = 9;
