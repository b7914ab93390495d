import type { Step } from './word';

/** First steps as they are said after "short" or "long". */
export const STEP_SAYS: Readonly<Record<string, string>> = {
  lead: 'lead step',
  lateral: 'lateral step',
  bucket: 'bucket step',
  drop: 'drop step',
  open: 'open step',
  skip: 'skip, shoulders square',
  'short pull': 'pull step into the line',
  'in place': 'in place: pick it up, put it down',
  post: 'post step',
  kick: 'kick step',
  slide: 'slide step',
  none: '',
} satisfies Record<Step, string>;
