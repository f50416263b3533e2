<script setup lang="ts">
import { computed } from 'vue';
import type { Judgement } from '@/api/client';
import { clock, number } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import { mayBeAboveS } from './boostSince';
import type { TakenReading } from './sessionState';

/** What is left of each boost, as a bar that shrinks while the last reading is above the continuous rating. */
const props = defineProps<{ judgement: Judgement; readings: TakenReading[]; elapsedS: number }>();

const bars = computed(() =>
  props.judgement.plate_check.flatMap((row) => {
    const { allowed_minutes: allowed, left_minutes: leftAtLast, continuous_limit: limit } = row;
    if (allowed === null || allowed <= 0 || leftAtLast === null || limit === null) {
      return [];
    }
    // Between two readings it falls by the clock.
    const isAbove = (props.readings[0]?.amps ?? 0) > limit;
    const left = Math.max(0, leftAtLast - mayBeAboveS(props.readings, props.elapsedS, limit) / 60);
    // The server counted up to the last reading: what has passed since is told instead of a sum that no longer holds.
    const said = left < leftAtLast ? say('boost.by_clock', { amps: number(limit) }) : (row.minutes_words ?? '');
    return [{ ...row, allowed, left, isAbove, limit, said }];
  }),
);
</script>

<template>
  <div v-for="bar in bars" :key="bar.link" class="boost" :class="{ spent: bar.left <= 0, falls: bar.isAbove }">
    <p>
      <span>{{ say('boost.above', { piece: bar.name, amps: number(bar.limit) }) }}</span>
      <span>
        <Said code="boost.left" :figures="{ allowed: number(bar.allowed) }">
          <template #left
            ><strong class="figures">{{ clock(bar.left * 60) }}</strong></template
          >
        </Said>
      </span>
    </p>
    <p class="quiet">{{ bar.said }}</p>
    <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true" focusable="false">
      <path class="ground" d="M0 2H98L100 0V12L98 10H0Z" />
      <path class="fill" :d="`M0 2H${(bar.left / bar.allowed) * 98}V10H0Z`" />
    </svg>
  </div>
</template>

<style scoped>
.boost p {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-6);
  justify-content: space-between;
}

svg {
  display: block;
  width: 100%;
  height: 14px;
}

.ground {
  fill: none;
  stroke: var(--line-strong);
  vector-effect: non-scaling-stroke;
}

.fill {
  fill: var(--ink);
}

.falls .fill {
  fill: var(--copper);
}

.spent strong {
  color: var(--brick-text);
}
</style>
