<script setup lang="ts">
import { say } from '@/words/say';
import type { usePlay } from '@/bench/usePlay';
import BenchPieces from './BenchPieces.vue';
import BenchVoices from './BenchVoices.vue';
import PhaseRail from './PhaseRail.vue';

/** The bench itself: the pieces, the clock, the phases to drag along, and what station, car and ear notice. */
const props = defineProps<{ play: ReturnType<typeof usePlay> }>();
const { session, tS, clock, isFaultHere, phase, phases, frame, put, toPhase } = props.play;
</script>

<template>
  <template v-if="session && frame && phase">
    <BenchPieces :session="session" :frame="frame" :phase="phase" :is-fault-here="isFaultHere" />
    <div class="controls">
      <slot name="controls" />
      <p class="clock">
        <strong class="figures">{{ clock }}</strong> {{ say('play.since') }}
      </p>
      <slot name="now" />
    </div>
    <PhaseRail :phases="phases" :is-fault-here="isFaultHere" :t-s="tS" :clock="clock" @put="put" @phase="toPhase" />
    <BenchVoices
      :phase="phase"
      :fault="isFaultHere ? session.fault : null"
      :is-stopped="session.outcome === 'stopped'"
    />
  </template>
</template>

<style scoped>
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: center;
  margin: var(--space-5) 0 var(--space-3);
}

.clock {
  margin: 0;
}

.clock strong {
  font-family: var(--face-wide);
  font-size: var(--size-title);
}
</style>
