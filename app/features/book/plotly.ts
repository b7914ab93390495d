import { styleNumber } from '../session/style-number';
import file from 'plotly.js-basic-dist-min/plotly-basic.min.js?url';

/** One bar or point that was clicked: which of the parts that are drawn, and which of that part. */
export interface PickedPoint {
  readonly curveNumber: number;
  readonly pointNumber: number;
}
/** A place in which something is drawn. */
interface Drawn {
  readonly on: (event: 'plotly_click', heard: (clicked: { points: readonly PickedPoint[] }) => void) => void;
}

/** What is used of the library. */
export interface Plot {
  readonly react: (place: HTMLElement, data: unknown, layout: unknown, config: unknown) => Promise<Drawn>;
  readonly purge: (place: HTMLElement) => void;
}

let loading: Promise<Plot> | null = null;

/** The style element the library would make itself, with the number of the page: it writes its rules into this one. */
function makePlaceForStyles(): void {
  const id = 'plotly.js-style-global';
  if (document.getElementById(id)) return;
  const style = document.createElement('style');
  style.id = id;
  style.nonce = styleNumber();
  document.head.append(style);
}

/** The charting library, fetched once, when the first chart is drawn. */
export function loadPlotly(): Promise<Plot> {
  loading ??= new Promise<Plot>((resolve, reject) => {
    makePlaceForStyles();
    const script = document.createElement('script');
    script.src = file;
    script.onload = () => resolve((window as unknown as { Plotly: Plot }).Plotly);
    script.onerror = () => {
      loading = null;
      reject(new Error('the chart could not be loaded'));
    };
    document.head.append(script);
  });
  return loading;
}
