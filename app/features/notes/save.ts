import { notesAsVtt } from '#core/film/notes/web-vtt';
import type { SnapView } from '#core/model/snap-view';
import { download } from '~/features/playbook/files';
import { pictureOf } from './picture';
import type { Writing } from './writing';

type Clip = SnapView['clips'][number];

/** Hands over a frame of a clip with what is drawn on it, and what is written under it. */
export async function savePicture(
  name: string,
  clip: Clip,
  frame: number,
  video: HTMLVideoElement,
  writing: Writing,
): Promise<void> {
  const words = writing
    .notesOn(clip, frame)
    .map((n) => n.text)
    .filter(Boolean)
    .join(' ');
  const png = await pictureOf(video, writing.shapesOn(clip, frame), words);
  download(`${name} ${clip.angle} frame ${frame}.png`, png);
}

/** Hands over what is written on each clip of a snap as captions; clips nobody has written on have none. */
export function saveCaptions(name: string, { clips, notes }: Pick<SnapView, 'clips' | 'notes'>): void {
  for (const clip of clips) {
    const own = notes.filter((n) => n.clipId === clip.id);
    const title = `${name} ${clip.angle}`;
    if (own.length) download(`${title}.vtt`, notesAsVtt(own, clip, title));
  }
}
