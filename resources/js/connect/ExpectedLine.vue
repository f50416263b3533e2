<script setup lang="ts">
import { computed } from 'vue';
import type { Reading } from '@/api/client';
import { kw } from '@/ui/figures';
import { say } from '@/words/say';
import { kwOf } from './power';
import type { Visit } from './useVisit';

/** The latest power, large, and what the forecast expected at this charge. */
const props = defineProps<{ newest: Reading | null; visit: Visit | null; at: string }>();

const read = computed(() => props.newest?.kw ?? product.value);
/** kW that follow from volts and amps; the server derives the same. */
const product = computed(() => {
  const { volts, amps } = props.newest ?? {};
  return typeof volts === 'number' && typeof amps === 'number'
    ? kwOf(volts, amps, props.visit?.entries.phases ?? 1)
    : null;
});
/** The point of the forecast at this charge; by the clock where the charge was not read. */
const point = computed(() => {
  const points = props.visit?.expected.points ?? [];
  const { soc_pct, t_s } = props.newest ?? {};
  if (points.length === 0 || t_s === undefined) {
    return null;
  }
  return typeof soc_pct === 'number'
    ? soc_pct < (points[0]?.soc ?? 0)
      ? null
      : (points.findLast((p) => p.soc <= soc_pct) ?? null)
    : (points.findLast((p) => p.t_s <= t_s) ?? null);
});
const nearness = computed(() => {
  const [value, p] = [read.value, point.value];
  if (typeof value !== 'number' || !p) {
    return null;
  }
  return p.leave_below_kw !== null && value < p.leave_below_kw
    ? 'leave'
    : value < p.near_from_kw
      ? 'less'
      : value > p.near_to_kw
        ? 'more'
        : 'near';
});
</script>

<template>
  <section class="newest" aria-labelledby="expected-title" aria-live="polite">
    <h2 id="expected-title" class="kicker">{{ newest ? say('expected.last', { at }) : say('expected.none') }}</h2>
    <p v-if="typeof read === 'number'" class="line">
      <strong class="figures">{{ kw(read) }}</strong>
      <span class="unit">{{ say('unit.kw') }}</span>
      <span v-if="point && nearness" class="says" :class="nearness">
        {{ say('expected.at', { kw: kw(point.kw) }) }}
        {{ visit?.expected.words[nearness] }}
        <span v-if="nearness === 'near'" class="quiet">{{ say('expected.held', { binding: point.binding }) }}</span>
      </span>
    </p>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 0 var(--space-4);
  align-items: baseline;
}

strong {
  font-size: var(--size-digit);
  font-weight: 700;
  line-height: 1;
}

.unit {
  font-family: var(--face-wide);
  font-weight: 640;
}

.says {
  align-self: center;
  padding-inline-start: var(--space-4);
  font-size: var(--size-label);
  line-height: 1.3;
}

.leave {
  border-inline-start: 4px solid var(--ochre);
  color: var(--ochre-text);
  font-weight: 620;
}
</style>
