import { IntlMessageFormat } from 'intl-messageformat';
import { en } from './en';
import type { glossary } from './en.glossary';
import type { later } from './en.later';
import { locale } from './habits';

export type Code = keyof typeof en | keyof typeof later | keyof typeof glossary;
export type Figures = Record<string, string | number>;

const patterns: Partial<Record<Code, string>> = { ...en };
const ready = new Map<string, IntlMessageFormat>();

/** A stage with its own words: both are fetched together. */
export function worded<T>(stage: () => Promise<T>): () => Promise<T> {
  return async () => (await Promise.all([stage(), learn()]))[0];
}

export async function learn(): Promise<void> {
  const [stages, terms] = await Promise.all([import('./en.later'), import('./en.glossary')]);
  Object.assign(patterns, stages.later, terms.glossary);
}

/** The pattern of a code, read once for a place's way of writing. Another language is another file with the same codes. */
export function pattern(code: Code): IntlMessageFormat {
  const key = `${locale.value} ${code}`;
  let found = ready.get(key);
  if (!found) {
    found = new IntlMessageFormat(patterns[code] ?? code, locale.value, undefined, { ignoreTag: true });
    ready.set(key, found);
  }
  return found;
}

/** A message of the page in words. Figures are by the names they have in its pattern. */
export function say(code: Code, figures: Figures = {}): string {
  return String(pattern(code).format(figures));
}

type Joint = 'and' | 'comma' | 'dot' | 'plus' | 'semicolon';

/** Several things in a row, joined as the language does it; nothing for none. "Birch, Cedar and Elm". */
export function listed(joint: Joint, items: readonly string[]): string {
  const [last, ...before] = items.toReversed();
  if (joint === 'and' && before.length > 1 && last !== undefined) {
    return say('list.and', { first: listed('comma', before.toReversed()), rest: last });
  }
  return items.reduceRight((rest, first) => (rest === '' ? first : say(`list.${joint}`, { first, rest })), '');
}
