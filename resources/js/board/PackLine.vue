<script setup lang="ts">
import { computed } from 'vue';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { listed, say } from '@/words/say';

/** What to pack for the chosen tour: the adapters that its best answers go through. Nothing while a pair of it is not known. */
const garage = useGarage();
const board = useBoard();
const pack = computed(() => {
  if (garage.tour === null) {
    return '';
  }
  const cells = garage.outlets.flatMap((o) => garage.cars.map((v) => board.cell(o.id, v.id)));
  if (!cells.every(Boolean)) {
    return '';
  }
  const used = new Set(cells.flatMap((c) => (c !== undefined && c.flows !== 'no' ? c.adapters : [])));
  const own = garage.adapters.filter((a) => used.has(a.id));
  return own.length === 0
    ? say('tours.pack_nothing')
    : say('tours.pack', {
        pieces: listed(
          'comma',
          own.map((a) => say('rail.tagged', { tag: a.tag, name: a.name })),
        ),
      });
});
</script>

<template>
  <p v-if="pack" class="pack" role="status">{{ pack }}</p>
</template>

<style scoped>
.pack {
  margin: 8px 0 0;
}
</style>
