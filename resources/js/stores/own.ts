import { useAccount } from './account';

/**
 * A name under which the device keeps something of whoever is signed in: nobody else finds it there. What an older version
 * kept for everybody goes to the first who comes.
 */
export function own(name: string): string {
  const [old, key] = [`harmozon-${name}`, `harmozon-${useAccount().me?.user.id ?? ''}-${name}`];
  try {
    const kept = localStorage.getItem(old);
    if (kept !== null) {
      localStorage.setItem(key, localStorage.getItem(key) ?? kept);
      localStorage.removeItem(old);
    }
  } catch {
    // A device that keeps nothing has nothing to hand on.
  }
  return key;
}
