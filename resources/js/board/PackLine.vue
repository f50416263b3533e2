<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { api, ask } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { listed, say } from '@/words/say';

/** What to pack for the chosen tour: the adapters that its best answers go through. */
const garage = useGarage();
const board = useBoard();
const ids = ref<string[] | null>(null);
let asked = 0;

/** Whenever the tour is another, or a piece was changed. */
watch(
  [() => garage.tour, () => board.policy, () => garage.sections, () => garage.adapters],
  async () => {
    const mine = ++asked;
    ids.value = null;
    const tour = garage.tour?.id;
    if (tour === undefined) {
      return;
    }
    // Without an answer nothing is said of it: the board itself tells what is wrong.
    const params = { path: { tour }, query: { policy: board.policy } };
    const found = await ask(api.GET('/tours/{tour}/pack', { params })).catch(() => null);
    if (mine === asked) {
      ids.value = found?.adapters ?? null;
    }
  },
  { immediate: true },
);

const named = (id: string): string => {
  const piece = garage.adapter(id);
  return piece ? say('rail.tagged', { tag: piece.tag, name: piece.name }) : id;
};
const pack = computed(() => {
  if (ids.value === null) {
    return '';
  }
  return ids.value.length === 0
    ? say('tours.pack_nothing')
    : say('tours.pack', { pieces: listed('comma', ids.value.map(named)) });
});
</script>

<template>
  <p v-if="pack" class="pack" role="status">{{ pack }}</p>
</template>

<style scoped>
.pack {
  margin: var(--space-4) 0 0;
}
</style>
