import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Pixel, Space } from './lens';
import type { Figure } from './play';

type Project = (p: Space) => Pixel | null;

/** Draws one man on the field: shadow, legs in stride, shoulders at pad height and as far as he leans, arms on the man he has, helmet, number. */
export function drawFigure(context: SKRSContext2D, project: Project, man: Figure): void {
  const foot = project({ x: man.x, y: man.y, z: 0 });
  const shoulders = project({ x: man.x + man.lean.x, y: man.y + man.lean.y, z: man.pads });
  if (!foot || !shoulders) return;
  drawShadow(context, foot);
  if (man.down) return drawFallen(context, project, man);
  drawLegs(context, foot, man);
  drawTrunk(context, foot, shoulders, man);
  drawArms(context, project, shoulders, man);
  drawHelmet(context, shoulders, man);
  drawNumber(context, foot, shoulders, man);
}

function drawShadow(context: SKRSContext2D, foot: Pixel): void {
  context.fillStyle = 'rgba(10, 25, 12, 0.35)';
  context.beginPath();
  context.ellipse(foot.x, foot.y, foot.scale * 1.1, foot.scale * 0.4, 0, 0, Math.PI * 2);
  context.fill();
}

function drawLegs(context: SKRSContext2D, foot: Pixel, man: Figure): void {
  const s = foot.scale;
  const hip = man.pads * 0.52;
  const lift = Math.sin(man.stride) * 0.5;
  context.lineCap = 'round';
  context.strokeStyle = man.wears.trousers;
  context.lineWidth = s * 0.62;
  for (const [side, swing] of [
    [-0.42, lift],
    [0.42, -lift],
  ] as const) {
    context.beginPath();
    context.moveTo(foot.x + side * s * 0.8, foot.y - s * hip * 0.95);
    context.lineTo(foot.x + side * s * 1.1, foot.y - s * (0.12 + Math.max(0, swing) * 0.5));
    context.stroke();
  }
}

const waistOf = (foot: Pixel, man: Figure): number => foot.y - foot.scale * man.pads * 0.42;

function drawTrunk(context: SKRSContext2D, foot: Pixel, shoulders: Pixel, man: Figure): void {
  const s = foot.scale;
  const [top, waist] = [shoulders.y, waistOf(foot, man)];
  context.fillStyle = man.wears.shirt;
  context.beginPath();
  context.moveTo(foot.x - s * 0.62, waist);
  context.lineTo(shoulders.x - s * 1.05, top + s * 0.35);
  context.quadraticCurveTo(shoulders.x - s * 0.95, top - s * 0.2, shoulders.x, top - s * 0.22);
  context.quadraticCurveTo(shoulders.x + s * 0.95, top - s * 0.2, shoulders.x + s * 1.05, top + s * 0.35);
  context.lineTo(foot.x + s * 0.62, waist);
  context.closePath();
  context.fill();
  context.strokeStyle = man.wears.trim;
  context.lineWidth = Math.max(0.8, s * 0.1);
  context.stroke();
}

/** Arms to the man he is on; else they hang at his sides and are not worth drawing. */
function drawArms(context: SKRSContext2D, project: Project, shoulders: Pixel, man: Figure): void {
  if (!man.hands) return;
  const hands = project({ x: man.x + man.hands.x * 0.75, y: man.y + man.hands.y * 0.75, z: man.pads * 0.85 });
  if (!hands) return;
  const s = shoulders.scale;
  context.strokeStyle = man.wears.shirt;
  context.lineCap = 'round';
  context.lineWidth = s * 0.36;
  for (const side of [-0.85, 0.85]) {
    context.beginPath();
    context.moveTo(shoulders.x + side * s, shoulders.y + s * 0.1);
    context.lineTo(hands.x + side * s * 0.45, hands.y);
    context.stroke();
  }
}

function drawHelmet(context: SKRSContext2D, shoulders: Pixel, man: Figure): void {
  context.fillStyle = man.wears.helmet;
  context.beginPath();
  context.arc(shoulders.x, shoulders.y - shoulders.scale * 0.5, shoulders.scale * 0.52, 0, Math.PI * 2);
  context.fill();
}

function drawNumber(context: SKRSContext2D, foot: Pixel, shoulders: Pixel, man: Figure): void {
  const s = foot.scale;
  if (s < 5) return;
  context.fillStyle = man.wears.number;
  context.font = `bold ${Math.round(s * 1.15)}px sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(String(man.number), (foot.x + shoulders.x) / 2, (waistOf(foot, man) + shoulders.y) / 2 + s * 0.1);
}

/** A man on the ground lies the way he was going. */
function drawFallen(context: SKRSContext2D, project: Project, man: Figure): void {
  const way = Math.hypot(man.lean.x, man.lean.y) || 1;
  const along = (feet: number, z: number): Pixel | null =>
    project({ x: man.x + (man.lean.x / way) * feet, y: man.y + (man.lean.y / way) * feet, z });
  const [feet, hips, neck, head] = [along(-2.6, 0.3), along(-0.4, 0.5), along(1.6, 0.6), along(2.2, 0.6)];
  if (!feet || !hips || !neck || !head) return;
  const piece = (a: Pixel, b: Pixel, colour: string, wide: number): void => {
    context.strokeStyle = colour;
    context.lineWidth = a.scale * wide;
    context.beginPath();
    context.moveTo(a.x, a.y);
    context.lineTo(b.x, b.y);
    context.stroke();
  };
  context.lineCap = 'round';
  piece(feet, hips, man.wears.trousers, 0.9);
  piece(hips, neck, man.wears.shirt, 1.5);
  context.fillStyle = man.wears.helmet;
  context.beginPath();
  context.arc(head.x, head.y, head.scale * 0.5, 0, Math.PI * 2);
  context.fill();
}
