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
