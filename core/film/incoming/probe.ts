import * as z from 'zod';
import type { FilmFacts } from '../../model/film';

/** What is written into a file beside its pictures. */
const TagsSchema = z.object({ creation_time: z.string().max(40).optional().catch(undefined) }).default({});

/** What the probing program says of a file, as far as it is looked at. */
const ProbedSchema = z.object({
  streams: z.array(
    z.object({
      codec_type: z.string().optional(),
      codec_name: z.string().optional(),
      width: z.number().optional(),
      height: z.number().optional(),
      pix_fmt: z.string().optional(),
      disposition: z.object({ attached_pic: z.number().optional() }).optional(),
      side_data_list: z.array(z.object({ rotation: z.number().optional() })).optional(),
    }),
  ),
  format: z.object({ format_name: z.string(), duration: z.string().optional(), tags: TagsSchema }),
  packets: z.array(z.object({ pts_time: z.string().optional(), flags: z.string().optional() })).default([]),
});

export type Probed =
  { readonly ok: true; readonly facts: FilmFacts } | { readonly ok: false; readonly problem: string };

const refused = (problem: string): Probed => ({ ok: false, problem });

/** Frames may come so much early or late and still be even: times in a file are rounded to its own clock. Share of a frame. */
const UNEVEN = 0.25;

/** So much of what a file promises may be missing without anything being amiss: seconds, and a share of its length. */
const MISSING = 0.7;
const MISSING_SHARE = 0.03;

const sayLength = (seconds: number): string => `${seconds.toFixed(1)} s`;

/**
 * Reads the answer of the probing program: streams, format and every picture packet with its time. A file without moving pictures, or with
 * fewer than two of them, is refused in words.
 */
export function readProbe(answer: unknown): Probed {
  const read = ProbedSchema.safeParse(answer);
  if (!read.success) return refused('This is no film, or so little of it has come that nothing can be read');
  const { streams, format, packets } = read.data;
  const video = streams.find((s) => s.codec_type === 'video' && !s.disposition?.attached_pic);
  if (!video?.width || !video.height || !video.codec_name) return refused('There are no moving pictures in this file');
  const shown = packets
    .map((p) => ({ time: Number(p.pts_time), key: p.flags?.startsWith('K') ?? false }))
    .filter((p) => Number.isFinite(p.time))
    .sort((a, b) => a.time - b.time);
  if (shown.length < 2) return refused('There is only a single picture in this file; a film has at least two');
  const [first, last] = [shown[0]!.time, shown[shown.length - 1]!.time];
  const frame = (last - first) / (shown.length - 1);
  if (!(frame > 0)) return refused('All pictures of this file have the same time; it cannot be played');
  const promised = Number(format.duration ?? 0);
  if (promised - (last - first) > Math.max(MISSING, MISSING_SHARE * promised))
    return refused(
      `Only the first ${sayLength(last - first)} of ${sayLength(promised)} have come; copy the file again`,
    );
  const turned = Math.abs(video.side_data_list?.find((d) => d.rotation !== undefined)?.rotation ?? 0) % 180 === 90;
  return {
    ok: true,
    facts: {
      container: format.format_name,
      codec: video.codec_name,
      width: turned ? video.height : video.width,
      height: turned ? video.width : video.height,
      rate: roundRate(1 / frame),
      even: shown.every((p, i) => Math.abs(p.time - first - i * frame) < UNEVEN * frame),
      frames: shown.length,
      duration: Math.round((last - first + frame) * 1000) / 1000,
      pixels: video.pix_fmt ?? '',
      keyEvery: longestGap(shown.map((p) => p.key)),
      sound: streams.some((s) => s.codec_type === 'audio'),
      ...(format.tags.creation_time === undefined ? {} : { shot: format.tags.creation_time }),
    },
  };
}

/** Rates cameras film with, frames a second. */
const RATES = [24_000 / 1001, 24, 25, 30_000 / 1001, 30, 48, 50, 60_000 / 1001, 60, 120_000 / 1001, 120] as const;

/** How far a measured rate may be from one of those: less than half of what 24 and 23.976 are apart. Share of it. */
const NEAR_RATE = 1 / 2500;

/** The rate a camera films with when that is near, else as it was measured, to three places. */
function roundRate(rate: number): number {
  const usual = RATES.find((r) => Math.abs(r - rate) < r * NEAR_RATE);
  return usual ?? Math.round(rate * 1000) / 1000;
}

function longestGap(keys: readonly boolean[]): number {
  let [longest, gap] = [0, 0];
  for (const key of keys) {
    gap = key ? 1 : gap + 1;
    longest = Math.max(longest, gap);
  }
  return longest;
}
