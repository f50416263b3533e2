<script setup lang="ts">
import { useRouter } from 'vue-router';
import { api, ask, type Simulation } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import type { SimulationQuestion } from '@/bench/usePlay';
import { useRecording } from '@/bench/useRecording';

/** Records what has been played so far as a session in Connect, to go on from there by hand. */
const props = defineProps<{ question: SimulationQuestion; session: Simulation; tS: number }>();
const account = useAccount();
const recording = useRecording();
const router = useRouter();
const { isBusy, error, attempt } = useAttempt();

/** Seconds between two readings: a session of half an hour has about sixty. */
const EVERY_S = 30;

const record = () =>
  attempt(async () => {
    const until = props.tS;
    const { taken } = await ask(api.POST('/simulation', { body: { ...props.question, every_s: EVERY_S } }));
    const id = await recording.begin(props.question, props.session, until);
    for (const e of props.session.events.filter((found) => found.t_s <= until)) {
      await recording.event(id, e);
    }
    for (const r of (taken ?? []).filter((found) => found.t_s <= until)) {
      await recording.reading(id, r);
    }
    await router.push(`/connect/${id}`);
  });
</script>

<template>
  <div v-if="account.may('record')" class="record">
    <el-button :loading="isBusy" @click="record">{{ say('play.record') }}</el-button>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
.record {
  margin: var(--space-6) 0;
}

.record :deep(.el-button) {
  min-height: 44px;
}
</style>
