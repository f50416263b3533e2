<script setup lang="ts">
import { computed, watch } from 'vue';
import type { Drills } from '@/api/client';
import BenchPieces from '@/bench/play/BenchPieces.vue';
import BenchVoices from '@/bench/play/BenchVoices.vue';
import PhaseRail from '@/bench/play/PhaseRail.vue';
import { usePlay, type SimulationQuestion } from '@/bench/usePlay';
import { say } from '@/words/say';

/** The session of a drill, with the clock running until something goes wrong. */
const props = defineProps<{ drill: NonNullable<NonNullable<Drills['next']>['play']>; seed: number }>();

const question = computed<SimulationQuestion>(() => ({
  outlet: props.drill.outlet,
  vehicle: props.drill.vehicle,
  adapters: props.drill.adapters,
  exact: true,
  policy: 'any',
  seed: props.seed,
  fault: props.drill.fault,
}));
const play = usePlay(question);
const { session, error, tS, clock, faultS, isFaultHere, frame, phase, phases, isStill, isRunning, speed } = play;

/** What happens in the first minute is played slowly enough to follow. */
const SLOW_S = 60;

watch(session, (found) => {
  if (!found) {
    return;
  }
  speed.value = faultS.value > SLOW_S ? 60 : 5;
  if (isStill.value) {
    play.put(faultS.value + 1);
  } else {
    isRunning.value = true;
  }
});
</script>

<template>
  <div class="drill-play">
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <template v-if="session && frame && phase">
      <BenchPieces :session="session" :frame="frame" :phase="phase" :is-fault-here="isFaultHere" />
      <p class="clock">
        <strong class="figures">{{ clock }}</strong> {{ say('play.since') }}
      </p>
      <PhaseRail
        :phases="phases"
        :is-fault-here="isFaultHere"
        :t-s="tS"
        :clock="clock"
        @put="play.put"
        @phase="play.toPhase"
      />
      <BenchVoices
        :phase="phase"
        :fault="isFaultHere ? session.fault : null"
        :is-stopped="session.outcome === 'stopped'"
      />
    </template>
  </div>
</template>

<style scoped>
.drill-play {
  min-height: 300px;
}

.clock {
  margin: var(--space-4) 0 0;
}
</style>
