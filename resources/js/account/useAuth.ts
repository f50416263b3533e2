import { useRoute, useRouter } from 'vue-router';
import { useAttempt } from '@/ui/useAttempt';

/** Signing in or registering; afterwards the person continues where they wanted to go. */
export function useAuth(tell?: (e: unknown) => string, home = '/board') {
  const router = useRouter();
  const route = useRoute();
  const { isBusy, error, attempt } = useAttempt(tell);

  /** @param action where it leads, where it knows better */
  function enter(action: () => Promise<unknown>): Promise<void> {
    return attempt(async () => {
      const leads = await action();
      const to = typeof leads === 'string' ? leads : route.query.to;
      await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : home);
    });
  }

  return { isBusy, error, attempt, enter };
}
