import type { Reading } from '@/api/client';

/** The newest readings that the server has of a session, newest first, and how many it has in all. */
export interface ServerReadings {
  onServer: Reading[];
  serverCount: number;
}

/** What the server has after it took some readings and forgot one. */
export function afterNews(
  { onServer, serverCount }: ServerReadings,
  news: { taken?: Reading[]; forgotten?: string },
): ServerReadings {
  const taken = news.taken?.filter((r) => !onServer.some((h) => h.client_id === r.client_id)) ?? [];
  const now = [...taken, ...onServer].filter((r) => r.client_id !== news.forgotten);
  return { onServer: now, serverCount: serverCount + now.length - onServer.length };
}
