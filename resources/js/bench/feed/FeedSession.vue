<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { api, ask, type Reading, type SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import { SPEEDS } from '@/bench/usePlay';

/** Feeds an open session with simulated readings, as a logger would; without a network they wait on the device. */
const account = useAccount();
const outbox = useOutbox();
const { isBusy, error, attempt } = useAttempt();
const open = ref<SessionLine[] | null>(null);
const chosen = ref('');
const speed = ref<(typeof SPEEDS)[number]>(20);
const fault = ref('');
const taken = ref<Reading[]>([]);
const sent = ref(0);
let timer: ReturnType<typeof setInterval> | undefined;

/** Simulated seconds between two readings. */
const EVERY_S = 10;
const TICK_MS = 1000;
const EXAMPLE = 'neighbour@12';
const command = computed(() => say('play.feed_example', { session: chosen.value || 'ID', speed: speed.value }));

void attempt(async () => {
  const { sessions } = await ask(api.GET('/sessions'));
  open.value = sessions.filter((s) => s.finished_at === null);
  chosen.value = open.value[0]?.id ?? '';
});

const start = () =>
  attempt(async () => {
    const line = open.value?.find((s) => s.id === chosen.value);
    if (!line) {
      return;
    }
    stop();
    sent.value = 0;
    const body = { fault: fault.value.trim() === '' ? null : fault.value.trim(), every_s: EVERY_S };
    const params = { path: { session: line.id } };
    taken.value = (await ask(api.POST('/sessions/{session}/simulation', { params, body }))).taken;
    const startedMs = Date.now();
    timer = setInterval(() => void send(line.id, (Date.now() - startedMs) / 1000), TICK_MS);
  });

/** One after the other, those whose time has come. */
let isSending = false;
async function send(session: string, seconds: number): Promise<void> {
  if (isSending) {
    return;
  }
  isSending = true;
  try {
    for (
      let next = taken.value[sent.value];
      next && next.t_s <= seconds * speed.value;
      next = taken.value[sent.value]
    ) {
      await outbox.add(session, { kind: 'reading', reading: next });
      sent.value++;
    }
  } finally {
    isSending = false;
  }
  if (sent.value >= taken.value.length) {
    stop();
  }
}

function stop(): void {
  clearInterval(timer);
  timer = undefined;
}
onBeforeUnmount(stop);
</script>

<template>
  <section class="feed" aria-labelledby="feed-title">
    <h1 id="feed-title">{{ say('play.feed') }}</h1>
    <p class="quiet">{{ say('play.feed_how') }}</p>
    <p v-if="open?.length === 0" role="status">{{ say('play.feed_none') }}</p>
    <form v-else-if="open && account.may('record')" @submit.prevent="start">
      <label for="feed-session">{{ say('play.feed_session') }}</label>
      <select id="feed-session" v-model="chosen" class="plain-field">
        <option v-for="s in open" :key="s.id" :value="s.id">
          {{
            say('play.feed_line', {
              car: s.vehicle.name,
              outlet: s.outlet.name,
              day: day(s.started_at, account.zone),
              hour: hour(s.started_at, account.zone),
            })
          }}
        </option>
      </select>
      <label for="feed-speed">{{ say('play.speed') }}</label>
      <select id="feed-speed" v-model="speed" class="plain-field">
        <option v-for="s in SPEEDS" :key="s" :value="s">{{ say('play.times', { n: s }) }}</option>
      </select>
      <label for="feed-fault">{{ say('play.feed_fault') }}</label>
      <input
        id="feed-fault"
        v-model="fault"
        class="plain-field"
        maxlength="60"
        autocomplete="off"
        :placeholder="EXAMPLE"
      />
      <p class="acts">
        <el-button type="primary" native-type="submit" :loading="isBusy">{{ say('play.feed_start') }}</el-button>
        <RouterLink v-if="chosen" :to="`/connect/${chosen}`">{{ say('play.feed_look') }}</RouterLink>
      </p>
    </form>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-if="taken.length > 0" role="status">{{ say('play.feed_sent', { n: sent, all: taken.length }) }}</p>
    <p class="quiet">{{ say('play.feed_command') }}</p>
    <code>{{ command }}</code>
  </section>
</template>

<style scoped>
.feed {
  max-width: 640px;
}

h1 {
  margin: 0 0 var(--space-4);
}

label {
  display: block;
  margin-top: var(--space-5);
  font-size: var(--size-small);
}

.acts {
  display: flex;
  gap: var(--space-7);
  align-items: center;
  margin: var(--space-7) 0;
}

.acts :deep(.el-button) {
  min-height: 44px;
}

code {
  display: block;
  padding: var(--space-5);
  background: var(--paper-sunk);
  font-size: var(--size-small);
  overflow-wrap: anywhere;
}
</style>
