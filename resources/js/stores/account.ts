import { defineStore } from 'pinia';
import { ref } from 'vue';
import { api, ask, type Me } from '@/api/client';

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

  /** A full load of the page afterwards forgets every record that was shown. */
  async function signOut(): Promise<void> {
    await ask(api.POST('/sign-out'));
    window.location.assign('/sign-in');
  }

  async function setUnits(units: Me['garage']['units']): Promise<void> {
    await ask(api.PUT('/garage/units', { body: { units } }));
    if (me.value) {
      me.value = { ...me.value, garage: { ...me.value.garage, units } };
    }
  }

  return { me, isExpired, recall, signIn, signInAgain, openDemo, signOut, setUnits };
});
