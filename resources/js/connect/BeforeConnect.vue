<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { ulid } from '@/api/ulid';
import type { Doing } from '@/offline/pendingActions';
import { useAttempt } from '@/ui/useAttempt';
import { useBoard } from '@/stores/board';
import { useDraft } from '@/stores/drafts';
import { useAccount } from '@/stores/account';
import { useForecast } from '@/stores/forecast';
import { useGarage } from '@/stores/garage';
import { useOutbox } from '@/stores/outbox';
import { useRail } from '@/stores/rail';
import { promised } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import { wordsOf } from '@/api/client';
import StepCard from './StepCard.vue';
import StepsOnPaper from './StepsOnPaper.vue';
import { useVisit, type Question } from './useVisit';

const emit = defineEmits<{ begun: [id: string] }>();

const account = useAccount();
const rail = useRail();
const board = useBoard();
const garage = useGarage();
const forecast = useForecast();
const outbox = useOutbox();
const typed = ref({ note: '', stall: '' });
const kept = useDraft(`begin ${rail.outlet?.id ?? ''}`, typed);
const { isBusy, error, attempt } = useAttempt((e) => (outbox.isFull ? say('queue.full') : wordsOf(e)));

const answer = computed(() => rail.answer);
const isHazard = computed(() => answer.value?.outcome === 'hazard');
const flows = computed(() => answer.value?.flows === 'yes');
const conditions = computed(() => ({ ...forecast.conditions, theta: forecast.chains[0]?.theta ?? {} }));
const question = computed<Question | null>(() =>
  answer.value && rail.outlet && rail.vehicle
    ? {
        outlet: rail.outlet.id,
        vehicle: rail.vehicle.id,
        adapters: answer.value.adapters,
        exact: true,
        kit: board.kit === 'buy' ? 'buy' : 'own',
        policy: board.policy,
        conditions: conditions.value,
        stall: null,
      }
    : null,
);
const { visit, error: visitError } = useVisit(question);
const steps = computed(() => visit.value?.steps.filter((s) => s.phase === 'arrive' || s.phase === 'join') ?? []);
/** One sentence instead of steps, where nothing may be connected. */
const isBarred = computed(() => visit.value?.steps[0]?.code === 'do_not_connect');
/** What is not set up for this network stands first. */
const toDo = computed(() => visit.value?.steps.find((s) => s.code === 'set_up_access')?.caution ?? '');
const chainKey = computed(() => (answer.value ? answer.value.chain.join('>') : ''));
const ticks = useSessionStorage<{ chain: string; done: string[] }>('harmozon-before', { chain: '', done: [] });
const done = computed<string[]>({
  get: () => (ticks.value.chain === chainKey.value ? ticks.value.done : []),
  set: (codes) => (ticks.value = { chain: chainKey.value, done: codes }),
});
const title = computed(() => {
  const ends = { car: rail.vehicle?.name ?? '', outlet: rail.outlet?.name ?? '' };
  const adapters = listed('and', (answer.value?.adapters ?? []).map(garage.tag));
  return adapters ? say('connect.at_through', { ...ends, adapters }) : say('connect.at', ends);
});
const stalls = computed(() => rail.outlet?.spec.stalls?.map((s) => s.label) ?? []);

// What is expected, and the minute by which to stop, are the forecast's.
watch([() => forecast.chains, () => forecast.conditions, () => rail.answer], () => forecast.refresh(), {
  immediate: true,
});

/** Of the kit, or the station's own. */
const nameOf = (adapter: string): string =>
  garage.adapter(adapter)?.name ?? answer.value?.links.find((l) => l.id === adapter)?.name ?? adapter;

/** Plugged in: from now on seconds count. It is written down here first, and sent when there is a network. */
async function begin(): Promise<void> {
  const { outlet, vehicle } = rail;
  const adapters = answer.value?.adapters;
  const garageId = account.me?.garage?.id;
  if (!outlet || !vehicle || !adapters || garageId === undefined) {
    return;
  }
  await attempt(async () => {
    const id = ulid();
    const startedMs = Date.now();
    const plugged: Doing = { kind: 'event', event: { client_id: ulid(), t_s: 0, code: 'plugged', detail: null } };
    const label = typed.value.stall.trim() === '' ? null : typed.value.stall.trim();
    await outbox.begin(
      {
        id,
        garage: garageId,
        startedMs,
        car: { id: vehicle.id, name: vehicle.name },
        outlet: { id: outlet.id, name: outlet.name },
        adapters: adapters.map((a) => ({ id: a, name: nameOf(a) })),
        stall: label,
        note: typed.value.note,
        question: question.value,
        visit: visit.value,
      },
      {
        kind: 'begin',
        startedMs,
        body: {
          outlet: outlet.id,
          vehicle: vehicle.id,
          adapters,
          policy: board.policy,
          note: typed.value.note,
          stall: label,
          conditions: conditions.value,
        },
      },
      // Where nothing must be joined, nothing was plugged in.
      ...(isBarred.value ? [] : [plugged]),
    );
    done.value = [];
    kept.drop();
    emit('begun', id);
  });
}
</script>

<template>
  <section v-if="answer" class="before" aria-labelledby="before-title">
    <div class="what">
      <h1 id="before-title">{{ title }}</h1>
      <div class="verdict" :class="answer.outcome">
        <Said v-if="flows" code="connect.verdict"
          ><template #title
            ><strong>{{ answer.title }}</strong></template
          ><template #power
            ><span class="figures">{{
              answer.at_most || answer.about ? promised(answer) : say('connect.up_to', { kw: promised(answer) })
            }}</span></template
          ></Said
        >
        <strong v-else>{{ answer.title }}</strong>
      </div>
      <p v-if="toDo" class="first">{{ toDo }}</p>
      <p v-if="isHazard" class="complaint">{{ say('connect.hazard') }}</p>
      <p v-if="isBarred" class="do">{{ steps[0]?.do }}</p>
      <StepCard
        v-else-if="visit && steps.length > 0"
        v-model:done="done"
        :visit="visit"
        :steps="steps"
        :car="rail.vehicle?.name ?? ''"
        :kicker="say('connect.before')"
        @ended="begin"
      />
      <p v-else-if="visitError" class="complaint" role="alert">{{ visitError }}</p>
      <p v-else class="quiet waits" role="status">{{ say('connect.steps_coming') }}</p>
    </div>
    <StepsOnPaper v-if="visit && !isBarred" :steps="visit.steps" />
    <p v-if="isHazard" class="quiet">
      <Said code="why.run_anyway">
        <template #log
          ><RouterLink to="/log?enter=chain">{{ say('screen.log') }}</RouterLink></template
        >
      </Said>
    </p>
    <div v-else class="begins">
      <h2>{{ say('connect.begin') }}</h2>
      <p class="quiet">{{ answer.flows === 'no' ? say('connect.write_down_how') : say('connect.begin_how') }}</p>
      <label for="stall">{{ say('connect.stall_label') }}</label>
      <input id="stall" v-model="typed.stall" list="stalls" maxlength="60" autocomplete="off" class="text" />
      <datalist id="stalls"><option v-for="label in stalls" :key="label" :value="label" /></datalist>
      <label for="note">{{ say('connect.note') }}</label>
      <el-input id="note" v-model="typed.note" maxlength="1000" :placeholder="say('connect.note_hint')" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <p v-if="!account.may('record')" class="quiet">{{ say('connect.readers') }}</p>
      <el-button
        v-else
        :type="flows ? 'primary' : 'default'"
        size="large"
        class="begin"
        :loading="isBusy"
        @click="begin"
      >
        {{ answer.flows === 'no' ? say('connect.write_down') : say('connect.start') }}
      </el-button>
      <p v-if="forecast.main?.stop_words" class="caution">{{ forecast.main.stop_words }}</p>
      <p class="quiet small">{{ say('connect.handbooks') }}</p>
    </div>
  </section>
</template>

<style scoped>
.before {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: var(--space-11);
}

.first,
.caution {
  padding: var(--space-4) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

.do {
  font-size: var(--size-lead);
}

.waits {
  min-height: 300px;
}

.text {
  min-height: 40px;
  padding: var(--space-2) var(--space-5);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}

.begins,
.what {
  display: flex;
  flex-direction: column;
  gap: var(--space-4);
}

.verdict strong {
  font-family: var(--face-wide);
  font-size: var(--size-lead);
}

.unverified strong {
  color: var(--ochre-text);
}

.hazard strong {
  color: var(--brick-text);
}

label {
  margin-top: var(--space-4);
  font-weight: 600;
}

.begin {
  align-self: flex-start;
  min-width: 220px;
  height: 52px;
  margin-top: var(--space-4);
  font-size: var(--size-lead);
}

.small {
  font-size: var(--size-small);
}

@media (width <= 720px) {
  .before {
    grid-template-columns: 1fr;
    gap: var(--space-8);
  }

  .begin {
    align-self: stretch;
  }
}
</style>
