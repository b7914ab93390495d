/** Bytes of one part of a film that is sent: what has come of it is kept when the connection breaks. */
export const PART_BYTES = 32_000_000;
