/** Reads grey pictures of one size as they come, in pieces of any length, and says of each how much it differs from the one before. */
export class MotionReader {
  readonly values: number[] = [];
  private readonly picture: Uint8Array;
  private before: Uint8Array | null = null;
  private filled = 0;

  constructor(private readonly pixels: number) {
    this.picture = new Uint8Array(pixels);
  }

  take(part: Uint8Array): void {
    let at = 0;
    while (at < part.length) {
      const some = part.subarray(at, at + this.pixels - this.filled);
      this.picture.set(some, this.filled);
      this.filled += some.length;
      at += some.length;
      if (this.filled === this.pixels) this.whole();
    }
  }

  private whole(): void {
    const { before, picture } = this;
    let sum = 0;
    if (before) for (let i = 0; i < this.pixels; i++) sum += Math.abs(picture[i]! - before[i]!);
    this.values.push(Math.round((sum / this.pixels) * 100) / 100);
    this.before = picture.slice();
    this.filled = 0;
  }
}
