<script setup lang="ts">
import { useTemplateRef } from 'vue';

/**
 * What every chart is drawn in: to the eye a drawing as wide as its place, to the keyboard and to those who listen one slider, whose value is where
 * the cursor stands. Listeners for pointer and keys are its parent's.
 */
defineProps<{
  /** What the cursor moves along. */
  label: string;
  lastS: number;
  cursorS: number | null;
  /** What stands at the cursor, in words. */
  heard: string;
  width: number;
  height: number;
}>();
const element = useTemplateRef<HTMLElement>('element');
defineExpose({ element });
</script>

<template>
  <div
    ref="element"
    class="chart"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuemin="0"
    :aria-valuemax="Math.round(lastS)"
    :aria-valuenow="Math.round(cursorS ?? 0)"
    :aria-valuetext="heard"
  >
    <svg v-if="width > 0" :width="width" :height="height" aria-hidden="true" focusable="false"><slot /></svg>
  </div>
</template>
