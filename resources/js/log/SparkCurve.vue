<script setup lang="ts">
import { computed } from 'vue';

/** A session's kW over time, as a small area. */
const props = defineProps<{ points: (number | null)[][] }>();

const WIDTH = 130;
const HEIGHT = 34;
const drawn = computed(() => {
  const known = props.points.filter((p): p is [number, number] => typeof p[0] === 'number' && typeof p[1] === 'number');
  const last = known.at(-1)?.[0] ?? 0;
  const top = Math.max(1, ...known.map((p) => p[1]));
  return known.map(
    ([t, kw]) => `${((t / (last || 1)) * WIDTH).toFixed(1)} ${(HEIGHT - (kw / top) * (HEIGHT - 3)).toFixed(1)}`,
  );
});
</script>

<template>
  <svg class="spark" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" aria-hidden="true">
    <template v-if="drawn.length > 1">
      <path class="area" :d="`M0 ${HEIGHT}L${drawn.join('L')}L${WIDTH} ${HEIGHT}Z`" />
      <path class="line" :d="`M${drawn.join('L')}`" />
    </template>
    <path class="ground" :d="`M0 ${HEIGHT - 0.5}H${WIDTH}`" />
  </svg>
</template>

<style scoped>
.area {
  fill: var(--copper-wash);
}

.line {
  fill: none;
  stroke: var(--copper);
  stroke-width: 1.5;
}

.ground {
  stroke: var(--line-strong);
}
</style>
