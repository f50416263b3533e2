import { shallowRef } from 'vue';

/** How numbers, dates and hours are written where the garage is (BCP 47); the words stay English. */
export const locale = shallowRef('en-GB');

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
const names = new Intl.DisplayNames(['en'], { type: 'region' });

/** Places whose way of writing English can be chosen, the one that is chosen among them. */
export const regions = (own: string): { locale: string; name: string }[] =>
  [...new Set([...REGIONS, own.slice(3)])]
    .map((region) => ({ locale: `en-${region}`, name: names.of(region) ?? region }))
    .sort((a, b) => a.name.localeCompare(b.name));
