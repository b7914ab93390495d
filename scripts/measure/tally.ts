/** Per cent without decimals. */
export const share = (value: number): string => `${Math.round(value * 100)} %`;

/** Median and 90th percentile of a list, as printed. */
export function spreadOf(values: readonly number[]): string {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (p: number): string => (sorted[Math.floor(p * (sorted.length - 1))] ?? NaN).toFixed(2);
  return `median ${at(0.5)}, 90th ${at(0.9)} (${values.length})`;
}

/** Collects figures by name and prints them in the order in which they came. */
export class Tally {
  private readonly values = new Map<string, number[]>();
  private readonly counts = new Map<string, { right: number; of: number }>();
  private readonly notes: string[] = [];

  add(name: string, values: readonly number[]): void {
    this.values.set(name, [...(this.values.get(name) ?? []), ...values]);
  }
  count(name: string, right: boolean): void {
    const now = this.counts.get(name) ?? { right: 0, of: 0 };
    this.counts.set(name, { right: now.right + (right ? 1 : 0), of: now.of + 1 });
  }
  note(line: string): void {
    this.notes.push(line);
  }
  print(write: (line: string) => void): void {
    for (const [name, values] of this.values) write(`${name}: ${spreadOf(values)}`);
    for (const [name, { right, of }] of this.counts) write(`${name}: ${right} of ${of} (${share(right / of)})`);
    for (const note of this.notes) write(`  ${note}`);
  }
}
