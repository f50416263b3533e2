<script setup lang="ts">
import { computed } from 'vue';
import type { Forecast } from '@/api/client';
import { useForecast } from '@/stores/forecast';
import { useUnits } from '@/stores/units';
import { clock, kw, quantity, soc } from '@/ui/figures';
import { pointAt } from '@/ui/pointAt';
import { say } from '@/words/say';

/** Every value under the cursor. */
const props = defineProps<{ main: Forecast }>();
const forecast = useForecast();
const { perHour } = useUnits();

const point = computed(() => (forecast.cursorS === null ? null : pointAt(props.main.points, forecast.cursorS)));
const heldBy = computed(() => {
  if (!point.value) {
    return '';
  }
  return point.value.binding === 'handshake'
    ? say('forecast.cursor_handshake')
    : say('forecast.cursor_held', { link: props.main.bindings[point.value.binding]?.label ?? '' });
});
</script>

<template>
  <p v-if="point" class="cursor-line figures">
    <strong>{{ clock(point.t_s) }}</strong>
    <span>{{ soc(point.soc, 1) }}</span>
    <span
      ><strong>{{ say('figure.kw', { n: kw(point.kw) }) }}</strong></span
    >
    <span>{{ quantity(point.v, 'v') }}</span>
    <span>{{ quantity(point.a, 'a') }}</span>
    <span v-if="point.km_per_hour !== null">{{ perHour(point.km_per_hour) }}</span>
    <span class="held">{{ heldBy }}</span>
  </p>
  <p v-else class="cursor-line quiet screen-only">{{ say('forecast.cursor_how') }}</p>
</template>

<style scoped>
.cursor-line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-7);
  min-height: 24px;
  font-size: var(--size-label);
}

.held {
  font-family: var(--face-text);
}
</style>
