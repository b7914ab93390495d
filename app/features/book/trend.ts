import { rateIn, type BookLine } from '#core/grade/book/lines';

/** What a chart is drawn with. */
export interface Tokens {
  getPropertyValue: (name: string) => string;
}

/** On a picture narrower than this, pixels, only the weeks are written. */
const NARROW = 520;

/** A number from game to game as points with their 95 % intervals, hollow where there are too few to say. */
export function trendPlot(lines: readonly BookLine[], passLine: number, tokens: Tokens, width: number) {
  const ink = tokens.getPropertyValue('--ink').trim();
  const soft = tokens.getPropertyValue('--soft').trim();
  const rule = tokens.getPropertyValue('--rule').trim();
  const rates = lines.map((l) => rateIn(l, 'both'));
  const percent = rates.map((r) => 100 * (r.share ?? 0));
  const games = lines.map((l) => (width < NARROW ? l.label.replace(/,.*/, '') : l.label.replace(/, /, '<br>')));
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
      margin: { l: 40, r: 42, t: 14, b: 40 },
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: 'Archivo Variable, sans-serif', size: 12, color: ink },
      showlegend: false,
      width,
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
