import { computed } from 'vue';
import { useReadingFields } from '@/connect/readingFields';
import { say } from '@/words/say';
import { HOUR } from './mappingDraft';

/** The last second of a year, in the parts that a format is made of (as of PHP's dates). */
const PARTS: Record<string, string> = {
  d: '31',
  m: '12',
  Y: '2026',
  H: '23',
  h: '11',
  i: '59',
  s: '58',
  A: 'PM',
};
/** Clocks without a date, and counts since 1970. */
const WHOLE: Record<string, string> = { 'm:ss': '59:58', 'h:mm': '23:59', U: '1798761598' };

/** How a clock is written, by an example. */
export const formatExample = (format: string): string =>
  WHOLE[format] ?? [...format].map((sign) => PARTS[sign] ?? sign).join('');

/** Fields and units of a readings file in words; their codes stay in mappings. */
export function useColumnWords() {
  const { screen, heat } = useReadingFields();
  const units: Record<string, string> = {
    degC: say('unit.celsius'),
    degF: say('unit.fahrenheit'),
    share: say('unit.share'),
  };
  const fields = computed<Record<string, string>>(() => ({
    t_s: say('field.t_s'),
    time: say('field.time'),
    [HOUR]: say('field.hour'),
    source: say('field.source'),
    note: say('field.note'),
    event: say('field.event'),
    ...Object.fromEntries([...screen, ...heat.value].map((f) => [f.name, f.label])),
  }));
  return {
    field: (code: string): string => fields.value[code] ?? code,
    unit: (code: string): string => units[code] ?? code,
  };
}
