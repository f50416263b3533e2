import type { Code } from './say';

/** Where a garage may be: which kinds of charger come first. */
export const REGIONS: { id: string; words: Code }[] = [
  { id: 'north-america', words: 'region.north_america' },
  { id: 'europe', words: 'region.europe' },
  { id: 'uk', words: 'region.uk' },
  { id: 'china', words: 'region.china' },
  { id: 'japan', words: 'region.japan' },
  { id: 'oceania', words: 'region.oceania' },
  { id: 'elsewhere', words: 'region.elsewhere' },
];

/** What a garage may pay with; another one is kept as it is. */
export const CURRENCIES = [
  'AUD',
  'CAD',
  'CHF',
  'CNY',
  'DKK',
  'EUR',
  'GBP',
  'INR',
  'JPY',
  'NOK',
  'NZD',
  'SEK',
  'SGD',
  'USD',
  'ZAR',
];

/** Time zones that this browser knows, and one that is kept already. */
export const zones = (own: string): string[] => [...new Set([...Intl.supportedValuesOf('timeZone'), own])].sort();
