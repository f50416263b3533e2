import type { Reading } from '@/api/client';
import { useTerms } from '@/stores/terms';

export type HeatField = Extract<keyof Reading, `${string}_c`>;
/** Where a temperature is read. */
export type Point = HeatField extends `${infer P}_c` ? P : never;

/** The air comes first: it is known before anything is touched. */
const FIRST: Point = 'ambient';

/** Where temperatures are read, in the order in which they are asked for. */
export function points(): Point[] {
  const all = useTerms()
    .all('point')
    .map((term) => term.id as Point);
  return [FIRST, ...all.filter((p) => p !== FIRST)];
}
