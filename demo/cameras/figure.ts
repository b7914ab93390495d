import type { SKRSContext2D } from '@napi-rs/canvas';
import type { Pixel, Space } from './lens';
import type { Figure } from './play';

type Project = (p: Space) => Pixel | null;

const KIT = {
  offence: { shirt: '#4d2a86', trim: '#3a1d69', trousers: '#d9d2e6', helmet: '#2e1754', number: '#ffffff' },
  defence: { shirt: '#c28b34', trim: '#8f6420', trousers: '#e9e0cf', helmet: '#6d4a14', number: '#241a08' },
} as const;

/** Draws one man standing on the field: shadow, legs in stride, shoulders at pad height, helmet, number. */
export function drawFigure(context: SKRSContext2D, project: Project, man: Figure): void {
  const foot = project({ x: man.x, y: man.y, z: 0 });
  const shoulders = project({ x: man.x, y: man.y, z: man.pads });
  if (!foot || !shoulders) return;
  const s = foot.scale;
  const kit = KIT[man.team];
  context.fillStyle = 'rgba(10, 25, 12, 0.35)';
  context.beginPath();
  context.ellipse(foot.x, foot.y, s * 1.1, s * 0.4, 0, 0, Math.PI * 2);
  context.fill();
  const hip = man.pads * 0.52;
  const lift = Math.sin(man.stride) * 0.5;
  context.lineCap = 'round';
  context.strokeStyle = kit.trousers;
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
  const top = shoulders.y;
  const waist = foot.y - s * hip * 0.8;
  context.fillStyle = kit.shirt;
  context.beginPath();
  context.moveTo(foot.x - s * 0.62, waist);
  context.lineTo(foot.x - s * 1.05, top + s * 0.35);
  context.quadraticCurveTo(foot.x - s * 0.95, top - s * 0.2, foot.x, top - s * 0.22);
  context.quadraticCurveTo(foot.x + s * 0.95, top - s * 0.2, foot.x + s * 1.05, top + s * 0.35);
  context.lineTo(foot.x + s * 0.62, waist);
  context.closePath();
  context.fill();
  context.strokeStyle = kit.trim;
  context.lineWidth = Math.max(0.8, s * 0.1);
  context.stroke();
  context.fillStyle = kit.helmet;
  context.beginPath();
  context.arc(foot.x, top - s * 0.5, s * 0.52, 0, Math.PI * 2);
  context.fill();
  if (s < 5) return;
  context.fillStyle = kit.number;
  context.font = `bold ${Math.round(s * 1.15)}px sans-serif`;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(String(man.number), foot.x, (waist + top) / 2 + s * 0.1);
}
