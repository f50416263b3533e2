<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import { isNewer, renew } from '@/offline/install';
import { shownFrom } from '@/offline/network';
import { day, hour } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import { actWords } from './actionWords';

/** How many entries the server doesn't have yet; always visible while there are any. */
const outbox = useOutbox();
const account = useAccount();
const since = computed(() =>
  outbox.offlineSince === null ? '' : hour(new Date(outbox.offlineSince).toISOString(), account.zone),
);
const n = computed(() => outbox.waiting.length);
/** What goes at once is not worth a line that comes and goes. */
const isSlow = refDebounced(
  computed(() => n.value > 0),
  2500,
);
/** What is shown was kept here, with its date. */
const from = computed(() => (shownFrom.value === null ? null : new Date(shownFrom.value).toISOString()));
</script>

<template>
  <div
    v-if="(isSlow && n > 0) || outbox.refused.length > 0 || outbox.isFull || since || isNewer"
    class="queue"
    role="status"
  >
    <p v-if="outbox.isFull" class="full">{{ say('queue.full') }}</p>
    <p v-if="since">
      {{ say('queue.offline', { since }) }} <template v-if="n > 0">{{ say('queue.kept', { n }) }}</template>
    </p>
    <p v-if="from">{{ say('queue.shown_from', { day: day(from, account.zone), hour: hour(from, account.zone) }) }}</p>
    <p v-if="isNewer" class="newer">
      {{ say('queue.newer') }}
      <TextButton @click="renew">{{ say('queue.renew') }}</TextButton>
    </p>
    <p v-if="!since && isSlow && n > 0">{{ say('queue.waiting', { n }) }}</p>
    <template v-if="outbox.refused.length > 0">
      <p class="full">{{ say('queue.refused', { n: outbox.refused.length }) }}</p>
      <ul>
        <li v-for="act in outbox.refused" :key="act.n">
          {{ say('queue.refused_act', { act: actWords(act), why: act.refused ?? '' }) }}
        </li>
      </ul>
      <TextButton @click="outbox.retry">{{ say('queue.retry') }}</TextButton>
      <TextButton @click="outbox.drop">{{ say('queue.drop') }}</TextButton>
    </template>
  </div>
</template>

<style scoped>
.queue {
  padding: var(--space-2) var(--space-7);
  border-bottom: 1px solid var(--line);
  background: var(--paper-raised);
  color: var(--ochre-text);
  font-size: var(--size-label);
}

.newer {
  color: var(--ink);
}

.full {
  color: var(--brick-text);
}

ul {
  margin: var(--space-1) 0;
  padding-inline-start: var(--space-7);
  color: var(--ink);
}

.text-button {
  margin-inline-end: var(--space-7);
  color: var(--ink);
}
</style>
