<script setup lang="ts">
import { StorageSerializers, useIntervalFn, useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useGarage } from '@/stores/garage';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** On the day a tour leaves, its packing list is offered from the morning on, until somebody has seen it. */
const MINUTE_MS = 60_000;
const garage = useGarage();
const account = useAccount();
const now = ref(new Date());
useIntervalFn(() => (now.value = new Date()), MINUTE_MS);
const today = computed(() => now.value.toLocaleDateString('sv-SE', { timeZone: account.zone }));
/** The tour and day that were seen on this device. */
const seen = useLocalStorage<string>('harmozon-packed', '', { serializer: StorageSerializers.string });
const tour = computed(() => garage.tours.find((t) => t.spec.leaves_on === today.value && seen.value !== keyOf(t.id)));
const keyOf = (id: string): string => `${id} ${today.value}`;
</script>

<template>
  <p v-if="tour" class="reminder screen-only" role="status">
    {{ say('packing.today', { tour: tour.name }) }}
    <RouterLink to="/kit/tours" @click="seen = keyOf(tour.id)">{{ say('packing.open') }}</RouterLink>
    <TextButton @click="seen = keyOf(tour.id)">{{ say('packing.seen') }}</TextButton>
  </p>
</template>

<style scoped>
.reminder {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  align-items: center;
  margin: 0;
  padding: var(--space-2) var(--space-8);
  background: var(--copper-wash);
}
</style>
