import { IntlMessageFormat } from 'intl-messageformat';
import { shallowRef } from 'vue';
import { en } from './en';
import type { glossary } from './en.glossary';
import type { later } from './en.later';
import { language, locale } from './habits';

export type Code = keyof typeof en | keyof typeof later | keyof typeof glossary;
export type Figures = Record<string, string | number>;

type Words = Partial<Record<Code, string>>;
const files = import.meta.glob<Record<string, Words>>(['./??.ts', './*.later.ts', './*.glossary.ts', '!./en.ts']);
const words = async (file: string): Promise<Words> => Object.values((await files[`./${file}.ts`]?.()) ?? {})[0] ?? {};

const patterns = shallowRef<Words>({ ...en });
/** Languages that are written from right to left. */
const RIGHT_TO_LEFT = /^(?:ar|ckb|dv|fa|he|ps|ur|yi)\b/;
const ready = new Map<string, IntlMessageFormat>();
let isLearnt = false;

/** Says everything in another language from now on. English stands in for what its files lack. */
export async function speak(tag: string): Promise<void> {
  const own = tag === 'en' ? {} : await words(tag);
  language.value = tag;
  document.documentElement.lang = tag;
  document.documentElement.dir = RIGHT_TO_LEFT.test(tag) ? 'rtl' : 'ltr';
  ready.clear();
  patterns.value = { ...en, ...own };
  if (isLearnt) {
    await learn();
  }
}

/** A stage with its own words: both are fetched together. */
export function worded<T>(stage: () => Promise<T>): () => Promise<T> {
  return async () => (await Promise.all([stage(), learn()]))[0];
}

export async function learn(): Promise<void> {
  isLearnt = true;
  const [stages, terms] = await Promise.all([words(`${language.value}.later`), words(`${language.value}.glossary`)]);
  patterns.value = { ...patterns.value, ...stages, ...terms };
}

/** The pattern of a code, read once for a place's way of writing. Another language is another set of files with the same codes. */
export function pattern(code: Code): IntlMessageFormat {
  const key = `${locale.value} ${code}`;
  let found = ready.get(key);
  if (!found) {
    found = new IntlMessageFormat(patterns.value[code] ?? code, locale.value, undefined, { ignoreTag: true });
    ready.set(key, found);
  }
  return found;
}

/** A message of the page in words. Figures are by the names they have in its pattern. */
export function say(code: Code, figures: Figures = {}): string {
  return String(pattern(code).format(figures));
}

type Joint = 'and' | 'comma' | 'dot' | 'plus' | 'semicolon';

/** A complaint that stands alone. */
export const sentence = (complaint: string): string => complaint.charAt(0).toUpperCase() + complaint.slice(1);

/** Several things in a row, joined as the language does it; nothing for none. "Birch, Cedar and Elm". */
export function listed(joint: Joint, items: readonly string[]): string {
  const [last, ...before] = items.toReversed();
  if (joint === 'and' && before.length > 1 && last !== undefined) {
    return say('list.and', { first: listed('comma', before.toReversed()), rest: last });
  }
  return items.reduceRight((rest, first) => (rest === '' ? first : say(`list.${joint}`, { first, rest })), '');
}
