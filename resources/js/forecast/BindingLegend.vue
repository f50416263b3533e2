<script setup lang="ts">
import { computed, useId } from 'vue';
import type { Forecast } from '@/api/client';
import { duration } from '@/ui/figures';
import TermHint from '@/ui/TermHint.vue';
import { OF_BINDING } from '@/words/glossaryTerms';
import { say } from '@/words/say';
import HatchDefs from '@/chart/HatchDefs.vue';
import { hatchOf } from '@/chart/hatch';

/** Minutes by the link that binds, longest first. */
const props = defineProps<{ main: Forecast }>();
const hatch = useId();

const rows = computed(() =>
  Object.entries(props.main.minutes_by_binding)
    .sort(([, a], [, b]) => b - a)
    .map(([code, minutes]) => ({
      code,
      minutes,
      words: props.main.bindings[code]?.label,
      fill: `url(#${hatch}-${props.main.bindings[code]?.is_vehicles_own === false ? 'held' : 'own'}-${hatchOf(code)})`,
    })),
);
</script>

<template>
  <ul class="legend" :aria-label="say('forecast.minutes_by')">
    <li v-for="(row, i) in rows" :key="row.code">
      <svg width="26" height="16" aria-hidden="true" focusable="false">
        <HatchDefs v-if="i === 0" :prefix="hatch" />
        <rect x="0.5" y="0.5" width="25" height="15" :fill="row.fill" class="swatch" />
      </svg>
      <TermHint v-if="OF_BINDING[row.code]" :term="OF_BINDING[row.code]!">{{ row.words }}</TermHint>
      <span v-else>{{ row.words }}</span>
      <span class="figures">{{ row.minutes < 1 ? say('figure.under_a_minute') : duration(row.minutes) }}</span>
    </li>
    <li>
      <svg width="26" height="16" aria-hidden="true" focusable="false"><path class="car" d="M0 8H26" /></svg>
      <span>{{ say('forecast.car_alone') }}</span>
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-8);
  margin: 0;
  padding: 0;
  font-size: var(--size-small);
  list-style: none;
}

li {
  display: flex;
  gap: var(--space-3);
  align-items: center;
}

.swatch {
  stroke: var(--line-strong);
}

.car {
  stroke: var(--ink-faint);
  stroke-width: 1.3;
  stroke-dasharray: 1.5 3.5;
}

.figures {
  font-weight: 640;
}
</style>
