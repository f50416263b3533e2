import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import type { Draft } from './edit';

type Catalogue = components['schemas']['Catalogue'];
/** The initial figures of a piece, and what must still be read on the piece itself. */
export type Start = { draft: Draft; read: string[] };

/** The kinds of charger and adapter that come with the application, and what one sees of each plug. */
export const useCatalogue = defineStore('catalogue', () => {
  const catalogue = ref<Catalogue | null>(null);
  const chargers = computed(() => catalogue.value?.chargers ?? []);
  const adapters = computed(() => catalogue.value?.adapters ?? []);

  async function load(): Promise<void> {
    catalogue.value ??= await ask(api.GET('/catalogue'));
  }

  function charger(id: string): Start | null {
    const kind = chargers.value.find((k) => k.id === id);
    const spec = kind?.outlet as Record<string, unknown> | undefined;
    return kind && spec ? { draft: { name: kind.name, blurb: '', spec }, read: kind.read } : null;
  }

  function adapter(id: string): Start | null {
    const kind = adapters.value.find((k) => k.id === id);
    const spec = kind?.adapter as Record<string, unknown> | undefined;
    return kind && spec ? { draft: { name: kind.name, tag: '', blurb: '', spec }, read: [] } : null;
  }

  return { catalogue, chargers, adapters, load, charger, adapter };
});
