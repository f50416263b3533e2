<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { api, ask, type Report } from '@/api/client';
import { useAttempt } from '@/ui/useAttempt';
import { useBoard } from '@/stores/board';
import { useAccount } from '@/stores/account';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { promised } from '@/ui/figures';
import { listed, say } from '@/words/say';

const emit = defineEmits<{ begun: [report: Report] }>();

const account = useAccount();
const rail = useRail();
const board = useBoard();
const garage = useGarage();
const forecast = useForecast();
const note = ref('');
const { isBusy, error, attempt } = useAttempt();

const answer = computed(() => rail.answer);
const isHazard = computed(() => answer.value?.outcome === 'hazard');
const flows = computed(() => answer.value?.flows === 'yes');
/** The minute by which to stop says more than that one may have to. */
const cautions = computed(() =>
  (answer.value?.cautions ?? []).filter(
    (_, i) => !(forecast.main?.stop_words && answer.value?.caution_codes[i]?.startsWith('adapter.may_not_hold')),
  ),
);
const title = computed(() => {
  const ends = { car: rail.vehicle?.name ?? '', outlet: rail.outlet?.name ?? '' };
  const adapters = listed('and', (answer.value?.adapters ?? []).map(garage.tag));
  return adapters ? say('connect.at_through', { ...ends, adapters }) : say('connect.at', ends);
});

// The minute by which to stop is the forecast's.
watch([() => forecast.chains, () => forecast.conditions, () => rail.answer], () => forecast.refresh(), {
  immediate: true,
});

async function begin(): Promise<void> {
  const { outlet, vehicle } = rail;
  const adapters = answer.value?.adapters;
  if (!outlet || !vehicle || !adapters) {
    return;
  }
  await attempt(async () => {
    const conditions = { ...forecast.conditions, theta: forecast.chains[0]?.theta ?? {} };
    const body = {
      outlet: outlet.id,
      vehicle: vehicle.id,
      adapters,
      policy: board.policy,
      note: note.value,
      conditions,
    };
    emit('begun', await ask(api.POST('/sessions', { body })));
  });
}
</script>

<template>
  <section v-if="answer" class="before" aria-labelledby="before-title">
    <div class="what">
      <p class="kicker">{{ say('connect.before') }}</p>
      <h1 id="before-title">{{ title }}</h1>
      <div class="verdict" :class="answer.outcome">
        <strong>{{ answer.title }}</strong>
        <span v-if="flows" class="figures">{{
          answer.at_most || answer.about ? promised(answer) : say('connect.up_to', { kw: promised(answer) })
        }}</span>
      </div>
      <p class="quiet">{{ answer.why }}</p>
      <template v-if="isHazard">
        <p class="complaint">{{ say('connect.hazard') }}</p>
      </template>
      <label for="note">{{ say('connect.note') }}</label>
      <el-input id="note" v-model="note" maxlength="1000" :placeholder="say('connect.note_hint')" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <p v-if="!account.may('record')" class="quiet">{{ say('connect.readers') }}</p>
      <el-button v-else type="primary" size="large" class="begin" :loading="isBusy" @click="begin">
        {{ isHazard ? say('connect.write_down') : say('connect.start') }}
      </el-button>
    </div>
    <div class="care">
      <h2>{{ say('connect.care') }}</h2>
      <ul>
        <li v-if="forecast.main?.stop_words">{{ forecast.main.stop_words }}</li>
        <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
      </ul>
      <p class="quiet small">{{ say('connect.handbooks') }}</p>
    </div>
  </section>
</template>

<style scoped>
.before {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
}

.what {
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.verdict strong {
  font-family: var(--face-wide);
  font-size: 18px;
}

.unverified strong {
  color: var(--ochre-text);
}

.hazard strong {
  color: var(--brick-text);
}

label {
  margin-top: 8px;
  font-weight: 600;
}

.begin {
  align-self: flex-start;
  min-width: 220px;
  height: 52px;
  margin-top: 8px;
  font-size: 17px;
}

ul {
  margin: 8px 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}

li {
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}

.small {
  font-size: 13px;
}

@media (width <= 720px) {
  .before {
    grid-template-columns: 1fr;
    gap: 20px;
  }

  .begin {
    align-self: stretch;
  }
}
</style>
