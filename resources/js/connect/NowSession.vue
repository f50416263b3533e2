<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { api, ask, type Report } from '@/api/client';
import { clock } from '@/ui/figures';
import Said from '@/words/Said.vue';
import { listed, say } from '@/words/say';
import { useUndo } from '@/stores/undo';
import LivePlates from './LivePlates.vue';
import LoadFile from './LoadFile.vue';
import NewestReadings from './NewestReadings.vue';
import ReadingForm from './ReadingForm.vue';
import { useReadings } from './useReadings';

const report = defineModel<Report>({ required: true });

const router = useRouter();
const undo = useUndo();
const readings = useReadings(report);
const session = computed(() => report.value.session);
const isFinished = computed(() => session.value.finished_at !== null);
const now = ref(Date.now());
useIntervalFn(() => (now.value = Date.now()), 1000);
const elapsedS = computed(() => (now.value - Date.parse(session.value.started_at)) / 1000);
const through = computed(() => {
  const adapters = listed(
    'and',
    session.value.adapters.map((a) => a.name),
  );
  return adapters && say('connect.through', { adapters });
});

async function finish(): Promise<void> {
  const params = { params: { path: { session: session.value.id } } };
  const isDone = await readings.attempt(async () => {
    report.value = await ask(api.POST('/sessions/{session}/finish', params));
  });
  if (isDone) {
    undo.done(say('connect.done'), async () => {
      await ask(api.POST('/sessions/{session}/reopen', params));
      await router.push(`/connect/${params.params.path.session}`);
    });
    await router.push(`/log/${session.value.id}`);
  }
}

async function discard(): Promise<void> {
  const params = { params: { path: { session: session.value.id } } };
  if (await readings.attempt(async () => void (await ask(api.DELETE('/sessions/{session}', params))))) {
    undo.done(say('connect.aside'), async () => {
      await ask(api.POST('/sessions/{session}/restore', params));
      await router.push(`/connect/${params.params.path.session}`);
    });
    await router.push('/connect');
  }
}

onMounted(readings.look);
</script>

<template>
  <section class="now" aria-labelledby="now-title">
    <header>
      <div>
        <p class="kicker">{{ say('connect.now') }}</p>
        <h1 id="now-title">{{ say('connect.at', { car: session.vehicle.name, outlet: session.outlet.name }) }}</h1>
        <p v-if="through" class="quiet">{{ through }}</p>
      </div>
      <p class="timer figures" role="timer" :aria-label="say('connect.timer')">{{ clock(elapsedS) }}</p>
    </header>

    <p v-if="isFinished" class="done">
      <Said code="connect.finished">
        <template #verdict
          ><strong>{{ report.judgement.verdict_words }}</strong></template
        >
        <template #report
          ><RouterLink :to="`/log/${session.id}`">{{ say('connect.read_report') }}</RouterLink></template
        >
      </Said>
    </p>
    <div v-else class="columns">
      <div class="capture">
        <ReadingForm
          :error="readings.error.value"
          :is-busy="readings.isBusy.value"
          :elapsed-s="elapsedS"
          :newest-s="readings.newest.value[0]?.t_s ?? 0"
          :take="readings.take"
        />
        <LoadFile :loaded="readings.loaded.value" :is-busy="readings.isBusy.value" @load="readings.load" />
        <NewestReadings :readings="readings.newest.value" :count="readings.count.value" />
      </div>
      <div class="plates">
        <LivePlates :judgement="report.judgement" />
        <div class="end">
          <p class="quiet small">{{ say('connect.stop_first') }}</p>
          <el-button type="primary" size="large" :loading="readings.isBusy.value" @click="finish">{{
            say('connect.finish')
          }}</el-button>
          <button type="button" class="text-button" @click="discard">{{ say('connect.put_aside') }}</button>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  margin-bottom: 16px;
}

.timer {
  font-size: 34px;
  font-weight: 700;
  line-height: 1.1;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
}

.end {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  margin-top: 18px;
}

.end .small {
  flex-basis: 100%;
  font-size: 13px;
}

@media (width <= 720px) {
  header {
    margin-bottom: 10px;
  }

  .timer {
    font-size: 26px;
  }

  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }

  .end .el-button {
    flex: 1 0 100%;
    height: 54px;
  }
}
</style>
