import { api } from '@/api/client';
import { asks, keep, recall } from './answerStore';
import { reached, showsKept, unreached } from './network';

/** Marks an answer that came from this device. */
const FROM_HERE = 'X-Kept';

/** Without a network a question is answered as it was the last time; what would change something is refused. */
export function keepAnswers(): void {
  api.use({
    onRequest({ request }) {
      asks(request);
      return request;
    },
    onResponse({ request, response }) {
      if (!response.headers.has(FROM_HERE)) {
        reached();
        void keep(request, response.clone());
      }
      return response;
    },
    async onError({ request }) {
      unreached();
      const kept = await recall(request);
      if (kept === null) {
        return undefined;
      }
      showsKept(kept.at);
      const headers = { 'Content-Type': 'application/json', [FROM_HERE]: 'yes' };
      return new Response(JSON.stringify(kept.body), { status: 200, headers });
    },
  });
}
