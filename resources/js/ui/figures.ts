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
    : say('figure.percent', { n: Math.round(Number((share * 100).toFixed(6))) });
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
export function promised(power: Power | undefined): string {
  const [low, high] = power?.band_kw ?? [];
  if (power?.at_most) {
    return say('figure.at_most', { kw: kw(high ?? power.expected_peak_kw) });
  }
  if (low === undefined || high === undefined) {
    return say('figure.kw', { n: kw(power?.expected_peak_kw) });
  }
  return power?.expected_peak_kw === null
    ? say('figure.between_kw', { low: kw(low), high: kw(high) })
    : kw(low) === kw(high)
      ? say('figure.kw', { n: say('figure.about', { figure: kw(high) }) })
      : say('figure.about_kw', { kw: kw(power?.expected_peak_kw), low: kw(low), high: kw(high) });
}

interface Power {
  expected_peak_kw: number | null;
  at_most?: boolean;
  about?: boolean;
  band_kw?: number[] | null;
}

/** A span as it is read at a glance; one figure where its ends are written alike. */
export function span(low: number, high: number, write: (n: number) => string = kw): string {
  return write(low) === write(high)
    ? say('figure.about', { figure: write(high) })
    : say('figure.span', { low: write(low), high: write(high) });
}

/** kW without their unit, as far as they are known: read, about, a span, or a ceiling; nothing where nothing is. */
export function ranged(power: Power): string {
  const [low, high] = power.band_kw ?? [];
  if (power.at_most && (high !== undefined || power.expected_peak_kw !== null)) {
    return say('figure.up_to', { kw: kw(high ?? power.expected_peak_kw) });
  }
  if (low !== undefined && high !== undefined) {
    return low < 0.5 ? say('figure.up_to', { kw: kw(high) }) : span(low, high);
  }
  return power.expected_peak_kw === null ? '' : kw(power.expected_peak_kw);
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

/** A month by its name; `2026-05` is how it is asked for. */
export const month = (key: string): string =>
  new Intl.DateTimeFormat(locale.value, { timeZone: 'UTC', month: 'short', year: 'numeric' }).format(
    new Date(`${key}-15T12:00:00Z`),
  );

export function hour(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat(locale.value, { timeZone, hour: '2-digit', minute: '2-digit' }).format(new Date(iso));
}

/** A figure that may stand for one nobody has read. */
export const orAbout = (figure: string, isAbout: boolean): string =>
  isAbout ? say('figure.about', { figure }) : figure;
