import type { FilmNote } from '../../model/film-note';
import type { ClipBody } from '../../model/snap';

const two = (n: number): string => String(n).padStart(2, '0');

/** Time as WebVTT writes it: hours:minutes:seconds.thousandths. */
export function vttTime(seconds: number): string {
  const thousandths = Math.round(seconds * 1000);
  const whole = Math.floor(thousandths / 1000);
  const rest = String(thousandths % 1000).padStart(3, '0');
  return `${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}.${rest}`;
}

const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replace(/\s*\n\s*/g, '\n');

/**
 * Notes of a clip as WebVTT. A cue lasts from its first frame to the end of its last; what was drawn stands as JSON in a comment before it,
 * places in shares of the picture.
 */
export function notesAsVtt(
  notes: readonly Pick<FilmNote, 'frame' | 'until' | 'text' | 'shapes'>[],
  { framesPerSecond }: Pick<ClipBody, 'framesPerSecond'>,
  title: string,
): string {
  const cues = [...notes]
    .sort((a, b) => a.frame - b.frame)
    .map(({ frame, until, text, shapes }) => {
      const drawn = shapes.length ? `NOTE drawn ${JSON.stringify(shapes)}\n\n` : '';
      const times = `${vttTime(frame / framesPerSecond)} --> ${vttTime((until + 1) / framesPerSecond)}`;
      return `${drawn}${times}\n${escaped(text.trim()) || '(drawn)'}\n`;
    });
  return `WEBVTT ${escaped(title).replaceAll('\n', ' ').replaceAll('--&gt;', '')}\n\n${cues.join('\n')}`;
}
