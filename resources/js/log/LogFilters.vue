<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { vTyped } from '@/ui/typed';
import { say } from '@/words/say';
import type { Filter } from './useLog';

/** Search and filters of the log. */
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
const days = ['from', 'to'] as const;
const isOpen = ref(false);
/** What is asked for, in words, each to be dropped with one press. */
const asked = computed(() => [
  ...selects.value.flatMap((s) => {
    const id = props.filter[s.key];
    return id
      ? [{ key: s.key, name: s.name, value: s.options.find((o) => o.id === id)?.words ?? say('log.gone') }]
      : [];
  }),
  ...days.flatMap((key) => {
    const value = props.filter[key];
    return value ? [{ key, name: key === 'from' ? say('log.from') : say('log.to'), value }] : [];
  }),
]);
</script>

<template>
  <form class="filters" role="search" :aria-label="say('log.look')" @submit.prevent>
    <div class="one">
      <label
        ><span class="sr-only">{{ say('log.look') }}</span
        ><input
          v-typed="filter.q"
          type="search"
          :placeholder="say('log.look')"
          autocomplete="off"
          @input="typed(valueOf($event))"
      /></label>
      <TextButton :aria-expanded="isOpen" @click="isOpen = !isOpen">{{
        isOpen ? say('log.fewer_filters') : say('log.filters')
      }}</TextButton>
      <TextButton
        v-for="a in asked"
        :key="a.key"
        class="asked"
        :aria-label="say('log.drop', a)"
        @click="emit('want', { [a.key]: '' })"
        >{{ say('log.asked', a) }} ×</TextButton
      >
      <TextButton v-if="isFiltered" @click="emit('all')">{{ say('log.all') }}</TextButton>
    </div>
    <div v-if="isOpen" class="all">
      <label v-for="s in selects" :key="s.key"
        ><span>{{ s.name }}</span
        ><select :value="props.filter[s.key] ?? ''" @change="emit('want', { [s.key]: valueOf($event) })">
          <option value="">{{ say('log.any') }}</option>
          <option v-for="o in s.options" :key="o.id" :value="o.id">{{ o.words }}</option>
        </select></label
      >
      <label v-for="key in days" :key="key"
        ><span>{{ key === 'from' ? say('log.from') : say('log.to') }}</span
        ><input v-typed="filter[key]" type="date" @change="emit('want', { [key]: valueOf($event) })"
      /></label>
    </div>
  </form>
</template>

<style scoped>
.filters {
  margin-top: var(--space-5);
}

.one,
.all {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-6);
  align-items: center;
}

.all {
  align-items: end;
  margin-top: var(--space-4);
}

.asked {
  padding: 0 var(--space-4);
  border: 1px solid var(--line-strong);
  text-decoration: none;
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
