import { useRoute, useRouter } from 'vue-router';
import { useAttempt } from '@/ui/useAttempt';

/** A way in that may be refused; behind it one goes on where one wanted to. */
export function useDoor(tell?: (e: unknown) => string, home = '/board') {
  const router = useRouter();
  const route = useRoute();
  const { isBusy, error, attempt } = useAttempt(tell);

  function enter(door: () => Promise<void>): Promise<void> {
    return attempt(async () => {
      await door();
      const to = route.query.to;
      await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : home);
    });
  }

  return { isBusy, error, attempt, enter };
}
