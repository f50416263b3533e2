import { language } from './habits';
import { speak } from './say';

/** What the person has chosen who was last at work here, for before it is known who is. */
const KEPT = 'harmozon.language';

/** What was chosen on this device by whoever has no account of their own; the server reads it, too. */
const CHOSEN_HERE = 'harmozon_language';
const YEAR_S = 365 * 24 * 3600;

/** The languages that can be chosen, by their tags, each with the name that its speakers know it by. */
export const languages = (): Record<string, string> =>
  JSON.parse(document.querySelector<HTMLMetaElement>('meta[name=harmozon-languages]')?.content ?? '{}') as Record<
    string,
    string
  >;

/** What was chosen on this device; null when that was left to the browser. */
export const chosenHere = (): string | null =>
  document.cookie
    .split('; ')
    .find((cookie) => cookie.startsWith(`${CHOSEN_HERE}=`))
    ?.slice(CHOSEN_HERE.length + 1) ?? null;

/** What the person of this device has chosen, else the device, else the first of the browser's languages that is spoken here. */
export function preferred(): string {
  const known = languages();
  const wanted = [localStorage.getItem(KEPT), chosenHere(), ...navigator.languages];
  return wanted.map((tag) => (tag ?? '').slice(0, 2).toLowerCase()).find((tag) => tag in known) ?? 'en';
}

/** Whoever is at work here now has chosen a language, or leaves it to the device (null). */
export async function speakTo(chosen: string | null): Promise<void> {
  if (chosen === null) {
    localStorage.removeItem(KEPT);
  } else {
    localStorage.setItem(KEPT, chosen);
  }
  if (preferred() !== language.value) {
    await speak(preferred());
  }
}

/** This device speaks it from now on to those who have chosen none of their own; null leaves it to the browser. */
export async function speakHere(tag: string | null): Promise<void> {
  document.cookie = `${CHOSEN_HERE}=${tag ?? ''}; path=/; SameSite=Lax; max-age=${String(tag === null ? 0 : YEAR_S)}`;
  await speakTo(null);
}
