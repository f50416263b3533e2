import { forgetDraftsBut } from '@/offline/drafts';
import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { api, ApiError, ask, howEstranged, showing, type Me } from '@/api/client';
import { forgetHere, isLeaving, knownHere, leaves, rememberHere, standIn } from '@/offline/device';
import { forgetAllBut } from '@/offline/answerStore';
import { place } from '@/words/habits';
import { speakTo } from '@/words/spoken';

/** What the page itself says about the person it was sent to. */
type Visitor = 'no' | 'yes' | 'ended';
const visitor = (): Visitor =>
  (document.querySelector<HTMLMetaElement>('meta[name=harmozon-visitor]')?.content as Visitor | undefined) ?? 'no';

/** Who is signed in, and at which garage. */
export const useAccount = defineStore('account', () => {
  const me = ref<Me | null>(null);
  /** The server no longer knows who is at work here. */
  const isExpired = ref(false);
  let isRecalled = false;

  /** Asks once, at the first screen, whether the browser is still signed in. */
  async function recall(): Promise<void> {
    if (isRecalled) {
      return;
    }
    isRecalled = true;
    if (isLeaving()) {
      await takeLeave();
      return;
    }
    // The page itself says whether it was sent to a visitor: no need to ask, and be refused.
    if (visitor() === 'ended') {
      await forget();
    }
    if (visitor() !== 'no') {
      return;
    }
    const found = await api.GET('/me').catch(() => null);
    if (found?.data) {
      await came(found.data);
    } else if (!found || found.response.status >= 500) {
      // Without the server this is still the device of whom it was last told.
      me.value = knownHere();
    } else if (howEstranged(found.response.status, found.error?.code ?? '') === 'ended') {
      await forget();
    }
  }

  /** The person who is signed in, however they came in. What another person left on this device is hidden first. */
  async function came(now: Me): Promise<void> {
    leaves(false);
    standIn(now.user.id);
    forgetDraftsBut(String(now.user.id));
    await forgetAllBut({ account: now.user.id, garages: now.garages.map((g) => g.id) });
    rememberHere(now);
    await speakTo(now.user.language);
    me.value = now;
  }

  /** Nothing that this device keeps can be seen any more. What waits to be sent stays, for whom it belongs to. */
  async function hide(): Promise<void> {
    forgetHere();
    standIn(null);
    await forgetAllBut(null);
  }

  /** This browser was signed out from elsewhere, or the account is no more: what was half typed goes, too. */
  async function forget(): Promise<void> {
    forgetDraftsBut(null);
    await hide();
  }

  async function signIn(email: string, password: string, remember: boolean): Promise<void> {
    await came(await ask(api.POST('/sign-in', { body: { email, password, remember } })));
  }

  /** The same person goes on where they stood. */
  async function signInAgain(password: string): Promise<void> {
    const email = me.value?.user.email ?? '';
    await signIn(email, password, false);
    isExpired.value = false;
  }

  const openDemo = async (): Promise<void> => came(await ask(api.POST('/demo-sign-in')));

  /** Somebody who was not signed in, by a new account or a new password; or who is called otherwise now. */
  const come = async (door: Promise<Me>): Promise<void> => came(await door);

  /** The time zone in which the garage counts its days. */
  const zone = computed(() => me.value?.garage?.timezone ?? 'UTC');

  /** Whether the role here allows it. */
  const may = (act: Me['may'][number]): boolean => me.value?.may.includes(act) ?? false;

  /** Another garage, or none any more: everything that was shown is another's. */
  async function stand(change: Promise<Me>): Promise<void> {
    await came(await change);
    window.location.assign('/board');
  }

  /**
   * Also without a network: everything is out of sight at once, and the server is told as soon as it can be. What was half
   * typed waits for the same person; somebody else who signs in here removes it.
   */
  async function signOut(): Promise<void> {
    leaves(true);
    await hide();
    await takeLeave();
    // A full load of the page forgets every record that was shown.
    window.location.assign('/sign-in');
  }

  /** Tells the server of a sign-out. Where it cannot be reached, that is still to be done. */
  async function takeLeave(): Promise<void> {
    const said = async () => ask(api.POST('/sign-out'));
    const status = (e: unknown) => (e instanceof ApiError ? e.status : 0);
    try {
      await said().catch(async (e: unknown) => {
        if (status(e) !== 419) {
          throw e;
        }
        // An expired token is replaced with any answer.
        await api.GET('/me');
        await said();
      });
      leaves(false);
    } catch (e) {
      // It knows nobody any more.
      leaves(status(e) !== 401);
    }
  }
  useEventListener('online', () => isLeaving() && void takeLeave());

  async function end(): Promise<void> {
    await forget();
    window.location.assign('/sign-in');
  }

  /** How temperatures and distances, or numbers and dates, are written here. */
  async function setHabits(
    habits: Partial<Pick<NonNullable<Me['garage']>, 'units' | 'locale' | 'region' | 'timezone' | 'currency'>>,
  ): Promise<void> {
    await ask(api.PUT('/garage/habits', { body: habits }));
    if (me.value?.garage) {
      me.value = { ...me.value, garage: { ...me.value.garage, ...habits } };
      rememberHere(me.value);
    }
  }

  watch(me, (now) => showing(now?.user.id ?? null, now?.garage?.id ?? null), { immediate: true, flush: 'sync' });
  watch(
    () => me.value?.garage?.locale,
    (own) => (place.value = own ?? place.value),
    { immediate: true, flush: 'sync' },
  );

  return { me, zone, isExpired, recall, come, may, stand, signIn, signInAgain, openDemo, signOut, end, setHabits };
});
