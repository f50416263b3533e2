<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed } from 'vue';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import type { Filter } from './useLog';

/** What of the log is wanted. */
const props = defineProps<{ filter: Filter; isFiltered: boolean }>();
const emit = defineEmits<{ want: [changes: Filter]; all: [] }>();

const garage = useGarage();
const terms = useTerms();
const typed = useDebounceFn((q: string) => emit('want', { q }), 250);
const valueOf = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value;

const selects = computed(() => [
  { key: 'vehicle' as const, name: say('log.car'), options: garage.vehicles.map((v) => ({ id: v.id, words: v.name })) },
  {
    key: 'adapter' as const,
    name: say('log.adapter'),
    options: garage.adapters.map((a) => ({ id: a.id, words: `${a.tag} ${a.name}` })),
  },
  {
    key: 'outlet' as const,
    name: say('log.outlet'),
    options: garage.outlets.map((o) => ({ id: o.id, words: o.name })),
  },
  {
    key: 'verdict' as const,
    name: say('log.verdict'),
    options: [
      ...terms.all('verdict').map((t) => ({ id: t.id, words: t.words })),
      { id: 'open', words: say('log.open') },
    ],
  },
  {
    key: 'cause' as const,
    name: say('log.cause'),
    options: terms.all('cause').map((t) => ({ id: t.id, words: t.words })),
  },
  {
    key: 'unread' as const,
    name: say('log.unread'),
    options: [
      { id: 'any', words: say('log.unread_any') },
      { id: 'a', words: say('log.unread_a') },
      { id: 'v', words: say('log.unread_v') },
      { id: 'kw', words: say('log.unread_kw') },
    ],
  },
]);
</script>

<template>
  <form class="filters" role="search" :aria-label="say('log.look')" @submit.prevent>
    <label
      ><span>{{ say('log.look') }}</span
      ><input type="search" :value="filter.q ?? ''" autocomplete="off" @input="typed(valueOf($event))"
    /></label>
    <label v-for="s in selects" :key="s.key"
      ><span>{{ s.name }}</span
      ><select :value="props.filter[s.key] ?? ''" @change="emit('want', { [s.key]: valueOf($event) })">
        <option value="">{{ say('log.any') }}</option>
        <option v-for="o in s.options" :key="o.id" :value="o.id">{{ o.words }}</option>
      </select></label
    >
    <label v-for="key in ['from', 'to'] as const" :key="key"
      ><span>{{ key === 'from' ? say('log.from') : say('log.to') }}</span
      ><input type="date" :value="filter[key] ?? ''" @change="emit('want', { [key]: valueOf($event) })"
    /></label>
    <TextButton v-if="isFiltered" @click="emit('all')">{{ say('log.all') }}</TextButton>
  </form>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-6);
  align-items: end;
  margin-top: var(--space-5);
}

label {
  display: flex;
  flex-direction: column;
  font-size: var(--size-small);
}

input,
select {
  max-width: 170px;
}
</style>
