<script setup lang="ts">
import { plain } from '@/words/habits';
import type { Edge, Scale } from './useScales';

/** Ticks, quiet lines and units of a chart's axes. */
defineProps<{
  width: number;
  height: number;
  edge: Edge;
  x: Scale;
  y: Scale;
  y2?: Scale | null;
  xUnit: string;
  yUnit: string;
  y2Unit?: string;
}>();
</script>

<template>
  <g class="grid">
    <template v-for="tick in y.ticks(5)" :key="tick">
      <line :x1="edge.left" :x2="width - edge.right" :y1="y(tick)" :y2="y(tick)" />
      <text :x="edge.left - 7" :y="y(tick) + 4" text-anchor="end">{{ plain(tick) }}</text>
    </template>
    <template v-for="tick in x.ticks(Math.max(3, Math.floor(width / 90)))" :key="tick">
      <text :x="x(tick)" :y="height - edge.bottom + 16" text-anchor="middle">{{ plain(tick) }}</text>
    </template>
    <template v-if="y2">
      <text v-for="tick in y2.ticks(5)" :key="tick" :x="width - edge.right + 7" :y="y2(tick) + 4">{{
        plain(tick)
      }}</text>
      <text :x="width - edge.right + 7" :y="edge.top - 5">{{ y2Unit }}</text>
    </template>
    <text :x="edge.left - 7" :y="edge.top - 5" text-anchor="end">{{ yUnit }}</text>
    <text :x="width - edge.right" :y="height - 4" text-anchor="end">{{ xUnit }}</text>
  </g>
</template>

<style scoped>
line {
  stroke: var(--line);
}

text {
  fill: var(--ink-soft);
  font-family: var(--face-wide);
  font-size: var(--size-small);
  font-variant-numeric: tabular-nums;
}
</style>
