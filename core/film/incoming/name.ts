import type { Angle } from '../../model/angle';

/** Which snap a file says it shows, and from where. */
export interface NamedClip {
  readonly snap: number | null;
  readonly angle: Angle | null;
  /** What is left of the name without the angle: the same for both angles of one snap. */
  readonly stem: string;
}

/** Words by which cameras and people name where a camera stands. */
const ANGLE_WORDS: Readonly<Record<Angle, RegExp>> = {
  'end zone': /\b(end ?zone|endzone|end|ez)\b/,
  sideline: /\b(side ?line|side|press ?box|sl)\b/,
};
/** A day and an hour in a name: 20261003_143012, 2026-10-03 14.30.12. They number no snap. */
export const STAMP = /(20\d{2})[-_.]?(\d{2})[-_.]?(\d{2})[ T_-]+(\d{2})[-_.:h]?(\d{2})[-_.:m]?(\d{2})/;
/** What a camera numbers its files by, one after the other, whatever they show: DSC_0451, IMG-045, GX010027. */
const COUNTER = /\b(?:dscf?|dscn|gopr|gx|img|mov|mvi|pxl|sam|vid) ?\d+\b/g;
const SNAP = /\b(?:snap|play|clip|rep)\s*#?(\d{1,3})\b/;
const NUMBER = /\b(\d{1,3})\b/g;

/** Reads what a file name says: "snap-03-end-zone.webm", "Q2 play 12 sideline.mp4", "07 EZ.mov". */
export function readClipName(file: string): NamedClip {
  const words = file
    .replace(/\.[a-z0-9]{2,4}$/i, '')
    .replace(STAMP, ' ')
    .toLowerCase()
    .replace(/[_\-.]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const angle = (Object.keys(ANGLE_WORDS) as Angle[]).find((a) => ANGLE_WORDS[a].test(words)) ?? null;
  const stem = angle ? words.replace(ANGLE_WORDS[angle], '').replace(/\s+/g, ' ').trim() : words;
  const said = SNAP.exec(stem)?.[1] ?? [...stem.replace(COUNTER, ' ').matchAll(NUMBER)].at(-1)?.[1];
  return { snap: said === undefined ? null : Number(said), angle, stem };
}
