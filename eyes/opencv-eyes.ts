import type * as OpenCv from '@techstark/opencv-js';
import type { Box, Eyes, Found, Part } from '#core/film/follow/eyes';
import type { Pixel } from '#core/model/calibration';

export type Cv = typeof OpenCv;

/** A frame as a canvas gives it: red, green, blue and opacity of every pixel, row by row. */
export interface Frame {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** Points that go there and come back farther off than this were not found, pixels. */
const THERE_AND_BACK = 1;
const FLOW = { window: 15, levels: 3 };

/** Only this far around the points is looked at, pixels; and corners lie on what is one pixel of the smallest picture of the pyramid. */
const FLOW_MARGIN = 64;
const FLOW_GRID = 2 ** FLOW.levels;

/** The part of a picture in which points and what is near them lie. */
function around(points: readonly Pixel[], { cols, rows }: OpenCv.Mat): OpenCv.Rect {
  const reach = (values: number[], size: number): [number, number] => {
    const from = Math.max(0, Math.min(...values) - FLOW_MARGIN);
    const to = Math.min(size, Math.max(...values) + FLOW_MARGIN);
    const begin = Math.floor(from / FLOW_GRID) * FLOW_GRID;
    return begin < to ? [begin, Math.ceil(to) - begin] : [0, size];
  };
  const [x, width] = reach(
    points.map((p) => p.x),
    cols,
  );
  const [y, height] = reach(
    points.map((p) => p.y),
    rows,
  );
  return { x, y, width, height };
}

/** What was cut from a box: where its upper left corner lies from the middle of the box. */
interface Pattern {
  readonly mat: OpenCv.Mat;
  readonly left: number;
  readonly top: number;
  readonly box: Box;
}

/** A pattern smaller than this says nothing: pixels a side, and share of what was learnt. */
const LEAST = 5;
const LEAST_AREA = 0.25;

const partOf = (box: Box, part: Part): Box => ({
  x: box.x + (box.halfWidth * (part.left + part.right)) / 2,
  y: box.y + (box.halfHeight * (part.top + part.bottom)) / 2,
  halfWidth: (box.halfWidth * (part.right - part.left)) / 2,
  halfHeight: (box.halfHeight * (part.bottom - part.top)) / 2,
});

/** Eyes over the frames of a film by OpenCV. Its memory is its own: `close` when done. */
export class OpenCvEyes implements Eyes {
  private gray: OpenCv.Mat | null = null;
  private grayBefore: OpenCv.Mat | null = null;
  private colour: OpenCv.Mat | null = null;
  private readonly learnt = new Map<string, Pattern>();

  constructor(
    private readonly cv: Cv,
    private readonly frameAt: (frame: number) => Frame,
  ) {}

  look(frame: number): void {
    const { cv } = this;
    const { width, height, data } = this.frameAt(frame);
    const whole = new cv.Mat(height, width, cv.CV_8UC4);
    whole.data.set(data);
    this.grayBefore?.delete();
    this.grayBefore = this.gray;
    this.gray = new cv.Mat();
    cv.cvtColor(whole, this.gray, cv.COLOR_RGBA2GRAY);
    this.colour ??= new cv.Mat();
    cv.cvtColor(whole, this.colour, cv.COLOR_RGBA2RGB);
    whole.delete();
  }

  flow(points: readonly Pixel[]): (Pixel | null)[] {
    const { gray, grayBefore } = this;
    if (!gray || !grayBefore || points.length === 0) return points.map(() => null);
    const there = this.follow(grayBefore, gray, points);
    const back = this.follow(
      gray,
      grayBefore,
      there.map((p, i) => p ?? points[i]!),
    );
    return there.map((p, i) => {
      const home = back[i];
      return p && home && Math.hypot(home.x - points[i]!.x, home.y - points[i]!.y) <= THERE_AND_BACK ? p : null;
    });
  }

  private follow(from: OpenCv.Mat, to: OpenCv.Mat, points: readonly Pixel[]): (Pixel | null)[] {
    const { cv } = this;
    const rect = around(points, from);
    const [here, there] = [from.roi(rect), to.roi(rect)];
    const before = cv.matFromArray(
      points.length,
      1,
      cv.CV_32FC2,
      points.flatMap((p) => [p.x - rect.x, p.y - rect.y]),
    );
    const after = new cv.Mat();
    const status = new cv.Mat();
    const error = new cv.Mat();
    cv.calcOpticalFlowPyrLK(
      here,
      there,
      before,
      after,
      status,
      error,
      new cv.Size(FLOW.window, FLOW.window),
      FLOW.levels,
    );
    const found = points.map((_, i) =>
      status.data[i] ? { x: rect.x + after.data32F[2 * i]!, y: rect.y + after.data32F[2 * i + 1]! } : null,
    );
    for (const mat of [here, there, before, after, status, error]) mat.delete();
    return found;
  }

  learn(name: string, box: Box, part: Part): void {
    const rect = this.inside(partOf(box, part));
    if (!rect || !this.colour) return;
    const cut = this.colour.roi(rect);
    // Not `clone`: it gives another handle on the same memory.
    const mat = new this.cv.Mat();
    cut.copyTo(mat);
    cut.delete();
    this.learnt.get(name)?.mat.delete();
    this.learnt.set(name, { mat, left: rect.x - box.x, top: rect.y - box.y, box });
  }

  find(name: string, around: Pixel, reach: number, free: Part): Found | null {
    const { cv, colour } = this;
    const known = this.learnt.get(name);
    if (!known || !colour) return null;
    const wanted = partOf({ ...known.box, x: 0, y: 0 }, free);
    const left = Math.max(known.left, Math.round(wanted.x - wanted.halfWidth));
    const top = Math.max(known.top, Math.round(wanted.y - wanted.halfHeight));
    const right = Math.min(known.left + known.mat.cols, Math.round(wanted.x + wanted.halfWidth));
    const bottom = Math.min(known.top + known.mat.rows, Math.round(wanted.y + wanted.halfHeight));
    const [width, height] = [Math.floor(right - left), Math.floor(bottom - top)];
    if (width < LEAST || height < LEAST || width * height < LEAST_AREA * known.mat.cols * known.mat.rows) return null;
    const [cutX, cutY] = [Math.floor(left - known.left), Math.floor(top - known.top)];
    const pattern = known.mat.roi(new cv.Rect(cutX, cutY, width, height));
    // From the corner of the pattern to the middle of the box.
    const [dx, dy] = [-(known.left + cutX), -(known.top + cutY)];
    const rect = this.inside({
      x: around.x - dx + width / 2,
      y: around.y - dy + height / 2,
      halfWidth: width / 2 + reach,
      halfHeight: height / 2 + reach,
    });
    const fits = rect && rect.width > width && rect.height > height;
    const found = fits ? this.bestMatch(rect, pattern) : null;
    pattern.delete();
    return found && rect && { at: { x: rect.x + found.x + dx, y: rect.y + found.y + dy }, score: found.score };
  }

  private bestMatch(rect: OpenCv.Rect, pattern: OpenCv.Mat): { x: number; y: number; score: number } {
    const { cv } = this;
    const part = this.colour!.roi(rect);
    const scores = new cv.Mat();
    cv.matchTemplate(part, pattern, scores, cv.TM_CCOEFF_NORMED);
    const found = peakOf(scores);
    part.delete();
    scores.delete();
    return found;
  }

  /** A box as whole pixels inside the picture; `null` when most of it is outside. */
  private inside(box: Box): OpenCv.Rect | null {
    if (!this.colour) return null;
    const { cols, rows } = this.colour;
    const left = Math.max(0, Math.round(box.x - box.halfWidth));
    const top = Math.max(0, Math.round(box.y - box.halfHeight));
    const right = Math.min(cols, Math.round(box.x + box.halfWidth));
    const bottom = Math.min(rows, Math.round(box.y + box.halfHeight));
    return right - left < box.halfWidth || bottom - top < box.halfHeight || right - left < 3 || bottom - top < 3
      ? null
      : new this.cv.Rect(left, top, right - left, bottom - top);
  }

  close(): void {
    for (const mat of [this.gray, this.grayBefore, this.colour, ...[...this.learnt.values()].map((p) => p.mat)])
      mat?.delete();
    this.learnt.clear();
    this.gray = this.grayBefore = this.colour = null;
  }
}

/** The highest of a field of scores, between the pixels by the parabola through its neighbours. */
function peakOf(scores: OpenCv.Mat): { x: number; y: number; score: number } {
  const { data32F, cols, rows } = scores;
  let best = 0;
  for (let i = 1; i < cols * rows; i++) if (data32F[i]! > data32F[best]!) best = i;
  const [x, y] = [best % cols, Math.floor(best / cols)];
  const at = (dx: number, dy: number): number => data32F[(y + dy) * cols + x + dx]!;
  const between = (before: number, here: number, after: number): number => {
    const bend = before - 2 * here + after;
    return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
  };
  return {
    x: x + (x > 0 && x < cols - 1 ? between(at(-1, 0), at(0, 0), at(1, 0)) : 0),
    y: y + (y > 0 && y < rows - 1 ? between(at(0, -1), at(0, 0), at(0, 1)) : 0),
    score: data32F[best]!,
  };
}
