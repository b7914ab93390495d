/** A point in feet: x to the offence's right, y downfield, z up. */
export interface Space {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}
export interface Pixel {
  readonly x: number;
  readonly y: number;
  /** Pixels a foot at this depth. */ readonly scale: number;
  readonly depth: number;
}

/** A camera on a stand: where it is, what it looks at, its focal length in picture widths, its roll (radians) and its barrel distortion. */
export interface Camera {
  readonly at: Space;
  readonly toward: Space;
  readonly focal: number;
  readonly roll: number;
  readonly barrel: number;
}

const minus = (a: Space, b: Space): Space => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const dot = (a: Space, b: Space): number => a.x * b.x + a.y * b.y + a.z * b.z;
const cross = (a: Space, b: Space): Space => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
const unit = (a: Space): Space => {
  const l = Math.hypot(a.x, a.y, a.z);
  return { x: a.x / l, y: a.y / l, z: a.z / l };
};

/** Makes the projection of a camera onto a picture; `null` for points behind it. */
export function projector(camera: Camera, width: number, height: number): (p: Space) => Pixel | null {
  const forward = unit(minus(camera.toward, camera.at));
  const right = unit(cross(forward, { x: 0, y: 0, z: 1 }));
  const up = cross(right, forward);
  const [cos, sin] = [Math.cos(camera.roll), Math.sin(camera.roll)];
  return (p) => {
    const d = minus(p, camera.at);
    const depth = dot(d, forward);
    if (depth < 1) return null;
    const u = dot(d, right) / depth;
    const v = dot(d, up) / depth;
    // Far outside the picture the barrel would fold points back into it.
    if (u * u + v * v > 0.5) return null;
    const bend = 1 + camera.barrel * (u * u + v * v);
    const x = (u * cos - v * sin) * bend;
    const y = (u * sin + v * cos) * bend;
    const scale = (camera.focal * width) / depth;
    return { x: width / 2 + x * camera.focal * width, y: height / 2 - y * camera.focal * width, scale, depth };
  };
}
