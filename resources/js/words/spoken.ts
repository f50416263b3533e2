import { language } from './habits';
import { speak } from './say';

const KEPT = 'harmozon.language';

/** The languages that can be chosen, by their tags, each with the name that its speakers know it by. */
export const languages = (): Record<string, string> =>
  JSON.parse(document.querySelector<HTMLMetaElement>('meta[name=harmozon-languages]')?.content ?? '{}') as Record<
    string,
    string
  >;

/** What the person of this device has chosen, else the first of the browser's languages that is spoken here. */
export function preferred(): string {
  const known = languages();
  const kept = localStorage.getItem(KEPT);
  const wanted = [...(kept === null ? [] : [kept]), ...navigator.languages].map((tag) => tag.slice(0, 2).toLowerCase());
  return wanted.find((tag) => tag in known) ?? 'en';
}

/** Whoever is at work here now has chosen a language, or leaves it to the browser (null). */
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
