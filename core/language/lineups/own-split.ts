import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';

/** A split that holds for the whole line. */
const OWN_SPLIT = /(^|[;\n])\s*split\s+\d/;

/** A formation's text with the program's split where it does not say its own. Notation that stands in no book says all of it itself. */
export function withSplit(text: string, { splitInches }: Pick<Settings, 'splitInches'>): string {
  if (splitInches === SHIPPED_SETTINGS.splitInches || OWN_SPLIT.test(text)) return text;
  return `${text.trimEnd()}\nsplit ${splitInches}in\n`;
}
