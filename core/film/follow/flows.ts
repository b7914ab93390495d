import type { FilmCamera, Pixel } from '../../model/calibration';
import type { Size } from '../calibrate/camera';
import { gridOf, sightsOf, trunkBox, type Standing } from './bodies';
import type { Box, Eyes } from './eyes';

/** Points of picture motion on a trunk: a side of the grid; and how many must be found. */
const FLOW = { side: 4, least: 4 };

/** How far picture motion has taken everybody's trunk since the frame before, pixels; `null` where it cannot tell. */
export function flowsOf(
  before: readonly Standing[],
  camera: FilmCamera,
  { eyes, size }: { readonly eyes: Eyes; readonly size: Size },
): (Pixel | null)[] {
  const sight = sightsOf(camera, before, size);
  const asked: { man: number; p: Pixel }[] = [];
  const boxes: (Box | null)[] = before.map((m) => trunkBox(camera, m, size));
  boxes.forEach((box, man) => {
    if (box) for (const p of gridOf(box, FLOW.side)) if (sight(man, p)) asked.push({ man, p });
  });
  const went = eyes.flow(asked.map((a) => a.p));
  return boxes.map((box, man) => {
    if (!box) return null;
    const steps = asked.flatMap((a, i) =>
      a.man === man && went[i] ? [{ x: went[i].x - a.p.x, y: went[i].y - a.p.y }] : [],
    );
    if (steps.length < FLOW.least) return null;
    return { x: middle(steps.map((s) => s.x)), y: middle(steps.map((s) => s.y)) };
  });
}

const middle = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
