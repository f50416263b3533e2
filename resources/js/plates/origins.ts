import type { components } from '@/api/schema';

export interface FactOrigin {
  origin: components['schemas']['Origin'];
  on?: string | null;
}

/** Where the facts of a plate come from, by their dotted paths. */
export const originsOf = (spec: Record<string, unknown> | undefined): Record<string, FactOrigin> =>
  (spec?.origins ?? {}) as Record<string, FactOrigin>;

/** Whether nobody has read it. */
export const isAbout = (origin: FactOrigin | undefined): boolean =>
  origin !== undefined && origin.origin !== 'read' && origin.origin !== 'imported';
