import { IntlMessageFormat } from 'intl-messageformat';
import { en } from './en';

export type Code = keyof typeof en;
export type Figures = Record<string, string | number>;

/** The language of the page; another one is another file with the same codes. */
export const locale = 'en';

const patterns: Record<Code, string> = en;
const ready = new Map<Code, IntlMessageFormat>();

/** The pattern of a code, read once. */
export function pattern(code: Code): IntlMessageFormat {
  let found = ready.get(code);
  if (!found) {
    found = new IntlMessageFormat(patterns[code], locale, undefined, { ignoreTag: true });
    ready.set(code, found);
  }
  return found;
}

/** A message of the page in words. Figures are by the names they have in its pattern. */
export function say(code: Code, figures: Figures = {}): string {
  return String(pattern(code).format(figures));
}

type Joint = 'and' | 'comma' | 'dot' | 'plus' | 'semicolon';

/** Several things in a row, joined as the language does it; nothing for none. */
export function listed(joint: Joint, items: readonly string[]): string {
  return items.reduceRight((rest, first) => (rest === '' ? first : say(`list.${joint}`, { first, rest })), '');
}
