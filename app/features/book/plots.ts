import { rateIn, type BookLine } from '#core/grade/book/lines';
import { SPREAD, SPREAD_PARTS, type Spread, type SpreadPart } from '#core/grade/book/spread';
import { YARD_ENDS, yardOf, type GainCount } from '#core/grade/book/play-result';

/** What a chart is drawn with. */
export interface Tokens {
  getPropertyValue: (name: string) => string;
}

export interface DrawnPlot {
  readonly data: readonly unknown[];
  readonly layout: unknown;
}

/** A line whose marks spread. */
export interface SpreadLine {
  readonly label: string;
  readonly spread: Spread;
}

/** On a picture narrower than this, pixels, only the weeks are written. */
const NARROW = 520;

/** A number from game to game as points with their 95 % intervals, hollow where there are too few to say. */
export function trendPlot(lines: readonly BookLine[], passLine: number, tokens: Tokens, width: number) {
  const { ink, soft, rule } = inksOf(tokens);
  const rates = lines.map((l) => rateIn(l, 'both'));
  const percent = rates.map((r) => 100 * (r.share ?? 0));
  const games = lines.map((l) => (width < NARROW ? l.label.replace(/,.*/, '') : l.label.replace(/, /, '<br>')));
  const plain = plainLayout(ink, width);
  /** The axis begins below the lowest interval, at a round number. */
  const lowest = 25 * Math.floor(Math.min(...rates.map((r) => 100 * r.low)) / 25);
  return {
    data: [
      {
        x: games,
        y: percent,
        type: 'scatter',
        mode: 'lines+markers+text',
        text: rates.map((r, i) => `${Math.round(percent[i]!)} %`),
        textposition: 'middle right',
        hovertext: rates.map((r) => `${Math.round(r.good)} of ${r.of}`),
        hoverinfo: 'text',
        line: { color: soft, width: 1 },
        marker: {
          color: rates.map((r) => (r.tooFew ? 'rgba(0,0,0,0)' : ink)),
          line: { color: ink, width: 1.5 },
          size: 9,
          symbol: 'diamond',
        },
        error_y: {
          type: 'data',
          symmetric: false,
          array: rates.map((r, i) => 100 * r.high - percent[i]!),
          arrayminus: rates.map((r, i) => percent[i]! - 100 * r.low),
          color: soft,
          thickness: 1.5,
          width: 5,
        },
      },
    ],
    layout: {
      ...plain,
      // On a phone the last percentage needs the room beside its point.
      margin: { ...plain.margin, r: width < NARROW ? 54 : plain.margin.r },
      showlegend: false,
      xaxis: { fixedrange: true, showgrid: false, tickangle: 0, color: soft, type: 'category' },
      yaxis: { fixedrange: true, range: [lowest, 108], ticksuffix: ' %', gridcolor: rule, color: soft, dtick: 25 },
      shapes: [
        {
          type: 'line',
          xref: 'paper',
          x0: 0,
          x1: 1,
          y0: 100 * passLine,
          y1: 100 * passLine,
          line: { color: soft, width: 1, dash: 'dot' },
        },
      ],
    },
  } as const;
}

/** The yard of a bar, counted from the left. */
export const yardAt = (bar: number): number => YARD_ENDS.least + bar;

/** How far plays went: a bar a yard, filled where the line blocked it, open where somebody missed, hatched where nobody can say. */
export function gainPlot(gains: readonly GainCount[], standard: number, tokens: Tokens, width: number) {
  const { ink, soft, rule, ground } = inksOf(tokens);
  const yards = Array.from({ length: YARD_ENDS.most - YARD_ENDS.least + 1 }, (_, bar) => yardAt(bar));
  const at = (yard: number, part: GainPart): number =>
    gains.filter((g) => yardOf(g.gain) === yard).reduce((sum, g) => sum + g[part], 0);
  const bars = GAIN_PARTS.map(({ part, name }) => ({
    ...{ type: 'bar', name, x: yards, y: yards.map((y) => at(y, part)) },
    hovertemplate: `%{y} at %{x} yards: ${name}<extra></extra>`,
    marker: {
      color: part === 'blocked' ? ink : ground,
      line: { color: part === 'untold' ? soft : ink, width: 1 },
      pattern: part === 'untold' ? { shape: '/', fgcolor: soft, size: 5 } : undefined,
    },
  }));
  return {
    data: bars,
    layout: {
      ...plainLayout(ink, width),
      ...{ barmode: 'stack', bargap: 0.15, legend: { orientation: 'h', x: 0, y: 1.2 } },
      xaxis: {
        ...{ fixedrange: true, showgrid: false, zeroline: false, color: soft },
        tickvals: [YARD_ENDS.least, 0, 5, 10, 15, YARD_ENDS.most],
        ticktext: [`${YARD_ENDS.least} and less`, '0', '5', '10', '15', `${YARD_ENDS.most} and more`],
        title: { text: 'yards', standoff: 4 },
      },
      yaxis: { fixedrange: true, gridcolor: rule, color: soft, rangemode: 'tozero', tickformat: 'd' },
      shapes: [
        {
          ...{ type: 'line', yref: 'paper', y0: 0, y1: 1, x0: standard - 0.5, x1: standard - 0.5 },
          line: { color: soft, width: 1, dash: 'dot' },
        },
      ],
    },
  };
}
const GAIN_PARTS = [
  { part: 'blocked', name: 'line blocked it' },
  { part: 'missed', name: 'somebody missed' },
  { part: 'untold', name: 'not all graded' },
] as const;
type GainPart = (typeof GAIN_PARTS)[number]['part'];

/** The same in words. */
export function sayGains(gains: readonly GainCount[]): string {
  const count = (g: GainCount): number => g.blocked + g.missed + g.untold;
  return [...gains]
    .sort((a, b) => a.gain - b.gain)
    .map((g) => `${g.gain} yards: ${count(g)}`)
    .join('; ');
}

/** How marks spread, a bar a line, the first on top: filled what earned all of it, open what earned nothing, hatched what nobody could tell. */
export function spreadPlot(lines: readonly SpreadLine[], tokens: Tokens, width: number) {
  const { ink, soft, rule, ground } = inksOf(tokens);
  const filled: Readonly<Record<SpreadPart, string>> = {
    ...{ all: ink, more: soft, less: rule, nothing: ground, open: ground },
  };
  const labels = lines.map((l) => l.label);
  const bars = SPREAD_PARTS.map((part) => ({
    ...{ type: 'bar', orientation: 'h', name: SPREAD[part].name, y: labels, x: lines.map((l) => l.spread[part]) },
    hovertemplate: `%{x} of %{y}: ${SPREAD[part].name}<extra></extra>`,
    marker: {
      color: filled[part],
      line: { color: part === 'open' ? soft : ink, width: 1 },
      pattern: part === 'open' ? { shape: '/', fgcolor: soft, size: 5 } : undefined,
    },
  }));
  const layout = plainLayout(ink, width);
  return {
    data: bars,
    layout: {
      ...layout,
      ...{ barmode: 'stack', barnorm: 'percent', bargap: 0.3 },
      margin: { ...layout.margin, l: 0, r: 30 },
      legend: { orientation: 'h', x: 0, y: 1, yanchor: 'bottom', traceorder: 'normal' },
      xaxis: { fixedrange: true, gridcolor: rule, color: soft, ticksuffix: ' %', dtick: 25, range: [0, 100] },
      yaxis: {
        fixedrange: true,
        color: ink,
        autorange: 'reversed',
        type: 'category',
        automargin: true,
        ticksuffix: ' ',
      },
    },
  };
}

const inksOf = (tokens: Tokens): Record<'ink' | 'soft' | 'rule' | 'ground', string> => ({
  ink: tokens.getPropertyValue('--ink').trim(),
  soft: tokens.getPropertyValue('--soft').trim(),
  rule: tokens.getPropertyValue('--rule').trim(),
  ground: tokens.getPropertyValue('--ground').trim(),
});

const plainLayout = (ink: string, width: number) => ({
  margin: { l: 40, r: 42, t: 14, b: 40 },
  paper_bgcolor: 'rgba(0,0,0,0)',
  plot_bgcolor: 'rgba(0,0,0,0)',
  font: { family: 'Archivo Variable, sans-serif', size: 12, color: ink },
  width,
});
