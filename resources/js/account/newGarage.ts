import type { components } from '@/api/schema';
import { regions } from '@/words/habits';

export type NewGarage = components['schemas']['NewGarage'];

const CURRENCY_OF: Record<string, string> = {
  AU: 'AUD',
  CA: 'CAD',
  CH: 'CHF',
  DK: 'DKK',
  GB: 'GBP',
  IN: 'INR',
  NZ: 'NZD',
  SE: 'SEK',
  SG: 'SGD',
  US: 'USD',
  ZA: 'ZAR',
};

/** Guessed from the browser's settings; everything can be changed. */
export function suggested(): NewGarage {
  const region = new Intl.Locale(navigator.language).region ?? 'GB';
  const locale = `en-${region}`;
  return {
    name: '',
    units: region === 'US' ? 'us' : 'metric',
    currency: CURRENCY_OF[region] ?? 'EUR',
    locale: regions('en-GB').some((r) => r.locale === locale) ? locale : 'en-GB',
    timezone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}
