<script setup lang="ts">
import type { components } from '@/api/schema';
import { say } from '@/words/say';

/** Prices are in a file of their own: says how many are known, and takes that file. */
defineProps<{ prices: components['schemas']['OcpiPreview']['prices']; isBusy: boolean }>();
const emit = defineEmits<{ choose: [file: File | null] }>();

const MOST_SHOWN = 6;
</script>

<template>
  <section v-if="prices.named > 0" :aria-label="say('ocpi.prices')">
    <label for="ocpi-tariffs">{{ say('ocpi.tariffs') }}</label>
    <input
      id="ocpi-tariffs"
      type="file"
      accept=".json,application/json"
      :disabled="isBusy"
      @change="emit('choose', ($event.target as HTMLInputElement).files?.[0] ?? null)"
    />
    <p class="quiet">{{ say('ocpi.prices_found', { found: prices.found, named: prices.named }) }}</p>
    <ul v-if="prices.left_open.length > 0">
      <li v-for="(line, i) in prices.left_open.slice(0, MOST_SHOWN)" :key="i">{{ line }}</li>
      <li v-if="prices.left_open.length > MOST_SHOWN">
        {{ say('list.more', { n: prices.left_open.length - MOST_SHOWN }) }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
}

p,
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
