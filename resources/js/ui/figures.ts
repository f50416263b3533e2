import { fixed, locale } from '@/words/habits';
import { say } from '@/words/say';

/** kW as it is read at a glance, without its unit: one decimal below 20. */
export function kw(value: number | null | undefined): string {
  return value === null || value === undefined ? say('figure.unknown') : fixed(value, value < 20 ? 1 : 0);
}

export function number(value: number | null | undefined, decimals = 0): string {
  return value === null || value === undefined ? say('figure.none') : fixed(value, decimals);
}

/** A share as a whole percentage. */
export function percent(share: number | null | undefined): string {
  return share === null || share === undefined
    ? say('figure.none')
    : say('figure.percent', { n: Math.round(share * 100) });
}

/** Points of charge. */
export const soc = (value: number, decimals = 0): string => say('figure.percent', { n: fixed(value, decimals) });

const UNITS = { v: 'figure.volts', a: 'figure.amps', kw: 'figure.kw' } as const;

export type Quantity = keyof typeof UNITS;

/** How a screen writes so many volts, amps or kW; kW with one decimal. */
export function quantity(value: number, of: Quantity): string {
  return say(UNITS[of], { n: fixed(value, of === 'kw' ? 1 : 0) });
}

/** kW that an answer promises: a ceiling where a power has not been read. */
export function promised(kwNow: number | null | undefined, isAtMost: boolean | undefined): string {
  return isAtMost ? say('figure.at_most', { kw: kw(kwNow) }) : say('figure.kw', { n: kw(kwNow) });
}

/** An amount of money as it is printed at the place; decimals come from the core and stay as they are. */
export function money(amount: string | null | undefined, currency: string | null | undefined): string {
  if (amount === null || amount === undefined || !currency) {
    return say('figure.price_unread');
  }
  const decimals = amount.split('.')[1]?.length ?? 0;
  return new Intl.NumberFormat(locale.value, {
    style: 'currency',
    currency,
    currencyDisplay: 'narrowSymbol',
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  }).format(Number(amount));
}

/** Minutes as they are said: "27 min", or "4 h 12 min" from two hours on. */
export function duration(minutes: number | null | undefined): string {
  if (minutes === null || minutes === undefined) {
    return say('figure.none');
  }
  const whole = Math.round(minutes);
  return whole < 120
    ? say('figure.minutes', { n: whole })
    : say('figure.hours', { hours: Math.floor(whole / 60), minutes: whole % 60 });
}

/** Seconds as m:ss, or h:mm:ss from an hour on. */
export function clock(seconds: number): string {
  const s = Math.max(0, Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, '0');
  const h = Math.floor(s / 3600);
  return h > 0 ? `${h}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}` : `${Math.floor(s / 60)}:${two(s % 60)}`;
}

export function day(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat(locale.value, { timeZone, day: 'numeric', month: 'short', year: 'numeric' }).format(
    new Date(iso),
  );
}

export function hour(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat(locale.value, { timeZone, hour: '2-digit', minute: '2-digit' }).format(new Date(iso));
}
