<script setup lang="ts">
import { computed } from 'vue';
import { useGarage } from '@/stores/garage';
import { say } from '@/words/say';

/** Chooses the tour that the board follows; hidden without tours. */
const garage = useGarage();
const tour = computed({
  get: () => garage.tour?.id ?? '',
  set: (id: string) => (garage.tourId = id === '' ? null : id),
});
</script>

<template>
  <select v-if="garage.tours.length > 0" v-model="tour" class="tour" :aria-label="say('tours.choose')">
    <option value="">{{ say('tours.all') }}</option>
    <option v-for="t in garage.tours" :key="t.id" :value="t.id">{{ t.name }}</option>
  </select>
</template>

<style scoped>
.tour {
  max-width: 150px;
  padding-inline-start: 0;
  border-width: 0 0 1.5px;
  background-color: var(--paper);
  font-size: var(--size-small);
  font-weight: 640;
}
</style>
