import { decimalSign, plain } from '@/words/habits';
import { listed, say } from '@/words/say';
import type { FieldKind } from './fields';

/** The text in an input for a stored value. */
export function written(kind: FieldKind, value: unknown): string {
  if (value === null || value === undefined) {
    return '';
  }
  if (kind === 'curve' && Array.isArray(value)) {
    return value.map((pair) => (Array.isArray(pair) ? pair.map(shown).join(':') : '')).join('  ');
  }
  if (kind === 'bands' && Array.isArray(value)) {
    return value
      .map((band: { from_kw?: unknown; per_minute?: unknown }) => `${shown(band.from_kw)}:${priced(band.per_minute)}`)
      .join('  ');
  }
  if (kind === 'money') {
    return priced(value);
  }
  if (kind === 'stalls' && Array.isArray(value)) {
    return listed(
      'comma',
      value.map(({ label, fault }: { label?: unknown; fault?: unknown }) =>
        typeof fault === 'string' ? say('ocpi.stall_fault', { label: String(label), fault }) : String(label),
      ),
    );
  }
  if (kind === 'languages' && Array.isArray(value)) {
    return value.join(', ');
  }
  if (kind === 'names' && Array.isArray(value)) {
    return value.length === 0 ? say('entry.none') : value.join(', ');
  }
  return shown(value);
}

/** Whether a field holds one number. */
export const isFigure = (kind: FieldKind): boolean =>
  kind === 'number' || kind === 'money' || kind === 'celsius' || kind === 'metres' || kind === 'km_per_kwh';

/**
 * Digits with at most one decimal sign. The place's own sign is always one; of the other, three digits behind it may be
 * thousands, which nobody guesses.
 */
const DECIMAL = {
  '.': /^[+-]?(\d+\.?\d*|\.\d+|\d+,(\d{1,2}|\d{4,}))$/,
  ',': /^[+-]?(\d+,?\d*|,\d+|\d*\.(\d{1,2}|\d{4,}))$/,
};

/** The number that was typed; anything else as it is. */
export function number(typed: string): number | string {
  const text = typed.trim();
  return DECIMAL[decimalSign()].test(text) ? Number(text.replace(',', '.')) : typed;
}

const shown = (value: unknown): string => (typeof value === 'number' ? plain(value) : String(value));

/** An amount of money is text, whose every digit counts; here it is typed with the place's own sign. */
const priced = (amount: unknown): string => String(amount).replace('.', decimalSign());
const money = (typed: string): string => (typeof number(typed) === 'number' ? typed.replace(',', '.') : typed);

/**
 * The value for what was typed; null for nothing. What cannot be read as a number is passed on as it is, for the core
 * to refuse by its field.
 */
export function read(kind: FieldKind, text: string): unknown {
  const trimmed = text.trim();
  if (trimmed === '') {
    return null;
  }
  switch (kind) {
    case 'watts': {
      const watts = /^([\d.,]+)\s*w$/i.exec(trimmed);
      const value = number(watts?.[1] ?? trimmed.replace(/\s*kw$/i, ''));
      return watts && typeof value === 'number' ? value / 1000 : value;
    }
    case 'number':
    case 'celsius':
    case 'metres':
    case 'km_per_kwh':
      return number(trimmed);
    case 'money':
      return money(trimmed);
    case 'curve':
      return trimmed.split(/[\s;]+/).map((pair) => pair.split(':').map(number));
    case 'bands':
      return trimmed.split(/[\s;]+/).map((pair) => {
        const [from = '', price] = pair.split(':');
        return { from_kw: number(from), per_minute: price === undefined ? null : money(price) };
      });
    case 'names':
      return trimmed.toLowerCase() === say('entry.none')
        ? []
        : trimmed
            .split(',')
            .map((name) => name.trim())
            .filter((name) => name !== '');
    default:
      return trimmed;
  }
}
