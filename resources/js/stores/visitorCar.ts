import { StorageSerializers, useLocalStorage } from '@vueuse/core';
import type { Ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';

export type CarQuestion = components['schemas']['CarQuestion'];
export type Region = components['schemas']['Region'];

export interface Onboard {
  kw: number | null;
  phases: number | null;
  min_v: number | null;
  max_v: number | null;
}

/** A person's answers about a car so far; null is "I don't know". */
export interface Answers {
  name: string;
  faces: string[];
  languages: string[] | null;
  pack_class: string | null;
  /** As printed; it goes before the class. */
  pack_nominal_v: number | null;
  usable_kwh: number | null;
  peak_kw: number | null;
  inlet_max_v: number | null;
  onboard: Onboard;
  /** Where a visitor lives, once they have said so; a garage has its own. */
  region: Region | null;
  /** Questions that were passed, with an answer or without. */
  passed: CarQuestion[];
}

export const nothing = (): Answers => ({
  name: '',
  faces: [],
  languages: null,
  pack_class: null,
  pack_nominal_v: null,
  usable_kwh: null,
  peak_kw: null,
  inlet_max_v: null,
  onboard: { kw: null, phases: null, min_v: null, max_v: null },
  region: null,
  passed: [],
});

/** What is asked with. */
export const said = (answers: Answers): components['schemas']['CarAnswers'] => {
  const { faces, languages, pack_class, pack_nominal_v, usable_kwh, peak_kw, inlet_max_v, onboard } = answers;
  return { faces, languages, pack_class, pack_nominal_v, usable_kwh, peak_kw, inlet_max_v, onboard };
};

/** Where a visitor is, as chosen, or as the browser suggests. */
export const wherever = (answers: Answers) => ({
  ...(answers.region === null ? {} : { region: answers.region }),
  timezone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  locale: navigator.language,
});

const KEY = 'harmozon-visitor-car';

/** The car of somebody without an account. It waits on this device, and nowhere else. */
export const visitorAnswers = (): Ref<Answers> => useLocalStorage<Answers>(KEY, nothing(), { mergeDefaults: true });

/** Whether answers wait here that name an inlet. */
export function waits(): Answers | null {
  try {
    const kept = localStorage.getItem(KEY);
    const answers = kept === null ? null : { ...nothing(), ...(StorageSerializers.object.read(kept) as Answers) };
    return answers !== null && answers.faces.length > 0 ? answers : null;
  } catch {
    // A device that keeps nothing has nothing that waits.
    return null;
  }
}

/** Forgets the answers, once they are used or not wanted. */
export function forget(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // Nothing was kept.
  }
}

/** The waiting car becomes a car of the garage that was just entered. The id of the car; null where none waits. */
export async function bringVisitorCar(usualName: string): Promise<string | null> {
  const answers = waits();
  if (answers === null) {
    return null;
  }
  const { plate } = await ask(api.POST('/new-car', { body: said(answers) }));
  if (!plate) {
    return null;
  }
  const { id } = await ask(
    api.POST('/pieces/{kind}', {
      params: { path: { kind: 'vehicles' } },
      body: { name: answers.name.trim() || usualName, blurb: '', spec: plate as Record<string, unknown> },
    }),
  );
  forget();
  return id;
}
