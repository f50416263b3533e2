<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { api, ask } from '@/api/client';
import { useBoard } from '@/stores/board';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import EmptyState from '@/ui/EmptyState.vue';
import { kw, number, soc } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import { SPEEDS, usePlay, type SimulationQuestion } from '@/bench/usePlay';
import BenchChart from './BenchChart.vue';
import FaultPicker from './FaultPicker.vue';
import FaultRemedies from './FaultRemedies.vue';
import PairPicker from './PairPicker.vue';
import PlayStage from './PlayStage.vue';
import RecordPlayed from './RecordPlayed.vue';

/** The chain of the rail, played phase by phase. */
const rail = useRail();
const board = useBoard();
const forecast = useForecast();
const garage = useGarage();
const route = useRoute();
const fault = ref<string | null>(typeof route.query.fault === 'string' ? route.query.fault : null);
const seed = ref(1);

const question = computed<SimulationQuestion | null>(() =>
  rail.answer && rail.outlet && rail.vehicle
    ? {
        outlet: rail.outlet.id,
        vehicle: rail.vehicle.id,
        adapters: rail.answer.adapters,
        exact: true,
        kit: board.kit === 'buy' ? 'buy' : 'own',
        policy: board.policy,
        conditions: { ...forecast.conditions, theta: forecast.chains[0]?.theta ?? {} },
        seed: seed.value,
        fault: fault.value,
      }
    : null,
);
const play = usePlay(question, (body) => ask(api.POST('/simulation', { body })));
const { session, error, tS, isFaultHere, isRunning, speed, isStill, phaseNumber, frame } = play;

const isOver = computed(() => tS.value >= play.endS.value && play.endS.value > 0);
const another = () => (seed.value = 1 + Math.floor(Math.random() * 1_000_000));
</script>

<template>
  <EmptyState v-if="!rail.pick.outlet || !rail.pick.vehicle" :title="say('play.empty')">
    <template v-if="garage.vehicles.length > 0 && garage.places.some((p) => p.outlets.length > 0)">
      <p>{{ say('play.empty_how') }}</p>
      <PairPicker />
    </template>
    <p v-else>
      <Said code="play.nothing_yet"
        ><template #kit
          ><RouterLink to="/kit/cars">{{ say('screen.kit') }}</RouterLink></template
        ><template #practise
          ><RouterLink to="/bench/practise">{{ say('play.practise_made_up') }}</RouterLink></template
        ></Said
      >
    </p>
  </EmptyState>
  <div v-else class="play">
    <div class="stage">
      <h1 class="sr-only">{{ say('screen.bench') }}</h1>
      <p v-if="rail.error" class="complaint" role="alert">{{ rail.error }}</p>
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <template v-if="session && frame">
        <PlayStage :play="play">
          <template #controls>
            <template v-if="isStill">
              <button type="button" class="run" :disabled="phaseNumber === 0" @click="play.toPhase(phaseNumber - 1)">
                {{ say('play.previous_phase') }}
              </button>
              <button type="button" class="run" :disabled="isOver" @click="play.toPhase(phaseNumber + 1)">
                {{ say('play.next_phase') }}
              </button>
            </template>
            <template v-else>
              <button type="button" class="run" @click="play.run">
                {{ isRunning ? say('play.pause') : say('play.run') }}
              </button>
              <fieldset class="speeds">
                <legend class="sr-only">{{ say('play.speed') }}</legend>
                <label v-for="s in SPEEDS" :key="s" :class="{ here: s === speed }">
                  <input v-model="speed" type="radio" name="speed" class="sr-only" :value="s" />
                  {{ say('play.times', { n: s }) }}
                </label>
              </fieldset>
            </template>
          </template>
          <template #now>
            <p class="now figures">
              {{ say('play.now', { kw: kw(frame.kw), amps: number(frame.amps), soc: soc(frame.soc) }) }}
              <span v-if="frame.limited_by" class="limit">{{ say('play.limited', { by: frame.limited_by }) }}</span>
            </p>
          </template>
        </PlayStage>
        <BenchChart :session="session" :t-s="tS" @put="play.put" />
      </template>
      <p v-else-if="!error" class="quiet" role="status">{{ say('play.coming') }}</p>
    </div>
    <aside v-if="session || error">
      <PairPicker />
      <FaultPicker v-model="fault" :session="session" />
      <FaultRemedies v-if="session?.fault && isFaultHere" :fault="session.fault" />
      <p v-else-if="isOver && session" role="status">
        {{
          say('play.over', {
            outcome: session.outcome_words,
            minutes: number(session.minutes, 1),
            kwh: number(session.plug_kwh, 1),
          })
        }}
      </p>
      <TextButton @click="another">{{ say('play.another') }}</TextButton>
      <RecordPlayed v-if="session && question" :question="question" :session="session" :t-s="tS" />
      <p class="quiet note">{{ say('play.practice') }}</p>
    </aside>
  </div>
</template>

<style scoped>
.play {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: var(--space-8) var(--space-10);
}

.stage {
  min-width: 0;
}

aside {
  padding-inline-start: var(--space-8);
  border-inline-start: 1px solid var(--line);
}

.run {
  min-width: 96px;
  min-height: 44px;
  padding: 0 var(--space-7);
  border: 1.5px solid var(--ink);
  background: var(--ink);
  forced-color-adjust: none;
  color: var(--on-ink);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}

.run:disabled {
  opacity: 0.5;
  cursor: default;
}

.speeds {
  display: flex;
  margin: 0;
  padding: 0;
  border: 1.5px solid var(--ink);
}

.speeds label {
  display: grid;
  place-items: center;
  min-width: 44px;
  min-height: 41px;
  cursor: pointer;
}

.speeds label:has(:focus-visible) {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}

.speeds .here {
  background: var(--ink-wash);
  font-weight: 700;
}

.now {
  width: 100%;
  margin: 0;
  font-family: var(--face-wide);
  font-weight: 600;
}

.limit {
  color: var(--copper-text);
  font-family: var(--face-text);
  font-weight: 400;
}

.note {
  font-size: var(--size-small);
}

@media (width <= 1000px) {
  .play {
    grid-template-columns: minmax(0, 1fr);
  }

  aside {
    padding: var(--space-7) 0 0;
    border-top: 1px solid var(--line);
    border-inline-start: 0;
  }
}
</style>
