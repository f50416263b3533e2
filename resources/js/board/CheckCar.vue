<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { say } from '@/words/say';

/** A form for a fact that nobody has read: most chains have none. */
const AskForm = defineAsyncComponent(() => import('@/plates/AskForm.vue'));

/** What nobody has read yet about one car, where to read it, and a place to write it down. */
const props = defineProps<{ vehicle: string }>();

const garage = useGarage();
const board = useBoard();
const asks = computed(() => {
  const found = garage.outlets.flatMap((o) => board.cell(o.id, props.vehicle)?.asks ?? []);
  return [...new Map(found.filter((a) => a.piece === props.vehicle).map((a) => [a.path, a])).values()];
});
const name = computed(() => garage.vehicle(props.vehicle)?.name ?? '');
</script>

<template>
  <section v-if="asks.length > 0" class="check" aria-labelledby="check-title">
    <h2 id="check-title">{{ say('board.check_car', { car: name }) }}</h2>
    <div class="asks"><AskForm v-for="ask in asks" :key="ask.path" :ask="ask" /></div>
  </section>
</template>

<style scoped>
.check {
  margin: var(--space-5) 0;
}

.asks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: var(--space-5);
}
</style>
