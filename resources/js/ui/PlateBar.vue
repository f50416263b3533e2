<script setup lang="ts">
import { computed } from 'vue';
import type { PlateRow } from '@/api/client';

/** A peak compared with its limit: the bar ends at the peak, the notch is at the limit. */
const props = defineProps<{ row: PlateRow }>();

/** The bar's full width stands for this share of the limit, so that an excess has room to show. */
const FULL_SHARE = 1.25;
const width = computed(() => Math.min(1, (props.row.utilisation ?? 0) / FULL_SHARE) * 100);
const continuous = computed(() =>
  props.row.continuous_limit && props.row.limit && props.row.continuous_limit < props.row.limit
    ? (props.row.continuous_limit / props.row.limit / FULL_SHARE) * 100
    : null,
);
</script>

<template>
  <svg class="bar" :class="row.state" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
    <rect class="track" x="0" y="4" width="80" height="4" />
    <rect class="fill" x="0" y="2" :width="width" height="8" />
    <rect v-if="continuous !== null" class="mark" :x="continuous" y="0" width="0.6" height="12" />
    <rect class="mark limit" x="79.4" y="0" width="1" height="12" />
  </svg>
</template>

<style scoped>
.bar {
  width: 100%;
  height: 12px;
}

.track {
  fill: var(--line);
}

.fill {
  fill: var(--ink);
}

.close .fill {
  fill: var(--ochre);
}

.over .fill {
  fill: var(--brick);
}

.mark {
  fill: var(--line-strong);
}

.limit {
  fill: var(--ink);
}
</style>
