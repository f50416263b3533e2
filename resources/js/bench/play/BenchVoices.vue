<script setup lang="ts">
import { computed } from 'vue';
import type { Simulation } from '@/api/client';
import { say } from '@/words/say';
import type { PhaseSpan } from '@/bench/usePlay';

/** What station and car show now, and what one hears. A fault speaks from its own moment on. */
const props = defineProps<{ phase: PhaseSpan; fault: Simulation['fault']; isStopped: boolean }>();
const speaks = computed(() => ((props.phase.failing || props.isStopped) && props.fault ? props.fault : props.phase));
const voices = computed(() => [
  { who: say('play.station_shows'), what: speaks.value.station },
  { who: say('play.car_shows'), what: speaks.value.car },
  { who: say('play.you_hear'), what: speaks.value.ear },
]);
</script>

<template>
  <dl class="voices" :class="{ failing: speaks === fault }">
    <div v-for="v in voices" :key="v.who">
      <dt>{{ v.who }}</dt>
      <dd>{{ v.what }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.voices {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-4) var(--space-8);
  min-height: 70px;
  margin: var(--space-5) 0 var(--space-4);
}

.voices > div {
  padding-top: var(--space-3);
  border-top: 2px solid var(--ink);
}

dt {
  font-weight: 700;
}

dd {
  margin: var(--space-1) 0 0;
}

.failing > div {
  border-color: var(--brick);
}

@media (width <= 640px) {
  .voices {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
