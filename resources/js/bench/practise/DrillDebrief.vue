<script setup lang="ts">
import { computed } from 'vue';
import type { DrillJudged } from '@/api/client';
import FaultRemedies from '@/bench/play/FaultRemedies.vue';
import GateLadder from '@/rail/GateLadder.vue';
import { number } from '@/ui/figures';
import { say } from '@/words/say';
import DrillCurve from './DrillCurve.vue';

/** What a drill was about, once it is answered: the session against its forecast, what helps, or gate by gate. */
const props = defineProps<{ judged: DrillJudged; isCurveShown: boolean }>();

/** A drill asks nothing of the plates, and some of its pieces are made up. */
const gates = computed(() => props.judged.gates.map((gate) => ({ ...gate, asks: [] })));
</script>

<template>
  <section class="debrief" aria-labelledby="debrief-title">
    <h2 id="debrief-title">{{ judged.fault ? say('drill.how_it_went') : say('drill.gate_by_gate') }}</h2>
    <template v-if="judged.debrief">
      <p v-if="judged.debrief.forecast">
        {{
          say('drill.forecast', {
            kwh: number(judged.debrief.forecast.kwh),
            minutes: number(judged.debrief.forecast.minutes),
          })
        }}
      </p>
      <p v-if="judged.debrief.played?.outcome === 'never_started'">
        {{ say('drill.gave_up', { minutes: number(judged.debrief.played.minutes) }) }}
      </p>
      <p v-else-if="judged.debrief.played">
        {{
          say('drill.played', {
            outcome: judged.debrief.played.outcome_words,
            kwh: number(judged.debrief.played.kwh),
            minutes: number(judged.debrief.played.minutes),
          })
        }}
      </p>
      <DrillCurve
        v-if="!isCurveShown && judged.debrief.forecast"
        :curve="judged.debrief.played?.curve ?? []"
        :expected="judged.debrief.forecast.curve"
      />
    </template>
    <FaultRemedies v-if="judged.fault" :fault="judged.fault" />
    <GateLadder v-else :gates="gates" />
  </section>
</template>

<style scoped>
.debrief {
  margin-top: var(--space-8);
  padding-top: var(--space-6);
  border-top: 1px solid var(--line);
}

h2 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

p {
  margin: var(--space-1) 0;
}
</style>
