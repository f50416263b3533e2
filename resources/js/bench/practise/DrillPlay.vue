<script setup lang="ts">
import { computed, watch } from 'vue';
import { api, ask } from '@/api/client';
import PlayStage from '@/bench/play/PlayStage.vue';
import { usePlay } from '@/bench/usePlay';

/** The session of a drill, with the clock running until something goes wrong. */
const props = defineProps<{ kind: string; seed: number }>();

const question = computed(() => ({ kind: props.kind, seed: props.seed }));
const play = usePlay(question, (body) => ask(api.POST('/drills/simulation', { body })));
const { session, error, faultS, isStill, isRunning, speed } = play;

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
    <PlayStage :play="play" />
  </div>
</template>

<style scoped>
.drill-play {
  min-height: 300px;
}
</style>
