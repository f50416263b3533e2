<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { useForecast } from '@/stores/forecast';
import { useUnits } from '@/ui/useUnits';
import { clock, kw } from '@/ui/words';
import { label, pointAt } from './points';

/** Every value under the cursor. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const { distance, distanceUnit } = useUnits();

const point = computed(() => (forecast.cursorS === null ? null : pointAt(props.main.points, forecast.cursorS)));
const heldBy = computed(() => {
  if (!point.value) {
    return '';
  }
  return point.value.binding === 'handshake'
    ? 'handshake, nothing flows yet'
    : `held by ${label(props.main.bindings[point.value.binding]?.words ?? 'the rise after the start')}`;
});
</script>

<template>
  <p v-if="point" class="cursor-line figures">
    <strong>{{ clock(point.t_s) }}</strong>
    <span>{{ point.soc.toFixed(1) }} %</span>
    <span
      ><strong>{{ kw(point.kw) }} kW</strong></span
    >
    <span>{{ point.v.toFixed(0) }} V</span>
    <span>{{ point.a.toFixed(0) }} A</span>
    <span v-if="point.km_per_hour !== null">{{ distance(point.km_per_hour) }} {{ distanceUnit }}/h</span>
    <span class="held">{{ heldBy }}</span>
  </p>
  <p v-else class="cursor-line quiet">Move over the curve, or focus it and use the arrow keys, to read every value.</p>
</template>

<style scoped>
.cursor-line {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  min-height: 24px;
  font-size: 14px;
}

.held {
  font-family: var(--face-text);
}
</style>
