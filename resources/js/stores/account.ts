import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { api, ask, showing, type Me } from '@/api/client';
import { forgetAll } from '@/offline/kept';
import { locale } from '@/words/habits';

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
    // The page itself says whether it was sent to a visitor: no need to ask, and be refused.
    if (document.querySelector<HTMLMetaElement>('meta[name=harmozon-visitor]')?.content === 'yes') {
      return;
    }
    const { data } = await api.GET('/me');
    me.value = data ?? null;
  }

  async function signIn(email: string, password: string, remember: boolean): Promise<void> {
    me.value = await ask(api.POST('/sign-in', { body: { email, password, remember } }));
  }

  /** The same person goes on where they stood. */
  async function signInAgain(password: string): Promise<void> {
    const email = me.value?.user.email ?? '';
    await signIn(email, password, false);
    isExpired.value = false;
  }

  async function openDemo(): Promise<void> {
    me.value = await ask(api.POST('/demo-sign-in'));
  }

  /** Somebody who was not signed in: a new account, or a new password. */
  async function come(door: Promise<Me>): Promise<void> {
    me.value = await door;
  }

  /** The time zone in which the garage counts its days. */
  const zone = computed(() => me.value?.garage?.timezone ?? 'UTC');

  /** Whether the role here allows it. */
  const may = (act: Me['may'][number]): boolean => me.value?.may.includes(act) ?? false;

  /** Another garage, or none any more: everything that was shown is another's. */
  async function stand(change: Promise<Me>): Promise<void> {
    me.value = await change;
    window.location.assign('/board');
  }

  /** A full load of the page afterwards forgets every record that was shown. */
  async function signOut(): Promise<void> {
    await ask(api.POST('/sign-out'));
    await forgetAll();
    window.location.assign('/sign-in');
  }

  /** How temperatures and distances, or numbers and dates, are written here. */
  async function setHabits(habits: Partial<Pick<NonNullable<Me['garage']>, 'units' | 'locale'>>): Promise<void> {
    await ask(api.PUT('/garage/habits', { body: habits }));
    if (me.value?.garage) {
      me.value = { ...me.value, garage: { ...me.value.garage, ...habits } };
    }
  }

  watch(
    () => me.value?.garage?.id,
    (id) => showing(id ?? null),
    { immediate: true, flush: 'sync' },
  );
  watch(
    () => me.value?.garage?.locale,
    (own) => (locale.value = own ?? locale.value),
    { immediate: true, flush: 'sync' },
  );

  return { me, zone, isExpired, recall, come, may, stand, signIn, signInAgain, openDemo, signOut, setHabits };
});
