import { strokesOf } from '#core/film/notes/shapes';
import type { Shape, Shares } from '#core/model/film-note';

const CHALK = '#f7f3c8';
const EDGE = '#0d130e';

/** A frame of a film as PNG, with what is drawn on it and words under it. */
export async function pictureOf(video: HTMLVideoElement, shapes: readonly Shape[], words: string): Promise<Blob> {
  const { videoWidth: width, videoHeight: height } = video;
  const size = Math.round(width / 48);
  const canvas = new OffscreenCanvas(width, height + (words ? size * 2 : 0));
  const context = canvas.getContext('2d')!;
  context.drawImage(video, 0, 0);
  context.lineCap = 'round';
  context.lineJoin = 'round';
  const trace = (line: readonly Shares[]): void => {
    context.beginPath();
    line.forEach((p, i) => (i ? context.lineTo(p.x, p.y) : context.moveTo(p.x, p.y)));
    context.stroke();
  };
  for (const { lines, circles, label } of shapes.map((s) => strokesOf(s, { width, height }))) {
    for (const [style, wide] of [
      [EDGE, width / 170],
      [CHALK, width / 320],
    ] as const) {
      context.strokeStyle = style;
      context.lineWidth = wide;
      lines.forEach(trace);
      for (const c of circles) {
        context.beginPath();
        context.arc(c.x, c.y, c.r, 0, 2 * Math.PI);
        context.stroke();
      }
    }
    if (!label) continue;
    context.font = `700 ${size}px sans-serif`;
    context.textAlign = 'center';
    context.strokeStyle = EDGE;
    context.lineWidth = size / 4;
    context.strokeText(label.text, label.x, label.y);
    context.fillStyle = CHALK;
    context.fillText(label.text, label.x, label.y);
  }
  if (words) {
    context.fillStyle = EDGE;
    context.fillRect(0, height, width, size * 2);
    context.fillStyle = CHALK;
    context.textAlign = 'left';
    context.font = `500 ${size}px sans-serif`;
    context.fillText(words, size, height + size * 1.35, width - 2 * size);
  }
  return canvas.convertToBlob({ type: 'image/png' });
}
