import type { Reading } from '@/api/client';

/** The newest readings that the server has of a session, newest first, and how many it has in all. */
export interface Held {
  held: Reading[];
  heldCount: number;
}

/** What the server has after it took some readings and forgot one. */
export function afterNews({ held, heldCount }: Held, news: { taken?: Reading[]; forgotten?: string }): Held {
  const taken = news.taken?.filter((r) => !held.some((h) => h.client_id === r.client_id)) ?? [];
  const now = [...taken, ...held].filter((r) => r.client_id !== news.forgotten);
  return { held: now, heldCount: heldCount + now.length - held.length };
}
