import { readTree } from '../language/read';
import { libraryIds, libraryText } from '../library/library';
import type { Naming } from '../model/naming';

/** What the product calls its schemes until a program says otherwise: one made-up word a scheme. */
const PLAYS: Record<string, string> = {
  'inside-zone-z1': 'Ivy',
  'inside-zone-z2': 'Indigo',
  'inside-zone-z2m': 'Iris',
  'inside-zone-z2r': 'Ibis',
  'inside-zone-z3': 'Iron',
  'inside-zone-z4': 'Ink',
  'inside-zone-z5': 'Islet',
  'inside-zone-z5c': 'Inlet',
  'inside-zone-z6': 'Ingot',
  'outside-zone': 'Orchard',
  power: 'Plough',
  'counter-gt': 'Cellar',
  'counter-gh': 'Chapel',
  duo: 'Dovetail',
  'long-trap': 'Larder',
  'short-trap': 'Snare',
  'down-open': 'Dune',
  'down-gap': 'Dell',
  'buck-sweep': 'Broom',
  'pin-pull-any': 'Pennant',
  'pin-pull-gap': 'Pewter',
  'pin-pull-nose': 'Pilot',
  iso: 'Islander',
  'dive-triple': 'Diver',
  'goal-line-inside': 'Gable',
  'goal-line-outside': 'Gallery',
  'toss-tackle': 'Tallow',
  screen: 'Shutter',
  'pro-five-back': 'Fender',
  'pro-three-slide': 'Ferrule',
  'pro-half-slide': 'Fresco',
  'pro-full-slide': 'Flagstone',
  'pro-man': 'Fathom',
  'pro-box': 'Fable',
  'pro-six': 'Fiddle',
  'pro-seven': 'Falcon',
  'pro-max': 'Fortress',
  'pro-quick': 'Flint',
  'pro-play-action': 'Feather',
  'pro-boot': 'Foxglove',
};
const FORMATIONS: Record<string, string> = {
  'five-man': 'Quay',
  'tight-end': 'Harbour',
  'tight-end-left': 'Haven',
  wing: 'Weir',
  'h-back': 'Hazel',
  'h-left': 'Heron',
  'two-back': 'Twine',
  'tight-end-h': 'Thicket',
  'two-tight-ends': 'Terrace',
  'double-wing': 'Warbler',
  spread: 'Sparrow',
  'slot-left': 'Swallow',
  unbalanced: 'Umber',
  'goal-line-pair': 'Granary',
  pistol: 'Plover',
};

/** Every tag a shipped scheme has, said as it is written. */
const tagWords = (): Record<string, string> =>
  Object.fromEntries(
    libraryIds('schemes').flatMap((id) => {
      const { tree } = readTree(libraryText('schemes', id)!);
      return tree?.kind === 'scheme' ? tree.tags.map((t) => [t.name, t.name]) : [];
    }),
  );

/** The naming a program starts with, in words or in numbers. */
export const shippedNaming = (style: Naming['style']): Naming => ({
  style,
  plays: PLAYS,
  sides: { left: 'left', right: 'right' },
  formations: FORMATIONS,
  motions: { 'Z left': 'Zip', 'Z right': 'Zap', 'H left': 'Hop', 'H right': 'Hip' },
  tags: tagWords(),
  numbers: {
    even: 'right', // Protections are 5x to 8x: even is called to the right, odd to the left.
    carriers: {
      default: '3',
      'dive-triple': '2',
      'counter-gh': '3',
      'pro-five-back': '5',
      'pro-three-slide': '5',
      'pro-half-slide': '5',
      'pro-full-slide': '5',
      'pro-man': '5',
      'pro-box': '5',
      'pro-six': '6',
      'pro-seven': '7',
      'pro-max': '8',
      'pro-quick': '9',
      'pro-play-action': '3',
      'pro-boot': '3',
    },
    holes: {
      default: [1, 2],
      'outside-zone': [7, 8],
      'buck-sweep': [7, 8],
      'toss-tackle': [9, 8],
      'pin-pull-any': [7, 8],
      'pin-pull-gap': [7, 8],
      'pin-pull-nose': [7, 8],
      'down-open': [5, 6],
      'down-gap': [5, 6],
      iso: [3, 4],
      'goal-line-outside': [5, 6],
      'goal-line-inside': [3, 4],
      screen: [7, 8],
    },
  },
});
