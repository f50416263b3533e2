<script setup lang="ts">
import { computed } from 'vue';
import { clock } from '@/ui/figures';
import { say } from '@/words/say';
import type { Visit } from './useVisit';

/** From plugging in to the first current: how long it has been, and what that means. */
const props = defineProps<{ visit: Visit | null; seconds: number }>();

const means = computed(() => props.visit?.handshake.findLast((h) => props.seconds >= h.after_s)?.words ?? '');
const last = computed(() => props.visit?.handshake.at(-1)?.after_s ?? 120);
const isLong = computed(() => props.seconds >= last.value);
</script>

<template>
  <section class="handshake" aria-labelledby="handshake-title">
    <h2 id="handshake-title" class="kicker">{{ say('handshake.title') }}</h2>
    <p class="time figures" :class="{ long: isLong }" role="timer">{{ clock(seconds) }}</p>
    <svg class="bar" viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true" focusable="false">
      <path class="ground" d="M0 0H100V10H0Z" />
      <path class="fill" :d="`M0 0H${Math.min(100, (seconds / last) * 100)}V10H0Z`" />
      <path
        v-for="h in visit?.handshake ?? []"
        :key="h.after_s"
        class="mark"
        :d="`M${(h.after_s / last) * 100} 0V10`"
      />
    </svg>
    <p class="means" aria-live="polite">{{ means }}</p>
  </section>
</template>

<style scoped>
.handshake {
  max-width: 560px;
}

.time {
  font-size: var(--size-digit);
  font-weight: 700;
  line-height: 1.05;
}

.long {
  color: var(--ochre-text);
}

.bar {
  display: block;
  width: 100%;
  height: 10px;
  margin: var(--space-3) 0;
}

.ground {
  fill: var(--paper-sunk);
}

.fill {
  fill: var(--copper);
}

.mark {
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.means {
  min-height: 2.9em;
  font-size: var(--size-lead);
}
</style>
