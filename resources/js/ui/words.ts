import type { Outcome, Verdict } from '@/api/client';

/** The word for each outcome; its glyph is drawn by JointGlyph. */
export const outcomeWords: Record<Outcome, string> = {
  charges: 'Charges',
  limited: 'Charges, held back',
  unverified: 'Check first',
  wont_charge: "Mates, won't charge",
  no_joint: 'No joint',
  hazard: 'Do not connect',
};

/** The short form beside a glyph on the board, where no kW is expected. */
export const outcomeShort: Record<Outcome, string> = {
  charges: '',
  limited: '',
  unverified: 'check',
  wont_charge: 'no',
  no_joint: '–',
  hazard: 'do not',
};

export const verdictWords: Record<Verdict, string> = {
  passed: 'Passed',
  passed_indicative: 'Passed, indicative',
  caution: 'Take care',
  failed: 'Failed',
  incomplete: 'Incomplete',
};

/** kW as it is read at a glance: one decimal below 20. */
export function kw(value: number | null | undefined): string {
  return value === null || value === undefined ? '?' : value < 20 ? value.toFixed(1) : value.toFixed(0);
}

export function number(value: number | null | undefined, decimals = 0): string {
  return value === null || value === undefined ? '–' : value.toFixed(decimals);
}

export function percent(share: number | null | undefined): string {
  return share === null || share === undefined ? '–' : `${Math.round(share * 100)} %`;
}

/** An amount of money as it is printed at the place; decimals come from the core and stay as they are. */
export function money(amount: string | null | undefined, currency: string | null | undefined): string {
  if (amount === null || amount === undefined || !currency) {
    return 'price not read';
  }
  const decimals = amount.split('.')[1]?.length ?? 0;
  return new Intl.NumberFormat('en', {
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
    return '–';
  }
  const whole = Math.round(minutes);
  return whole < 120 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}

/** Seconds as m:ss, or h:mm:ss from an hour on. */
export function clock(seconds: number): string {
  const s = Math.max(0, Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, '0');
  const h = Math.floor(s / 3600);
  return h > 0 ? `${h}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}` : `${Math.floor(s / 60)}:${two(s % 60)}`;
}

export function day(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, day: 'numeric', month: 'short', year: 'numeric' }).format(
    new Date(iso),
  );
}

export function hour(iso: string, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(new Date(iso));
}
