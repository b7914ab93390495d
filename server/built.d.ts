/** What was built, known to the server once it is. */
declare module '#places' {
  export const PLACES: readonly import('./places').Place[];
}
