import { computed, shallowRef } from 'vue';

/** The language of the words (BCP 47). */
export const language = shallowRef('en');

/** Where the garage is (BCP 47): only the region counts. */
export const place = shallowRef('en-GB');

/** How numbers, dates and hours are written: as the language does it there. */
export const locale = computed(() => `${language.value}${place.value.slice(2)}`);

/** From so many on, thousands are set apart. */
const GROUPED_FROM = 10_000;

const formats = new Map<string, Intl.NumberFormat>();

/** A number with exactly so many decimals. */
export function fixed(value: number, decimals: number): string {
  const useGrouping = Math.abs(value) >= GROUPED_FROM;
  const key = `${locale.value} ${decimals} ${useGrouping}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale.value, {
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
      useGrouping,
    });
    formats.set(key, format);
  }
  return format.format(value);
}

/** A number with the digits it has. */
export const plain = (value: number): string => String(value).replace('.', decimalSign());

/** What stands between the whole and its parts. */
export function decimalSign(): '.' | ',' {
  return fixed(0.5, 1).includes(',') ? ',' : '.';
}

const REGIONS = ['AT', 'AU', 'BE', 'CA', 'CH', 'DE', 'DK', 'FI', 'GB', 'IE', 'IN', 'NL', 'NZ', 'SE', 'SG', 'US', 'ZA'];

/** Places whose way of writing can be chosen, the one that is chosen among them. */
export function regions(own: string): { locale: string; name: string }[] {
  const names = new Intl.DisplayNames([language.value], { type: 'region' });
  return [...new Set([...REGIONS, own.slice(3)])]
    .map((region) => ({ locale: `en-${region}`, name: names.of(region) ?? region }))
    .sort((a, b) => a.name.localeCompare(b.name));
}
