import type { MarkShape } from '../reports/mark-shape';

/** What stands in a cell: words, or a mark that is told by its shape. */
export type Cell = string | { readonly mark: MarkShape } | { readonly strong: string };

/** A part of a sheet. Everything on paper is made of these, and of nothing else. */
export type Part =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'text'; readonly text: string; readonly small?: true }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  /** Widths in points, a share of what is left as `*`. */
  | {
      readonly kind: 'table';
      readonly head: readonly string[];
      readonly rows: readonly (readonly Cell[])[];
      readonly widths: readonly (number | '*')[];
    }
  | { readonly kind: 'figures'; readonly figures: readonly { name: string; figure: string; below: string }[] }
  /** A picture as SVG, as wide as the sheet or a share of it. */
  | { readonly kind: 'picture'; readonly svg: string; readonly share: number }
  /** A card to cut out, its frame and its lines in columns; points. */
  | {
      readonly kind: 'card';
      readonly width: number;
      readonly height: number;
      readonly type: number;
      readonly columns: readonly (readonly string[])[];
    }
  | { readonly kind: 'columns'; readonly columns: readonly (readonly Part[])[] };

/** One sheet of paper or several pages of it, each sheet beginning a page. */
export interface Sheet {
  readonly title: string;
  readonly subtitle: string;
  readonly parts: readonly Part[];
  /** What says of which state it is: the week, its revision, the words at the line. At the foot of every page. */
  readonly stamp: string;
}

export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];
